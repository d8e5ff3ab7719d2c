<script setup lang="ts">
import { useIntervalFn } from '@vueuse/core'
import { computed, ref } from 'vue'
import { forgetLists, request, sendFile, type Schemas } from '@/api'

// A file on its way in: what it is, what its columns are, what is wrong in it; then all of it is imported, or nothing.
type Import = Schemas['Import']
const sent = ref<Import | null>(null)
const busy = ref(false)
const trouble = ref('')
const over = ref(false)
const NOUNS: Record<string, string> = {
  sites: 'sites',
  profiles: 'profiles',
  horizons: 'horizons',
  samples: 'samples',
  findings: 'findings',
  readings: 'readings',
  ribbons: 'ribbons',
  photos: 'photos',
}
const counts = computed(() =>
  Object.entries(sent.value?.counts ?? {})
    .filter(([name]) => NOUNS[name])
    .map(([name, count]) => `${count} ${NOUNS[name]}`)
    .join(', '),
)
const underWay = computed(() => ['queued', 'running'].includes(sent.value?.state ?? ''))
const table = computed(() => sent.value?.table ?? null)
const share = computed(() => (sent.value?.total ? Math.round((100 * sent.value.done) / sent.value.total) : 0))
const unit = computed(() => table.value?.unit ?? 'cm')

async function attempt(work: () => Promise<Import>): Promise<void> {
  busy.value = true
  trouble.value = ''
  try {
    sent.value = await work()
  } catch (error) {
    trouble.value = (error as Error).message
  } finally {
    busy.value = false
  }
}
async function choose(file: File | undefined): Promise<void> {
  over.value = false
  if (!file) return
  sent.value = null
  await attempt(() => sendFile<Import>(`/api/imports?name=${encodeURIComponent(file.name)}`, file))
}
function picked(event: Event): void {
  const input = event.target as HTMLInputElement
  void choose(input.files?.[0])
  input.value = ''
}
const map = (targets: (string | null)[], depthUnit: string) =>
  attempt(() => request<Import>('PUT', `/api/imports/${sent.value!.id}/mapping`, { targets, unit: depthUnit }))
/** A meaning that another column had goes from there to here. */
function setTarget(index: number, name: string): void {
  void map(
    table.value!.targets.map((old, i) => (i === index ? name || null : old === name ? null : old)),
    unit.value,
  )
}
/** Who of the file is another than the person of the fieldbook who is called so. */
function tellApart(name: string, other: boolean): void {
  const others = sent.value!.people.filter((one) => (one.name === name ? other : one.other)).map((one) => one.name)
  void attempt(() => request<Import>('PUT', `/api/imports/${sent.value!.id}/people`, { others }))
}
const cancel = () => attempt(() => request<Import>('POST', `/api/imports/${sent.value!.id}/cancel`, {}))
const watcher = useIntervalFn(() => void look(), 300, { immediate: false })
async function look(): Promise<void> {
  try {
    sent.value = await request<Import>('GET', `/api/imports/${sent.value!.id}`)
  } catch (error) {
    trouble.value = (error as Error).message
  }
  if (underWay.value && !trouble.value) return
  watcher.pause()
  forgetLists()
}
async function run(): Promise<void> {
  await attempt(() => request<Import>('POST', `/api/imports/${sent.value!.id}/run`, {}))
  if (!trouble.value) watcher.resume()
}
</script>

<template>
  <div class="min-h-dvh flex flex-col text-lg">
    <header class="page-head">
      <RouterLink to="/" class="way-back">‹ Fieldbook</RouterLink>
      <div>
        <h1 class="text-3xl leading-tight">Import</h1>
        <p class="text-pencil leading-tight">All of a file, or nothing of it</p>
      </div>
    </header>
    <main class="px-4 desk:px-6 py-4 grid grid-cols-[minmax(0,1fr)] gap-5 content-start max-w-6xl">
      <label
        v-if="!sent"
        class="drop-place"
        :class="over ? 'bg-lit text-lit-ink' : 'bg-leaf'"
        @dragover.prevent="over = true"
        @dragleave="over = false"
        @drop.prevent="choose($event.dataTransfer?.files[0])"
      >
        <span class="text-2xl font-extrabold">{{ busy ? 'Reading the file' : 'Choose a file, or drop it here' }}</span>
        <span
          >A package or JSON that Grittle wrote; a table of horizons as CSV from any spreadsheet; or sites as GeoJSON
          points.</span
        >
        <input
          type="file"
          class="text-lg max-w-full"
          accept=".zip,.json,.geojson,.csv,.txt,.tsv"
          aria-label="File to import"
          :disabled="busy"
          @change="picked"
        />
      </label>
      <p v-if="trouble" role="alert" class="border-l-8 border-iron bg-warn px-3 py-2">{{ trouble }}</p>
      <template v-if="sent">
        <section class="flex flex-wrap items-center gap-x-6 gap-y-2">
          <div class="grow">
            <h2 class="text-2xl">{{ sent.name }}</h2>
            <p>{{ sent.format_name }}: {{ counts || `${sent.total} rows` }}</p>
          </div>
          <button v-if="underWay" type="button" class="button" :disabled="busy" @click="cancel">Cancel</button>
          <button v-else type="button" class="button" @click="sent = null">Another file</button>
          <button
            v-if="sent.state === 'checked'"
            type="button"
            class="button button-main"
            :disabled="busy || sent.problem_count > 0"
            @click="run"
          >
            Import everything
          </button>
          <RouterLink v-if="sent.state === 'done'" class="button button-main" to="/">To the fieldbook</RouterLink>
        </section>
        <div v-if="underWay || sent.state === 'done'" role="status">
          <p class="font-semibold">
            {{
              sent.state === 'done'
                ? `Imported: ${sent.done} of ${sent.total} rows.`
                : `${sent.done} of ${sent.total} rows`
            }}
          </p>
          <p v-if="underWay" class="text-pencil">
            It goes on also when this page is closed or the server starts again.
          </p>
          <progress class="w-full h-5" :value="share" max="100" aria-label="Imported">{{ share }} %</progress>
        </div>
        <p v-if="sent.state === 'cancelled'" role="status" class="border-l-8 border-reed pl-3">
          Cancelled. Nothing was imported.
        </p>
        <p v-if="sent.failure" role="alert" class="border-l-8 border-iron bg-warn px-3 py-2">{{ sent.failure }}</p>
        <section
          v-if="sent.people.length && sent.state === 'checked'"
          aria-labelledby="people-title"
          class="grid gap-1"
        >
          <h2 id="people-title" class="text-2xl">Who is named in it</h2>
          <p class="text-pencil">They become people of this fieldbook, by their names.</p>
          <ul class="border-t-[1.5px] border-ink">
            <li
              v-for="p in sent.people"
              :key="p.name"
              class="flex flex-wrap items-center justify-between gap-x-4 border-b border-rule min-h-14 py-1"
            >
              <b>{{ p.name }}</b>
              <span v-if="!p.known" class="text-pencil">new here</span>
              <label v-else class="flex items-center gap-2"
                ><span class="sr-only">{{ p.name }} of the file is</span
                ><select
                  class="field !w-auto !min-h-11"
                  :disabled="busy"
                  :value="p.other ? 'other' : 'same'"
                  @change="tellApart(p.name, ($event.target as HTMLSelectElement).value === 'other')"
                >
                  <option value="same">{{ p.name }} of this fieldbook</option>
                  <option value="other">somebody else of that name</option>
                </select></label
              >
            </li>
          </ul>
        </section>
        <section v-if="table && sent.state === 'checked'" aria-labelledby="columns-title" class="grid gap-2">
          <div class="flex flex-wrap items-center gap-4">
            <h2 id="columns-title" class="text-2xl grow">What the columns are</h2>
            <label class="flex items-center gap-2 font-semibold"
              >Depths in<select
                class="field !w-auto !min-h-11"
                :value="unit"
                @change="map(table.targets, ($event.target as HTMLSelectElement).value)"
              >
                <option v-for="u in table.units" :key="u">{{ u }}</option>
              </select></label
            >
          </div>
          <div
            class="overflow-x-auto border-2 border-ink bg-leaf"
            tabindex="0"
            role="group"
            aria-label="First rows of the file"
          >
            <table class="text-base border-collapse">
              <thead>
                <tr>
                  <th
                    v-for="(heading, i) in table.headings"
                    :key="i"
                    scope="col"
                    class="text-left p-2 align-bottom border-b-2 border-ink"
                  >
                    <span class="block pb-1">{{ heading || 'no heading' }}</span>
                    <select
                      class="field !min-h-11 !text-base !w-44"
                      :aria-label="`Meaning of ${heading || `column ${i + 1}`}`"
                      :value="table.targets[i] ?? ''"
                      @change="setTarget(i, ($event.target as HTMLSelectElement).value)"
                    >
                      <option value="">Leave it out</option>
                      <option v-for="n in table.names" :key="n.value" :value="n.value">{{ n.name }}</option>
                    </select>
                  </th>
                </tr>
              </thead>
              <tbody>
                <tr v-for="(row, r) in table.rows" :key="r" class="border-t border-rule">
                  <td
                    v-for="(_, i) in table.headings"
                    :key="i"
                    class="p-2 max-w-56 truncate"
                    :class="table.targets[i] ? '' : 'text-pencil line-through'"
                  >
                    {{ row[i] }}
                  </td>
                </tr>
              </tbody>
            </table>
          </div>
          <p class="text-pencil">
            Sites and profiles are made by their names in the file; what is in the fieldbook already is not touched.
          </p>
        </section>
        <section v-if="sent.problem_count" aria-labelledby="problems-title">
          <h2 id="problems-title" class="text-2xl">{{ sent.problem_count }} to mend before anything is imported</h2>
          <p class="text-pencil">
            Change the file and choose it again, or leave a column out.<template
              v-if="sent.problem_count > sent.problems.length"
            >
              The first {{ sent.problems.length }} are named.</template
            >
          </p>
          <ol
            class="mt-2 border-t-[1.5px] border-ink max-h-[50vh] overflow-y-auto"
            tabindex="0"
            aria-label="Problems in the file"
          >
            <li
              v-for="(p, i) in sent.problems"
              :key="i"
              class="grid desk:grid-cols-[12rem_1fr] border-b border-rule py-1"
            >
              <b>{{ p.place }}</b><span>{{ p.sentence }}</span>
            </li>
          </ol>
        </section>
        <p v-else-if="sent.state === 'checked'" class="border-l-8 border-reed pl-3">Nothing is wrong in it.</p>
      </template>
    </main>
  </div>
</template>
