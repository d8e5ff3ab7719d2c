<script setup lang="ts">
import { useEventListener, useTitle } from '@vueuse/core'
import { computed, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { forgetLists, request, useProfile, type Horizon, type Profile, type Reading } from '@/api'
import { useBin } from '@/bin/useBin'
import CautionNote from '@/shared/CautionNote.vue'
import ExportDialog from '@/shared/ExportDialog.vue'
import MoreMenu from '@/shared/MoreMenu.vue'
import { useSession } from '@/people/useSession'
import PageState from '@/shared/PageState.vue'
import PhotoStrip from '@/shared/PhotoStrip.vue'
import { useTheme } from '@/shared/useTheme'
import ContrastList from './ContrastList.vue'
import DetailsDialog from './DetailsDialog.vue'
import DuplicateDialog from './DuplicateDialog.vue'
import HorizonDialog from './HorizonDialog.vue'
import ReadingDown from './ReadingDown.vue'
import SamplesPanel from './SamplesPanel.vue'
import SurveyPanel from '@/survey/SurveyPanel.vue'
import SectionDrawing from './SectionDrawing.vue'
import SplitDialog from './SplitDialog.vue'
import StickyColumn from './StickyColumn.vue'

// One profile: the column to depth scale, and what each horizon was called, hung at its depth.
const route = useRoute()
const router = useRouter()
const id = computed(() => Number(route.params.id))
const { data: profile, error, refetch } = useProfile(id)
const { theme, toggle } = useTheme()
const editing = ref<Horizon | 'new' | null>(null)
const splitting = ref<{ horizon: Horizon; cm: number } | null>(null)
const gap = ref<Profile['gaps'][number] | null>(null)
const details = ref(false)
const exporting = ref(false)
const duplicating = ref(false)
const { ask } = useBin()
const trouble = ref('')

useTitle(computed(() => `${profile.value?.name ?? 'Section'} · Grittle`))
const people = computed(() =>
  [
    profile.value?.textured_by && `Textured by ${profile.value.textured_by}`,
    profile.value?.recorded_by && `recorded by ${profile.value.recorded_by}`,
  ]
    .filter(Boolean)
    .join(', '),
)
const line = computed(() => {
  const p = profile.value!
  return [`${p.site.name}. ${p.kind_name}.`, `${p.method_name}.`, people.value && `${people.value}.`]
    .filter(Boolean)
    .join(' ')
})

const { mayWrite } = useSession()
const menu = computed(() => [
  { name: 'Table of horizons', to: `/profiles/${id.value}/table` },
  { name: 'Beside another profile', to: `/compare?left=${id.value}` },
  { name: 'Export', act: () => (exporting.value = true) },
  { name: 'Duplicate for the next hole', act: () => (duplicating.value = true) },
  ...(mayWrite.value
    ? [{ name: 'Delete profile', act: () => ask('profile', id.value, () => void router.push('/')) }]
    : []),
  { name: 'History', to: `/history/profile/${id.value}` },
  { name: theme.value === 'dusk' ? 'Light' : 'Dark', act: toggle },
])

const texture = (horizon: Horizon) =>
  horizon.reading ? void router.push(`/readings/${horizon.reading.id}`) : void begin(horizon)
async function begin(horizon: Horizon): Promise<void> {
  trouble.value = ''
  try {
    const begun = await request<Reading>('POST', '/api/readings', { horizon_id: horizon.id })
    forgetLists()
    void router.push(`/readings/${begun.id}`)
  } catch (problem) {
    trouble.value = (problem as Error).message
  }
}
// Enter or t textures what is next, wherever nothing else is pressed.
useEventListener(window, 'keydown', (event: KeyboardEvent) => {
  const target = event.target as HTMLElement
  if (event.defaultPrevented || event.ctrlKey || event.metaKey || event.altKey || !['Enter', 't'].includes(event.key))
    return
  if (
    target.closest('input, textarea, select, button, a, [role="dialog"], [role="menu"], [tabindex]') ||
    document.querySelector('[role="dialog"]')
  )
    return
  const following = profile.value?.horizons.find(({ id: horizon }) => horizon === profile.value!.next_horizon_id)
  if (!following) return
  event.preventDefault()
  texture(following)
})
// Changes of the layers themselves. What the server refuses is said, and the drawing shows what is kept.
async function change(path: string, body: Record<string, unknown>): Promise<void> {
  trouble.value = ''
  try {
    await request('POST', path, body)
  } catch (problem) {
    trouble.value = (problem as Error).message
  }
  forgetLists()
}
const move = ({ id: horizon, version }: Horizon, cm: number) =>
  change(`/api/horizons/${horizon}/boundary`, { version, lower_cm: cm })
const undo = () => change(`/api/profiles/${id.value}/undo`, {})
async function merge({ id: horizon, version }: Horizon): Promise<void> {
  editing.value = null
  await change(`/api/horizons/${horizon}/merge`, { version })
}
function fillGap(pressed: Profile['gaps'][number]): void {
  gap.value = pressed
  editing.value = 'new'
}
function splitFrom(horizon: Horizon): void {
  editing.value = null
  splitting.value = { horizon, cm: Math.round((horizon.upper_cm + horizon.lower_cm) / 2) }
}
</script>

<template>
  <PageState v-if="!profile" :error="error" @retry="refetch()" />
  <div v-else class="min-h-dvh flex flex-col text-lg">
    <header class="page-head desk:h-[78px]">
      <RouterLink to="/" class="way-back pr-2">‹ Fieldbook</RouterLink>
      <div class="min-w-0 grow desk:basis-0">
        <h1 class="text-3xl leading-tight truncate">{{ profile.name }}</h1>
        <p class="text-pencil desk:truncate leading-tight text-base">{{ line }}</p>
      </div>
      <div class="flex max-desk:flex-wrap shrink-0 max-w-full gap-1.5 print:hidden">
        <button v-if="profile.undo" type="button" class="button for-writers max-w-64 leading-tight" @click="undo">
          Undo: {{ profile.undo }}
        </button>
        <button type="button" class="button for-writers px-3" @click="editing = 'new'">Add horizon</button>
        <button type="button" class="button for-writers px-3" @click="details = true">Profile details</button>
        <RouterLink v-if="profile.horizons.length" :to="`/profiles/${id}/interpretation`" class="button px-3"
          >Interpretation</RouterLink
        >
        <MoreMenu label="More" :entries="menu" />
      </div>
    </header>
    <main class="px-4 desk:px-6 py-3 grow flex flex-col gap-3">
      <p v-if="trouble" role="alert" class="border-l-8 border-iron bg-warn px-3 py-2">{{ trouble }}</p>
      <SectionDrawing
        v-if="profile.horizons.length"
        :profile="profile"
        @texture="texture"
        @edit="editing = $event"
        @fill="fillGap"
        @move="move"
        @split="(horizon, cm) => (splitting = { horizon, cm })"
      />
      <div v-else class="grow grid place-content-center justify-items-center gap-4 text-center py-16">
        <svg viewBox="0 0 120 170" width="120" aria-hidden="true">
          <path d="M20 5h80v160H20z" class="undone" />
          <path d="M20 50h80M20 110h80" class="undone" />
        </svg>
        <p class="text-2xl font-extrabold">No horizon yet.</p>
        <p>Look for changes of colour, feel, moisture, roots or stones, and write down from where to where.</p>
        <button type="button" class="button for-writers button-main" @click="editing = 'new'">
          Add the first horizon
        </button>
      </div>
      <div v-if="profile.horizons.length" class="desk:grid desk:grid-cols-[132px_minmax(0,1fr)] gap-6">
        <div><StickyColumn :profile="profile" /></div>
        <div class="grid gap-4 content-start">
          <ContrastList
            v-if="profile.contrasts.length || profile.perching.length"
            :profile="profile"
            :contrasts="profile.contrasts"
            :perching="profile.perching"
            :sandwiches="profile.sandwiches"
          />
          <ReadingDown :profile="profile" />
          <SamplesPanel :profile="profile" />
          <SurveyPanel :profile="profile" />
          <section aria-labelledby="photos-title" class="border-t-2 border-ink pt-2">
            <h2 id="photos-title" class="text-2xl mb-1">Photographs</h2>
            <PhotoStrip of="profile" :id="profile.id" :photos="profile.photos ?? []" :what="profile.name" />
          </section>
        </div>
      </div>
      <CautionNote name="results" class="mt-auto" />
    </main>
    <HorizonDialog
      v-if="editing"
      :profile="profile"
      :horizon="editing === 'new' ? null : editing"
      :gap="gap"
      @close="((editing = null), (gap = null))"
      @split="splitFrom"
      @merge="merge"
      @again="begin"
    />
    <DetailsDialog v-if="details" :profile="profile" @close="details = false" />
    <ExportDialog v-if="exporting" of="profile" :id="profile.id" :name="profile.name" @close="exporting = false" />
    <DuplicateDialog v-if="duplicating" :profile="profile" @close="duplicating = false" />
    <SplitDialog v-if="splitting" :horizon="splitting.horizon" :cm="splitting.cm" @close="splitting = null" />
  </div>
</template>
