<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { queryClient, request, type Schemas } from '@/api'
import ControlChart from '@/drawing/ControlChart.vue'
import PageHead from '@/shared/PageHead.vue'
import PageState from '@/shared/PageState.vue'
import SheetDialog from '@/shared/SheetDialog.vue'
import TextField from '@/shared/TextField.vue'
import { day } from '@/shared/dates'
import { useForm } from '@/shared/useForm'
import HandCurve from './HandCurve.vue'
import SkillBars from './SkillBars.vue'

// One person's hand: the curve that samples of known clay teach, what else is known of the hand, and whether later
// readings are assessed with it.
const props = defineProps<{ id: number }>()
type Hand = Schemas['Hand']
const { data, error, refetch } = useQuery(
  computed(() => ({
    queryKey: ['hand', props.id],
    queryFn: () => request<Hand>('GET', `/api/hands/${props.id}`),
    staleTime: 0,
  })),
)
const skills = useQuery(
  computed(() => ({
    queryKey: ['hand', props.id, 'skills'],
    queryFn: () => request<Schemas['Skills']>('GET', `/api/hands/${props.id}/skills`),
    staleTime: 0,
  })),
)
const fits = computed(() => [
  ['Own curve', data.value!.own] as const,
  ['Consensus curve', data.value!.consensus] as const,
])
const points = (value: number | null) => (value === null ? '' : value.toFixed(1))
const signed = (value: number | null) =>
  value === null ? '' : value > 0 ? `+${points(value)}` : points(value).replace('-', '−')
const put = (hand: Hand) => queryClient.setQueryData(['hand', props.id], hand)

const switching = useForm<Hand>()
async function use(on: boolean): Promise<void> {
  const hand = await switching.send('POST', `/api/hands/${props.id}/curve`, { in_use: on })
  if (hand) put(hand)
}
/** Whether what is in use was learnt from less than there is now. */
const older = computed(
  () =>
    !!data.value?.in_use &&
    !data.value.closed &&
    JSON.stringify(data.value.in_use.curve) !== JSON.stringify(data.value.curve),
)

const leaving = ref<Schemas['HandSample'] | null>(null)
const reason = ref('')
const out = useForm<Hand>()
async function leaveOut(pair: string, why: string | null): Promise<void> {
  const hand = await out.send('POST', `/api/hands/${props.id}/left-pairs`, { pair, reason: why })
  if (!hand) return
  put(hand)
  leaving.value = null
  reason.value = ''
}
</script>

<template>
  <PageState v-if="!data" :error="error" @retry="refetch()" />
  <div v-else class="min-h-dvh flex flex-col text-lg">
    <PageHead :title="data.name" line="Ribbons and words beside known soil" back="/hands" back-name="Hands">
      <RouterLink to="/practice" class="button button-desk">Practice</RouterLink>
    </PageHead>
    <main class="px-4 desk:px-6 py-4 grid grid-cols-1 gap-x-10 gap-y-6 desk:grid-cols-[3fr_2fr] *:min-w-0 items-start">
      <div class="grid gap-4">
        <div class="grid gap-1" role="status">
          <p v-for="(s, i) in data.sentences" :key="s" :class="i ? '' : 'text-2xl font-semibold'">{{ s }}</p>
          <p v-if="data.closed" class="border-l-8 border-ochre pl-3" data-closed>
            Not enough for a curve of one’s own: {{ data.closed }}
          </p>
        </div>
        <section
          v-if="!data.closed || data.in_use"
          aria-label="Use of the curve"
          class="border-2 border-ink p-3 flex flex-wrap items-center gap-x-4 gap-y-2"
          data-use
        >
          <p class="grow basis-60 leading-snug">
            <template v-if="data.in_use"
              ><b>New readings of {{ data.name }} use this hand</b>, as it was learnt from {{ data.in_use.pairs }} pairs
              on {{ day(data.in_use.made_at) }}. Readings of before keep what they were made with.</template
            >
            <template v-else
              ><b>Not in use.</b> Switched on, it stands in the estimate of every later reading of {{ data.name }} and
              is named there; the key is not touched.</template
            >
          </p>
          <button
            v-if="!data.closed && (!data.in_use || older)"
            type="button"
            class="button button-main"
            :disabled="switching.saving.value"
            @click="use(true)"
          >
            {{ data.in_use ? 'Use what is known now' : 'Use it from now on' }}
          </button>
          <button
            v-if="data.in_use"
            type="button"
            class="button button-desk"
            :disabled="switching.saving.value"
            @click="use(false)"
          >
            Use it no longer
          </button>
          <p v-if="switching.problem.value" role="alert" class="basis-full border-l-8 border-iron bg-warn px-3 py-1">
            {{ switching.general([]) }}
          </p>
        </section>
        <HandCurve :hand="data" />
        <table v-if="data.pairs.length" class="w-full tabular-nums" aria-label="How the curves fare">
          <thead>
            <tr class="border-b-2 border-ink text-left">
              <th scope="col" class="py-1">On samples left out in turn</th>
              <th scope="col" class="text-right">RMSE</th>
              <th scope="col" class="text-right">Mean error</th>
              <th scope="col" class="text-right">In 80 %</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="[name, fit] in fits" :key="name" class="border-b border-rule">
              <th scope="row" class="py-1 text-left font-normal">{{ name }}</th>
              <td class="text-right">{{ points(fit.rmse) }}</td>
              <td class="text-right">{{ signed(fit.bias) }}</td>
              <td class="text-right">{{ fit.inside }} of {{ data.pairs.length }}</td>
            </tr>
          </tbody>
        </table>
        <section v-if="data.drift.chart.length > 1" aria-labelledby="drift-title" class="grid gap-2">
          <h2 id="drift-title" class="text-2xl">Has the hand moved?</h2>
          <ControlChart
            :values="data.drift.chart.map(({ ewma }) => ewma)"
            :low="data.drift.chart.map(({ limit }) => -limit)"
            :high="data.drift.chart.map(({ limit }) => limit)"
            :middle="0"
            :beyond="data.drift.chart.flatMap(({ signal }, at) => (signal ? [at] : []))"
            :least="1"
            :label="`Drift over ${data.drift.chart.length} pairs. ${data.drift.sentence ?? 'Within its limits.'}`"
            axis="Pairs, oldest first; standard deviations"
          />
          <p>{{ data.drift.sentence ?? 'No sign of it: the line stays within its limits.' }}</p>
        </section>
      </div>
      <div class="grid grid-cols-[minmax(0,1fr)] gap-6">
        <section v-if="data.pairs.length" aria-labelledby="else-title" class="grid gap-1">
          <h2 id="else-title" class="text-2xl">What else is known of the hand</h2>
          <ul>
            <li v-for="w in [...data.numbers, ...data.words]" :key="w.test" class="border-b border-rule py-1">
              <span :class="w.used ? '' : 'text-pencil'">{{ w.sentence }}</span>
              <span class="text-pencil text-base ml-2">{{ w.count === 1 ? '1 answer' : `${w.count} answers` }}</span>
            </li>
            <li v-for="b in data.bias" :key="b.of" class="border-b border-rule py-1">
              <span class="first-letter:uppercase inline-block">{{ b.of }}</span> of all that is felt:
              {{ signed(b.shift) }} ± {{ points(b.sd) }} points
              <span class="text-pencil text-base ml-1">unknown hands: 0 ± {{ b.usual_sd }}</span>
            </li>
          </ul>
          <p v-if="data.repeat">{{ data.repeat.sentence }}</p>
        </section>
        <section v-if="data.pairs.length" aria-labelledby="pairs-title">
          <h2 id="pairs-title" class="text-2xl">Samples</h2>
          <table class="w-full tabular-nums">
            <thead>
              <tr class="border-b-2 border-ink text-left">
                <th scope="col" class="py-1">Sample</th>
                <th scope="col" class="text-right">Ribbon, mm</th>
                <th scope="col" class="text-right">Clay, %</th>
                <td />
              </tr>
            </thead>
            <tbody>
              <tr v-for="p in data.pairs" :key="p.sample" class="border-b border-rule">
                <td class="py-1">
                  {{ p.said }}
                  <b v-if="!p.fits" class="text-iron">does not fit</b>
                </td>
                <td class="text-right">{{ p.length_mm }}</td>
                <td class="text-right">{{ p.clay.toFixed(1) }} ± {{ p.clay_sd.toFixed(1) }}</td>
                <td class="text-right">
                  <button
                    type="button"
                    class="min-h-11 pl-3 underline underline-offset-4 text-base"
                    :aria-label="`Take out ${p.said}`"
                    @click="leaving = p"
                  >
                    Take out
                  </button>
                </td>
              </tr>
            </tbody>
          </table>
        </section>
        <section v-if="data.left_out.length" aria-labelledby="left-out-title">
          <h2 id="left-out-title" class="text-2xl">Left out</h2>
          <ul>
            <li
              v-for="p in data.left_out"
              :key="p.sample"
              class="border-b border-rule py-1 flex justify-between gap-3 items-center"
            >
              <span
                >{{ p.said }}: <span class="text-pencil">{{ p.reason }}</span></span
              ><button
                v-if="p.taken_out"
                type="button"
                class="min-h-11 underline underline-offset-4 text-base shrink-0"
                :aria-label="`Put back ${p.said}`"
                @click="leaveOut(p.sample, null)"
              >
                Put back
              </button>
            </li>
          </ul>
        </section>
        <SkillBars v-if="skills.data.value?.samples" :skills="skills.data.value" />
      </div>
    </main>
    <SheetDialog v-if="leaving" open :title="`Take out ${leaving.said}`" @close="leaving = null">
      <form class="grid gap-4" novalidate @submit.prevent="leaveOut(leaving.sample, reason)">
        <p>The sample stays where it is; this hand learns nothing from it. It can be put back.</p>
        <TextField v-model="reason" label="Why" first />
        <p v-if="out.problem.value" role="alert" class="border-l-8 border-iron bg-warn px-3 py-2">
          {{ out.general([]) }}
        </p>
        <button type="submit" class="button button-main" :disabled="!reason.trim() || out.saving.value">
          Take it out
        </button>
      </form>
    </SheetDialog>
  </div>
</template>
