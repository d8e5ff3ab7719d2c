<script setup lang="ts">
import { useTitle } from '@vueuse/core'
import { computed, ref, toRef, watch } from 'vue'
import { useProfile, useWords } from '@/api'
import ChoiceField from '@/shared/ChoiceField.vue'
import CautionNote from '@/shared/CautionNote.vue'
import PageHead from '@/shared/PageHead.vue'
import PageState from '@/shared/PageState.vue'
import TextField from '@/shared/TextField.vue'
import { useDepths } from '@/shared/useDepths'
import AuthorityTable from './AuthorityTable.vue'
import HorizonFigures from './HorizonFigures.vue'
import InterpretationDrawing from './InterpretationDrawing.vue'
import IrrigationStrip from './IrrigationStrip.vue'
import { figures, useInterpretation, useWhatIf, type WhatIf } from './useInterpretation'

// What a profile means for water, roots and work: whether it matters to be one class away, then the drawing, then the
// sentences with how surely they are said.
const props = defineProps<{ id: number }>()
const id = toRef(props, 'id')
const { data: profile, error, refetch } = useProfile(id)
const { assumed, ofHorizons, asked, follows, trouble } = useInterpretation(id)
const whatIf = ref<WhatIf>(null)
const other = useWhatIf(id, asked, whatIf)
/** As it is, or with one horizon taken for another class. */
const shown = computed(() => (whatIf.value && other.data.value) || follows.value)
const { range, show, unit } = useDepths()
useTitle(computed(() => `Interpretation of ${profile.value?.name ?? 'a profile'} · Grittle`))

const VERDICTS: [string, string][] = [
  ['yes', 'It matters for'],
  ['a little', 'A little for'],
  ['open', 'Open for'],
  ['no', 'It does not matter for'],
]
const matters = computed(() =>
  VERDICTS.map(([verdict, says]) => ({
    verdict,
    says,
    list: (follows.value?.matters ?? []).filter((one) => one.verdict === verdict),
  })).filter(({ list }) => list.length),
)
/** Tests that would tell most of what matters, each once. */
const tests = computed(() => {
  const told = matters.value.filter(({ verdict }) => verdict === 'yes').flatMap(({ list }) => list)
  return [...new Set(told.flatMap(({ test }) => (test ? [`${test.name} of ${test.horizon} (${test.seconds} s)`] : [])))]
})
const words = useWords()
const lower = (label: string) => label.charAt(0).toLowerCase() + label.slice(1)
const at = ref(0)
const organic = computed(() => {
  const { percent, assumed: supposed } = layer.value!.organic_matter
  return `${figures(percent)} is ${supposed ? 'assumed' : 'taken'}`
})
const horizonId = computed(() => profile.value?.horizons[at.value]?.id)
const layer = computed(() => shown.value?.horizons[at.value])
watch(id, () => ((at.value = 0), (whatIf.value = null)))

const others = computed(() => {
  const own = follows.value?.horizons[at.value]
  const horizon = profile.value?.horizons[at.value]
  return own && horizon ? own.neighbours.map((one) => ({ ...one, horizon_id: horizon.id })) : []
})
const changed = computed(() => {
  const [was, now] = [follows.value, other.data.value]
  if (!whatIf.value || !was || !now) return []
  const lines = was.horizons[at.value]!.figures.flatMap((one, i) => {
    const next = now.horizons[at.value]!.figures[i]
    return next && next.claim !== one.claim ? [`${one.label}: ${next.claim}, not ${one.claim}.`] : []
  })
  const water = [was, now].map(({ water: { mean } }) => figures(mean))
  return [...(water[0] === water[1] ? [] : [`Water to the root limit: ${water[1]} mm, not ${water[0]}.`]), ...lines]
})
const water = computed(() => {
  const { water: w } = shown.value!
  const least = w.at_least ? 'At least ' : ''
  const without = w.without.length ? ` Without ${w.without.join(', ')}, which has no texture or no figure.` : ''
  const where = w.at_least ? `${show(w.to_cm)} ${unit.value}, as deep as was seen` : `${show(w.to_cm)} ${unit.value}`
  const why = w.at_least ? '' : ` The limit: ${w.why.replace(/\.?$/, '.')}`
  const interval = `80 % interval: ${figures(w.p10)} to ${figures(w.p90)}`
  return `${least}${figures(w.mean)} mm for plants to ${where} (${interval}).${why}${without}`
})
const wetting = computed(() => {
  const { wetting: w } = shown.value!
  const [from, to] = w.range_cm
  const lost = w.surplus_mm > 0.05 ? ` ${figures(w.surplus_mm)} mm go below the roots.` : ''
  return w.further
    ? `${w.amount_mm} mm wet all that was seen, and go on below.${lost}`
    : `${w.amount_mm} mm wet it to about ${show(w.front_cm)} ${unit.value} (${show(from!)} to ${show(to!)}).${lost}`
})
const amount = computed(() => assumed.amount_mm || String(follows.value?.assumed.amount_mm ?? ''))
/** What the core takes where nothing was written. */
const taken = (name: keyof typeof assumed): string => {
  const usual = follows.value?.assumed[name]
  return assumed[name] === '' && usual !== undefined ? `${usual} is assumed` : ''
}
const FIELDS: [keyof typeof assumed, string, string][] = [
  ['root_depth_cm', 'Root depth', 'cm'],
  ['daily_mm', 'Used a day', 'mm'],
  ['share', 'Share used', '0 to 1'],
  ['efficiency', 'Efficiency', '0 to 1'],
  ['rate_mm_h', 'Given at', 'mm/h'],
]
</script>

<template>
  <PageState v-if="!profile || !follows" :error="error ?? trouble" @retry="refetch()" />
  <div v-else class="min-h-dvh flex flex-col text-lg">
    <PageHead
      :title="`${profile.name}: interpretation`"
      :line="`${profile.site.name}. What its texture means for water, roots and work.`"
      :back="`/profiles/${id}`"
      back-name="Section"
    >
      <RouterLink class="button button-desk" :to="`/companion-tests?profile=${id}`">Companion tests</RouterLink>
      <RouterLink class="button button-desk" :to="`/reports?profile=${id}`">Report</RouterLink>
    </PageHead>
    <main class="px-4 desk:px-6 py-3 grow grid grid-cols-[minmax(0,1fr)] gap-5 content-start leading-snug">
      <p
        v-if="!follows.horizons.some(({ figures: list }) => list.length)"
        class="py-16 text-2xl font-extrabold text-center"
      >
        No horizon has a texture yet.
      </p>
      <template v-else>
        <ChoiceField
          v-if="follows.measured"
          :model-value="assumed.from || words.laboratory.from[0]!.value"
          label="Where a laboratory has a result, compute from"
          :options="words.laboratory.from"
          class="print:hidden"
          @update:model-value="assumed.from = $event"
        />
        <section aria-labelledby="matters-title" data-matters>
          <h2 id="matters-title" class="text-2xl">Does it matter to be one class away?</h2>
          <dl class="grid desk:grid-cols-[12rem_1fr] gap-x-4 gap-y-0.5">
            <template v-for="m in matters" :key="m.verdict">
              <dt class="font-extrabold" :class="m.verdict === 'yes' ? 'text-iron' : ''">{{ m.says }}</dt>
              <dd :data-verdict="m.verdict">
                {{
                  m.list
                    .map(({ label, horizons }) =>
                      m.verdict === 'no' ? lower(label) : `${lower(label)} (${horizons.join(', ')})`,
                    )
                    .join('; ')
                }}.
              </dd>
            </template>
          </dl>
          <p v-if="tests.length" data-settle><b>What would settle most of it:</b> {{ tests.join(', ') }}.</p>
        </section>

        <section aria-labelledby="water-title" class="grid gap-2 border-t-2 border-ink pt-2">
          <div class="flex flex-wrap items-end gap-x-6 gap-y-1">
            <h2 id="water-title" class="text-2xl grow">Water</h2>
            <label class="grid gap-0.5 text-base font-semibold grow desk:max-w-md print:hidden">
              <span>Rain or watering: {{ amount }} mm</span>
              <input
                :value="amount"
                type="range"
                min="0"
                max="100"
                step="1"
                class="min-h-11 accent-ink"
                @input="assumed.amount_mm = ($event.target as HTMLInputElement).value"
              />
            </label>
          </div>
          <InterpretationDrawing v-if="shown" :profile="profile" :found="shown" />
          <p class="text-base text-pencil">
            Hatched: held, out of reach of roots. Blue: for plants; the mark across its end: 80 % interval. Blue in the
            column: how far the rain goes.
          </p>
          <p data-wetting>{{ wetting }}</p>
          <p data-water>{{ water }}</p>
          <p v-if="shown!.water.hindered">
            Roots are hindered from {{ show(shown!.water.hindered.to_cm) }} {{ unit }} on:
            {{ figures(shown!.water.hindered.mean) }} mm lie above.
          </p>
          <ul v-if="shown!.limits.length" class="desk:hidden grid gap-1" aria-label="Limits">
            <li v-for="(l, i) in shown!.limits" :key="i" class="border-l-8 border-rule pl-3">
              <b>{{ show(l.depth_cm) }} {{ unit }}.</b> {{ l.reason }}
              <span class="text-pencil">{{
                [l.roots && `Roots: ${l.roots}.`, l.water && `Water: ${l.water}.`].filter(Boolean).join(' ')
              }}</span>
            </li>
          </ul>
          <ul v-if="shown!.perching.length" class="grid gap-1">
            <li v-for="p in shown!.perching" :key="p.boundary" class="border-l-8 border-rule pl-3">{{ p.sentence }}</li>
          </ul>
          <p data-groups>
            Hydrologic group: {{ shown!.groups.by_ksat.sentence
            }}<template v-if="shown!.groups.tr55"> Of disturbed soil (TR-55): {{ shown!.groups.tr55.claim }}.</template
            ><template v-if="shown!.downward_mm_h !== null">
              Down through all layers, one after the other: about {{ figures(shown!.downward_mm_h) }} mm/h.</template
            >
          </p>
        </section>

        <section aria-labelledby="plan-title" class="grid gap-2 border-t-2 border-ink pt-2">
          <h2 id="plan-title" class="text-2xl">Watering</h2>
          <IrrigationStrip :plan="shown!.irrigation" :without="shown!.water.without" />
          <form class="flex flex-wrap items-start gap-3 print:hidden" @submit.prevent>
            <TextField
              v-for="[name, label, hint] in FIELDS"
              :key="name"
              v-model="assumed[name]"
              class="w-40"
              :label="`${label}, ${hint}`"
              :hint="taken(name)"
              inputmode="decimal"
            />
          </form>
          <p v-if="trouble" role="alert" class="border-l-8 border-iron bg-warn px-3 py-1">
            {{ trouble.message }}
          </p>
        </section>

        <section
          v-if="shown!.tests.length"
          aria-labelledby="tests-title"
          class="grid gap-2 border-t-2 border-ink pt-2"
          data-tests
        >
          <h2 id="tests-title" class="text-2xl">Companion tests</h2>
          <ul class="grid">
            <li
              v-for="(t, i) in shown!.tests"
              :key="i"
              class="grid desk:grid-cols-[5rem_18rem_1fr] gap-x-4 border-b border-feint py-1"
            >
              <b>{{ t.horizon }}</b>
              <span class="text-pencil">{{ t.title }}, {{ t.name }}</span>
              <span>
                <b :class="t.void ? 'line-through' : ''">{{ t.said }}.</b>
                {{ [t.beside, ...t.problems].filter(Boolean).join(' ') }}
              </span>
            </li>
          </ul>
        </section>

        <AuthorityTable :assumed="assumed" :found="shown!.table" />

        <section aria-labelledby="horizons-title" class="grid gap-2 border-t-2 border-ink pt-2">
          <h2 id="horizons-title" class="text-2xl">Horizon by horizon</h2>
          <div class="flex flex-wrap gap-1.5" role="group" aria-label="Horizon">
            <button
              v-for="(h, i) in shown!.horizons"
              :key="i"
              type="button"
              class="button px-3"
              :aria-pressed="i === at"
              @click="((at = i), (whatIf = null))"
            >
              {{ h.designation }}
            </button>
          </div>
          <template v-if="layer">
            <p>
              <b>{{ layer.designation }}, {{ range(layer.upper_cm, layer.lower_cm) }}:</b>
              {{ Object.values(layer.phrases).join('; ') }}.
              <span v-if="follows.measured" class="text-pencil" data-from
                >From {{ lower(words.laboratory.from.find(({ value }) => value === layer!.from)!.name) }}.</span
              >
            </p>
            <div
              v-if="others.length"
              class="flex flex-wrap items-center gap-1.5 print:hidden"
              role="group"
              aria-label="What if it were"
            >
              <span class="pr-1">What if it were</span>
              <button
                v-for="o in others"
                :key="o.code"
                type="button"
                class="button button-desk"
                :aria-pressed="whatIf?.taken_for === o.code"
                @click="whatIf = whatIf?.taken_for === o.code ? null : { horizon_id: o.horizon_id, taken_for: o.code }"
              >
                {{ o.name
                }}<span class="font-normal">{{ o.finer === null ? 'alike' : o.finer ? 'finer' : 'coarser' }}</span>
              </button>
            </div>
            <div v-if="whatIf && other.data.value" role="status" class="lit-note" data-what-if>
              <p class="font-extrabold">All above is shown as if it were so. What changes:</p>
              <ul>
                <li v-for="line in changed" :key="line">{{ line }}</li>
                <li v-if="!changed.length">Nothing that is said.</li>
              </ul>
            </div>
            <form v-if="horizonId" class="flex flex-wrap items-start gap-3 print:hidden" @submit.prevent>
              <TextField
                :model-value="ofHorizons.organic_matter[horizonId] ?? ''"
                class="w-56"
                label="Organic matter, %"
                :hint="organic"
                inputmode="decimal"
                @update:model-value="ofHorizons.organic_matter[horizonId] = $event"
              />
              <TextField
                :model-value="ofHorizons.density_factor[horizonId] ?? ''"
                class="w-56"
                label="Packing, times usual"
                hint="0.9 loose to 1.3 hard"
                inputmode="decimal"
                @update:model-value="ofHorizons.density_factor[horizonId] = $event"
              />
            </form>
            <HorizonFigures :layer="layer" />
          </template>
        </section>
      </template>
      <CautionNote name="results" class="mt-auto" />
    </main>
  </div>
</template>
