<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import {
  forgetLists,
  quickQuery,
  request,
  sitesQuery,
  workQuery,
  type Reading,
  type Site,
  type Sort,
  type Wanted,
} from '@/api'
import { useLocalStorage, useMediaQuery } from '@vueuse/core'
import MarkGrittle from '@/drawing/MarkGrittle.vue'
import WhoIsHere from '@/people/WhoIsHere.vue'
import { useSession } from '@/people/useSession'
import WaitingNote from '@/outbox/WaitingNote.vue'
import ExportDialog from '@/shared/ExportDialog.vue'
import PageState from '@/shared/PageState.vue'
import PageTurner from '@/shared/PageTurner.vue'
import ContinueKey from './ContinueKey.vue'
import LandView from './LandView.vue'
import ListView from './ListView.vue'
import ProfileDialog from './ProfileDialog.vue'
import QuickReadings from './QuickReadings.vue'
import SearchBar from './SearchBar.vue'
import SiteDialog from './SiteDialog.vue'

const router = useRouter()
const { session, mayWrite } = useSession()
const page = ref(1)
const wanted = ref<Wanted>({ text: '', class: '', from: '', to: '', unfinished: '' })
const searching = computed(() => Object.values(wanted.value).some(Boolean))
watch(wanted, () => (page.value = 1))
const sort = useLocalStorage<Sort>('grittle.sort', 'own')
const sites = useQuery(computed(() => sitesQuery(page.value, wanted.value, sort.value)))
const work = useQuery(workQuery)
const quick = useQuery(quickQuery())

const list = computed(() => sites.data.value?.sites ?? [])
const profiles = computed(() => list.value.flatMap((site) => site.profiles))
const horizons = computed(() => profiles.value.flatMap((profile) => profile.horizons))
const textured = computed(() => horizons.value.filter(({ code }) => code).length)
// A site with many profiles lists its first; horizons are counted where all are listed.
const inAll = computed(() => list.value.reduce((sum, { profile_count }) => sum + profile_count, 0))
const count = (n: number, noun: string) => `${n} ${noun}${n === 1 ? '' : 's'}`

const summary = computed(() => {
  if (!list.value.length) return searching.value ? 'No site found' : 'No site yet'
  const { total, more } = sites.data.value!
  const all = inAll.value === profiles.value.length // else horizons are not counted
  return [
    `${more ? 'more than ' : ''}${count(total, 'site')}`,
    count(inAll.value, 'profile'),
    ...(all ? [`${textured.value} of ${count(horizons.value.length, 'horizon')} textured`] : []),
  ].join(', ')
})
// A phone has no room for the land: there the list leads, until somebody wants the land.
const phone = useMediaQuery('(max-width: 720px)')
const view = useLocalStorage<'land' | 'list' | null>('grittle.view', null)
const listed = computed(() => (view.value ?? (phone.value ? 'list' : 'land')) === 'list')
const siteDialog = ref<Site | 'new' | null>(null)
const exporting = ref(false)
const profileSite = ref<Site | null>(null)
const trouble = ref('')

async function begin(horizonId: number | null): Promise<void> {
  trouble.value = ''
  try {
    const reading = await request<Reading>('POST', '/api/readings', horizonId ? { horizon_id: horizonId } : {})
    forgetLists()
    void router.push(`/readings/${reading.id}`)
  } catch (error) {
    trouble.value = (error as Error).message
  }
}
/** A first reading of an imagined sample, told step by step. */
async function guide(): Promise<void> {
  trouble.value = ''
  try {
    const reading = await request<Reading>('POST', '/api/readings', { label: 'Imagined sample' })
    void router.push(`/readings/${reading.id}?guide=1`)
  } catch (error) {
    trouble.value = (error as Error).message
  }
}
function goOn(): void {
  const found = work.data.value?.work
  if (found?.reading_id) void router.push(`/readings/${found.reading_id}`)
  else if (found?.horizon_id) void begin(found.horizon_id)
}
function siteSaved(site: Site): void {
  if (siteDialog.value === 'new') profileSite.value = site
  siteDialog.value = null
}
function addProfile(site: Site): void {
  siteDialog.value = null
  profileSite.value = site
}
</script>

<template>
  <PageState v-if="!sites.data.value" :error="sites.error.value" @retry="sites.refetch()" />
  <div
    v-else
    class="desk:grid desk:grid-cols-[292px_minmax(0,1fr)] desk:grid-rows-[auto_1fr] min-h-dvh text-lg content-start"
  >
    <aside
      aria-label="Start"
      class="bg-leaf p-4 desk:p-6 desk:pb-2 flex flex-col gap-3 desk:gap-4 desk:border-r-[2.5px] border-ink"
    >
      <div class="flex items-center justify-between gap-3">
        <p class="flex items-center gap-3 text-3xl desk:text-4xl font-extrabold tracking-tight -ml-1">
          <MarkGrittle />Grittle
        </p>
        <button v-if="mayWrite" type="button" class="button font-extrabold desk:hidden" @click="begin(null)">
          Quick reading
        </button>
      </div>
      <ContinueKey
        v-if="mayWrite && work.data.value?.work"
        :work="work.data.value.work"
        :profile="profiles.find(({ id }) => id === work.data.value?.work?.profile_id)"
        @go="goOn"
      />
      <p v-else-if="mayWrite" class="border-2 border-dashed border-rule p-4 max-desk:py-2 text-pencil">
        Nothing is unfinished.
      </p>
      <p v-else class="border-2 border-dashed border-rule p-4 max-desk:py-2 text-pencil">
        You read this fieldbook: open, compare, interpret and export what is in it.
      </p>
      <button
        v-if="mayWrite"
        type="button"
        class="button min-h-[68px] text-2xl font-extrabold max-desk:hidden"
        @click="begin(null)"
      >
        Quick reading
      </button>
      <p v-if="mayWrite" class="text-pencil -mt-2 max-desk:hidden">A palmful from anywhere. It needs no site.</p>
      <p v-if="trouble" role="alert" class="border-l-8 border-iron bg-warn px-3 py-2">{{ trouble }}</p>
    </aside>
    <main class="fieldbook-main">
      <WaitingNote />
      <header class="flex flex-wrap justify-between items-start gap-3">
        <div>
          <h1 class="text-3xl desk:text-[2.625rem] leading-none">{{ session?.fieldbook?.name ?? 'Fieldbook' }}</h1>
          <p class="text-pencil mt-1.5">
            {{ summary }}
          </p>
        </div>
        <div class="flex flex-wrap gap-2">
          <button v-if="sites.data.value.total || searching" type="button" class="button" @click="exporting = true">
            Export
          </button>
          <RouterLink v-if="mayWrite" class="button" to="/import">Import</RouterLink>
          <button v-if="mayWrite" type="button" class="button" @click="siteDialog = 'new'">Add site</button>
        </div>
      </header>
      <SearchBar v-if="sites.data.value.total || searching" v-model="wanted" class="mt-3" />
      <div v-if="list.length" class="flex flex-wrap gap-2 items-center mt-3">
        <div role="group" aria-label="View" class="flex gap-2">
          <button type="button" class="button button-desk" :aria-pressed="!listed" @click="view = 'land'">Land</button>
          <button type="button" class="button button-desk" :aria-pressed="listed" @click="view = 'list'">List</button>
        </div>
        <label v-if="!searching && sites.data.value.total > 1" class="flex items-center gap-2 ml-auto">
          <span class="text-base font-semibold">Order</span
          ><select v-model="sort" class="field !min-h-11 !text-base !px-2 !w-40" @change="page = 1">
            <option value="own">As I put them</option>
            <option value="name">By name</option>
            <option value="newest">Newest first</option>
          </select></label
        >
      </div>
      <ListView
        v-if="list.length && listed"
        :sites="list"
        :here="work.data.value?.work?.profile_id"
        :movable="sort === 'own' && !searching"
        @add-profile="profileSite = $event"
        @open="siteDialog = $event"
      />
      <LandView
        v-else-if="list.length"
        :sites="list"
        :here="work.data.value?.work?.profile_id"
        @add-profile="profileSite = $event"
        @open="siteDialog = $event"
      />
      <p v-else-if="searching" class="py-16 text-2xl font-extrabold text-center" role="status">
        Nothing in the fieldbook fits that.
      </p>
      <div v-else class="grow grid place-content-center gap-4 text-center py-16">
        <svg viewBox="0 0 300 190" width="300" class="mx-auto" aria-hidden="true">
          <path d="M0 30H110M190 30h110" class="inked" style="stroke-width: 4" />
          <path d="M118 30v150h64V30M118 70h64M118 120h64" class="undone" />
        </svg>
        <p class="text-2xl font-extrabold">No sites yet.</p>
        <p>Add a site, then the first pit or auger hole in it.</p>
        <p v-if="mayWrite">
          <button type="button" class="button button-main" @click="siteDialog = 'new'">Add the first site</button>
        </p>
        <template v-if="mayWrite && quick.data.value?.total === 0">
          <p class="mt-6 max-w-xl mx-auto">
            New here? Texture one sample that you only imagine: about two minutes, and nothing of it stays.
          </p>
          <p><button type="button" class="button" @click="guide">Show me one reading</button></p>
        </template>
      </div>
      <PageTurner v-model="page" :pages="sites.data.value.pages" what="sites" class="mt-6" />
    </main>
    <aside aria-label="More" class="fieldbook-more">
      <QuickReadings
        v-if="quick.data.value?.total"
        :readings="quick.data.value.readings"
        :total="quick.data.value.total"
      />
      <!-- With the quick readings above it, or it would be pushed down when they come. -->
      <div v-if="!quick.isPending.value" class="grid grid-cols-2 gap-2">
        <RouterLink to="/companion-tests" class="button button-desk col-span-2">Companion tests</RouterLink>
        <RouterLink to="/laboratory" class="button button-desk">Laboratory</RouterLink>
        <RouterLink to="/practice" class="button button-desk">Practice</RouterLink>
        <RouterLink to="/triangle" class="button button-desk">Triangle</RouterLink>
        <RouterLink to="/tests" class="button button-desk">Tests</RouterLink>
        <RouterLink to="/settings" class="button button-desk">Settings</RouterLink>
        <RouterLink to="/bin" class="button button-desk">Bin</RouterLink>
        <RouterLink to="/members" class="button button-desk col-span-2">Members</RouterLink>
      </div>
      <WhoIsHere class="mt-auto" />
    </aside>
    <SiteDialog
      v-if="siteDialog"
      :site="siteDialog === 'new' ? null : siteDialog"
      @close="siteDialog = null"
      @made="siteSaved"
      @add-profile="addProfile"
    />
    <ExportDialog v-if="exporting" of="fieldbook" name="the whole fieldbook" @close="exporting = false" />
    <ProfileDialog v-if="profileSite" :site="profileSite" @close="profileSite = null" />
  </div>
</template>
