<script setup lang="ts">
import { ref } from 'vue'
import { useRouter } from 'vue-router'
import { forgetLists, request, useWords, type Profile, type Reading, type Schemas } from '@/api'
import FormConflict from '@/shared/FormConflict.vue'
import { useForm } from '@/shared/useForm'
import ResultDialog from '@/laboratory/ResultDialog.vue'
import ResultsImport from '@/laboratory/ResultsImport.vue'
import SamplesDialog from './SamplesDialog.vue'
import { useBin } from '@/bin/useBin'
import { dayAndTime } from '@/shared/dates'

// What was taken at depths and what was found on it, from the surface down.
type Sample = Schemas['Sample']
const props = defineProps<{ profile: Profile }>()
const router = useRouter()
const words = useWords()
const { ask } = useBin()
const taking = ref(false)
const looking = ref<Sample | null>(null)
const resulting = ref<Sample | null>(null)
const importing = ref(false)
const trouble = ref('')
const conditions = () => words.value.fields.sample!.find(({ name }) => name === 'condition')!.words!

async function attempt(work: () => Promise<unknown>): Promise<void> {
  trouble.value = ''
  try {
    await work()
  } catch (error) {
    trouble.value = (error as Error).message
  }
  forgetLists()
}
const changing = useForm<unknown>()
async function setCondition({ id, version }: Sample, condition: string): Promise<void> {
  trouble.value = ''
  await changing.send('PATCH', `/api/samples/${id}`, { version, described: { condition } })
  trouble.value = changing.general([]) ?? ''
}
const texture = (sample: Sample) =>
  attempt(async () => {
    const id = sample.readings[0]?.id ?? (await request<Reading>('POST', '/api/readings', { sample_id: sample.id })).id
    void router.push(`/readings/${id}`)
  })
const conditionOf = (sample: Sample) => (sample.described as Record<string, string>).condition ?? 'whole'
</script>

<template>
  <section aria-labelledby="samples-title" class="border-t-2 border-ink pt-2">
    <div class="flex flex-wrap items-center gap-4">
      <h2 id="samples-title" class="text-2xl grow">Samples at depths</h2>
      <button type="button" class="button for-writers button-desk print:hidden" @click="importing = true">
        Laboratory results
      </button>
      <RouterLink class="button button-desk print:hidden" :to="`/companion-tests?profile=${profile.id}`"
        >Companion tests</RouterLink
      >
      <button type="button" class="button for-writers button-desk print:hidden" @click="taking = true">
        Take samples
      </button>
    </div>
    <p v-if="trouble" role="alert" class="border-l-8 border-iron bg-warn px-3 py-1 my-2">{{ trouble }}</p>
    <FormConflict :form="changing" :labels="{}" :fields="words.fields.sample!" @done="forgetLists()" />
    <p v-if="!props.profile.samples?.length" class="text-pencil">
      None yet: pH, a drop of acid, crumbs in water, bags for the laboratory.
    </p>
    <ol v-else class="grid">
      <li
        v-for="s in profile.samples"
        :key="s.id"
        class="grid desk:grid-cols-[7rem_minmax(0,1fr)_auto] gap-x-4 items-center border-b border-rule py-1"
        :data-sample="s.depth"
      >
        <b>{{ s.depth }}</b>
        <p class="leading-snug">
          <span class="text-pencil"
            >{{ s.kind_name }}{{ s.horizon ? ` in ${s.horizon}` : ', in no horizon'
            }}{{ s.label ? `, ${s.label}` : '' }}.
          </span>
          <template v-for="f in s.findings" :key="f.test">
            {{ f.said }} <span class="text-pencil text-base">{{ dayAndTime(f.seen_at) }}</span>.
            <span v-if="f.advice" class="font-semibold">{{ f.advice }} </span></template
          ><template v-if="s.laboratory[0]">
            <span class="font-semibold" data-laboratory>Laboratory: {{ s.laboratory[0].said }}.</span>
            {{ s.laboratory[0].beside?.sentence }}
            <span v-if="s.laboratory[0].done.length" class="text-pencil">({{ s.laboratory[0].done.join('; ') }}) </span>
            <span v-if="s.laboratory.length > 1" class="text-pencil">{{ s.laboratory.length - 1 }} earlier. </span>
          </template>
          <span v-if="s.readings[0]?.name">{{ s.readings[0].name }}. </span
          ><span v-if="s.disturbed" class="font-semibold text-iron"
            >{{ s.disturbed }}: it does not speak for its depth.</span
          >
        </p>
        <div class="flex flex-wrap gap-2 print:hidden">
          <button type="button" class="button for-writers button-desk" @click="looking = s">
            Test<span class="sr-only"> the sample from {{ s.depth }}</span>
          </button>
          <button type="button" class="button for-writers button-desk" @click="texture(s)">
            {{ s.readings.length ? 'Open' : 'Texture' }}<span class="sr-only"> the sample from {{ s.depth }}</span>
          </button>
          <button v-if="s.can_be_sent" type="button" class="button for-writers button-desk" @click="resulting = s">
            Laboratory<span class="sr-only"> result of the sample from {{ s.depth }}</span>
          </button>
          <select
            class="field !min-h-11 !text-lg !w-auto"
            :aria-label="`Condition of the sample from ${s.depth}`"
            :value="conditionOf(s)"
            @change="setCondition(s, ($event.target as HTMLSelectElement).value)"
          >
            <option v-for="c in conditions()" :key="c.value" :value="c.value">{{ c.name }}</option>
          </select>
          <button
            type="button"
            class="button button-desk"
            :aria-label="`Delete the sample from ${s.depth}`"
            @click="ask('sample', s.id)"
          >
            ✕
          </button>
        </div>
      </li>
    </ol>
    <ResultDialog v-if="resulting" :sample="resulting" @close="resulting = null" />
    <ResultsImport v-if="importing" @close="importing = false" />
    <SamplesDialog
      v-if="taking || looking"
      :profile="profile"
      :sample="looking"
      @close="((taking = false), (looking = null))"
    />
  </section>
</template>
