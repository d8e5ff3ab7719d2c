<script setup lang="ts">
import { mainKey } from '@/api'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { useTray } from '@/beside/useTray'
import { useBin } from '@/bin/useBin'
import PalmfulDialog from '@/palmfuls/PalmfulDialog.vue'
import SchoolStrip from '@/schools/SchoolStrip.vue'
import ContradictionNotes from '@/bench/verdict/ContradictionNotes.vue'
import OverrideDialog from './OverrideDialog.vue'
import LaboratoryPart from './LaboratoryPart.vue'
import RecordDialog from './RecordDialog.vue'
import WhatHangs from './WhatHangs.vue'
import { useNaming } from '@/bench/useNaming'
import { useBench } from '@/bench/useReading'
import { useBenchKeys } from '@/bench/useBenchKeys'
import KeyNotes from '@/bench/verdict/KeyNotes.vue'

// What can be done with the verdict: take the key's class, give another, or look at how it came about.
const bench = useBench()
const reading = computed(() => bench.reading.value!)
const key = computed(() => mainKey(reading.value))
const { short } = useNaming()
// Of a session, or the second of a double reading: it has no place in the fieldbook.
const apart = computed(() => !!reading.value.turn || !!reading.value.double_id)
const given = computed(() => reading.value.assigned)
const proposals = computed(() => reading.value.proposals)
/** Somebody else's: it is looked at, and nothing of it is offered that would be refused. */
const own = computed(() => !bench.foreign.value)
const choosing = ref(false)
const record = ref(false)
const details = ref(false)
const router = useRouter()
const { ask } = useBin()
const { has, full, toggle } = useTray()
const back = computed(() => (reading.value.profile ? `/profiles/${reading.value.profile.id}` : '/readings'))

useBenchKeys((pressed) => {
  const offer = proposals.value[Number(pressed) - 1]
  if (offer) bench.assign(offer)
  else if (pressed === 'Enter' && !given.value && proposals.value[0]) bench.assign(proposals.value[0])
  else if (pressed === 'o') choosing.value = true
  else if (pressed === 'h') record.value = true
  else return false
  return true
})
</script>

<template>
  <section aria-label="Assign the class" class="grid gap-2 content-start">
    <ContradictionNotes />
    <KeyNotes :notes="key.notes" class="mb-1" />
    <button
      v-for="(o, i) in own ? proposals : []"
      :key="o.full_name"
      type="button"
      class="button min-h-[68px] !justify-between text-left"
      :class="i === 0 && !given ? 'button-main' : ''"
      :aria-pressed="given?.full_name === o.full_name && given.system === o.system"
      @click="bench.assign(o)"
    >
      <span class="font-extrabold">Assign {{ o.full_name }}</span
      ><kbd class="font-sans font-normal text-lg" aria-hidden="true">{{ i + 1 }}</kbd>
    </button>
    <div class="grid grid-cols-2 gap-2">
      <button v-if="own" type="button" class="button px-2" @click="choosing = true">Other class</button>
      <button type="button" class="button px-2" @click="record = true">The record</button>
      <button
        v-if="!apart"
        type="button"
        class="button px-2"
        :aria-pressed="has(reading.id)"
        :disabled="full() && !has(reading.id)"
        @click="toggle({ id: reading.id, name: reading.name })"
      >
        Set beside
      </button>
      <button
        v-if="!apart && own"
        type="button"
        class="button px-2"
        @click="ask('reading', reading.id, () => void router.push(back))"
      >
        Delete
      </button>
      <button
        v-if="!reading.profile && !apart && own"
        type="button"
        class="button px-2 col-span-2"
        @click="details = true"
      >
        Name, place, photo
      </button>
    </div>
    <WhatHangs v-if="!apart" />
    <LaboratoryPart v-if="given && !apart" :reading="reading" />
    <SchoolStrip :reading="reading" :short="short" class="border-y-[1.5px] border-ink pb-2 mt-1" />
    <OverrideDialog :open="choosing" @close="choosing = false" />
    <PalmfulDialog v-if="details" :reading="reading" @close="details = false" />
    <RecordDialog v-if="record" :reading-id="reading.id" @close="record = false" />
  </section>
</template>
