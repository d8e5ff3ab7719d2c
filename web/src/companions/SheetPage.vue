<script setup lang="ts">
import { useTitle } from '@vueuse/core'
import { computed, ref, toRef, watch } from 'vue'
import { useRouter } from 'vue-router'
import CautionNote from '@/shared/CautionNote.vue'
import FieldGrid from '@/shared/FieldGrid.vue'
import PageHead from '@/shared/PageHead.vue'
import PageState from '@/shared/PageState.vue'
import { useBin } from '@/bin/useBin'
import type { SheetPlace } from '@/api'
import type { Written } from '@/shared/described'
import DropCurves from './DropCurves.vue'
import HowItIsDone from './HowItIsDone.vue'
import PlaceCard from './PlaceCard.vue'
import { useSheet } from './useSheet'

// One companion test at all its places: how it is done, their clocks, one look each, what they come to together.
const props = defineProps<{ id: number }>()
const { query, sheet, now, refused, saved, waiting, begin, look, takeBack, beginAnew, add, end } = useSheet(
  toRef(props, 'id'),
)
const { ask } = useBin()
const router = useRouter()
useTitle(computed(() => `${sheet.value?.name ?? 'Companion test'} · Grittle`))
const begun = computed(() => sheet.value?.places.some(({ started_at }) => started_at) ?? false)
const idle = computed(() => sheet.value?.places.filter(({ started_at }) => !started_at) ?? [])
const timed = computed(() => sheet.value?.places.some(({ due }) => due.length) ?? false)
const ended = computed(() => sheet.value?.ended_at !== null)
const steps = ref<boolean>()
watch(sheet, (found) => found && (steps.value ??= !begun.value), { immediate: true })
const refill = ref(true)
/** What is the same at all places, given once. */
const common = ref<Written>({})
function setAll(): void {
  const given = Object.fromEntries(Object.entries(common.value).filter(([, text]) => text))
  if (!Object.keys(given).length) return
  for (const { id } of sheet.value!.places) look(id, given)
  common.value = {}
}
/** A ball of the same soil, on the same sheet, with a clock of its own. */
const ball = ({ name, upper_cm, values }: SheetPlace) =>
  add({
    label: upper_cm === null ? `${name}, remoulded` : 'Remoulded',
    upper_cm,
    setup: { water: (values as Record<string, unknown>).water ?? '', remoulded: true },
  })
const owner = computed(() => sheet.value?.profile)
const all = computed(() => (sheet.value?.places.length ?? 0) > 1)
const STATES: Record<string, string> = { saved: 'Saved', saving: 'Saving', conflict: 'Changed meanwhile' }
</script>

<template>
  <PageState v-if="!sheet" :error="query.error.value" @retry="query.refetch()" />
  <div v-else class="min-h-dvh flex flex-col text-lg">
    <PageHead
      :title="sheet.name"
      :line="sheet.site?.name ?? ''"
      :back="owner ? `/companion-tests?profile=${owner.id}` : '/companion-tests'"
      back-name="Companion tests"
    >
      <span role="status" class="text-base text-pencil" data-saved>{{
        STATES[saved] ?? `${waiting} on this device, not sent`
      }}</span>
      <RouterLink v-if="owner" class="button button-desk" :to="`/profiles/${owner.id}`">Section</RouterLink>
      <button type="button" class="button button-desk" @click="end(!ended)">{{ ended ? 'Go on' : 'End it' }}</button>
      <button
        type="button"
        class="button button-desk"
        @click="ask('companion_test', sheet.id, () => router.push('/companion-tests'))"
      >
        Delete
      </button>
    </PageHead>
    <main class="px-4 desk:px-6 py-3 grow grid grid-cols-[minmax(0,1fr)] gap-4 content-start">
      <p v-if="refused" role="alert" class="border-l-8 border-iron bg-warn px-3 py-2">{{ refused }}</p>
      <details
        :open="steps"
        class="border-b-2 border-ink pb-3"
        @toggle="steps = ($event.target as HTMLDetailsElement).open"
      >
        <summary class="summary-line text-xl">How it is done</summary>
        <HowItIsDone :kind="sheet.kind" class="pt-2" />
      </details>
      <form
        v-if="!ended && !begun && sheet.kind.setup.length && all"
        class="grid gap-3"
        aria-label="Set up all"
        @submit.prevent="setAll"
      >
        <FieldGrid v-model="common" :fields="sheet.kind.setup" :error="() => undefined" />
        <button class="button button-desk justify-self-start" type="submit">
          Set up all {{ sheet.places.length }}
        </button>
      </form>
      <div
        v-if="!ended && (timed || sheet.test === 'percolation') && idle.length > 1"
        class="flex flex-wrap gap-3 items-center"
      >
        <button type="button" class="button button-main" data-begin-all @click="begin()">
          {{ sheet.kind.started_by }} all {{ idle.length }} clocks
        </button>
        <span class="text-pencil">or each by itself, as you go from one to the next.</span>
      </div>
      <label v-if="sheet.test === 'percolation' && !ended" class="flex items-center gap-3 min-h-11">
        <input v-model="refill" type="checkbox" class="size-6 accent-ink" />
        Filled up again after each reading
      </label>
      <ul v-if="sheet.together.length" class="text-xl grid gap-1" aria-label="Together" data-together>
        <li v-for="t in sheet.together" :key="t" class="border-l-8 border-ink pl-3 leading-snug">{{ t }}</li>
      </ul>
      <DropCurves v-if="['percolation', 'columns'].includes(sheet.test)" :sheet="sheet" />
      <div class="grid desk:grid-cols-2 min-[70rem]:grid-cols-3 gap-4 items-start">
        <PlaceCard
          v-for="p in sheet.places"
          :key="p.id"
          :kind="sheet.kind"
          :place="p"
          :now="now"
          :refill="refill"
          :ended="ended"
          @begin="begin(p.id)"
          @look="look(p.id, $event)"
          @take-back="takeBack(p.id, $event)"
          @anew="beginAnew(p.id)"
          @ball="ball(p)"
        />
      </div>
      <p
        v-if="sheet.kind.leave && begun && !ended"
        class="border-l-8 border-iron bg-warn px-3 py-2 font-semibold"
        role="note"
      >
        {{ sheet.kind.leave }}
      </p>
      <CautionNote name="results" class="mt-auto" />
    </main>
  </div>
</template>
