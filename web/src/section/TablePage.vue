<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { computed, nextTick, ref, shallowRef, watch } from 'vue'
import { onBeforeRouteLeave } from 'vue-router'
import { isProblem, useProfile, useWords, type Profile } from '@/api'
import type { Field } from '@/shared/described'
import PageState from '@/shared/PageState.vue'
import { useDepths } from '@/shared/useDepths'
import { useForm } from '@/shared/useForm'
import { changed, laidOver, type Difference, type Row } from './tableRows'
import ConflictTable from '@/shared/ConflictTable.vue'

// The desk's way in: horizons as rows, arrow keys from cell to cell, paste from a spreadsheet. Written as a whole, and
// undone as a whole on the section.
const props = defineProps<{ id: number }>()
const words = useWords()
const { data: profile, error, refetch } = useProfile(() => props.id)
type Column = { name: string; label: string; unit?: string | null; list?: string[]; own: boolean }

const { unit: depthUnit, show, toCm } = useDepths()
const OWN = computed<Column[]>(() => [
  { name: 'designation', label: 'Horizon', own: true },
  { name: 'upper_cm', label: 'From', unit: depthUnit.value, own: true },
  { name: 'lower_cm', label: 'To', unit: depthUnit.value, own: true },
])
const COLOURS = ['moist_colour', 'dry_colour']
const namesOf = ({ words: list, type }: Field): string[] | undefined =>
  type === 'flag' ? ['yes', 'no'] : list?.map(({ name }) => name)
const columns = computed<Column[]>(() => [
  ...OWN.value,
  { name: 'boundary', label: 'Lower boundary', own: true, list: boundaries.value.map(({ name }) => name) },
  { name: 'texture', label: 'Texture', own: true },
  ...words.value.fields.horizon!.map((field) => ({
    name: field.name,
    label: field.label,
    unit: field.unit,
    own: COLOURS.includes(field.name),
    list: namesOf(field),
  })),
])
const boundaries = computed(() => words.value.boundaries[profile.value?.naming_system ?? 'usda'] ?? [])

const rows = ref<Row[]>([])
/** As it was when the person began to write. */
let base: Row[] = []
const kept = ref('[]')
const dirty = computed(() => JSON.stringify(rows.value.map(({ cells }) => cells)) !== kept.value)
const { saving, problem, at, general, send } = useForm<Profile>()
const said = ref('')

const cellOf = (field: Field, value: unknown): string =>
  field.type === 'flag'
    ? value
      ? 'yes'
      : 'no'
    : (field.words?.find((word) => word.value === value)?.name ?? String(value))
function fill(from: Profile): void {
  rows.value = rowsOf(from)
  if (!rows.value.length) add()
  kept.value = JSON.stringify(rows.value.map(({ cells }) => cells))
  base = rowsOf(from)
}
const rowsOf = (from: Profile): Row[] =>
  from.horizons.map((h) => ({
    id: h.id,
    version: h.version,
    cells: {
      designation: h.designation,
      upper_cm: show(h.upper_cm),
      lower_cm: show(h.lower_cm),
      texture: h.named?.full_name ?? '',
      boundary: boundaries.value.find(({ value }) => value === h.boundary)?.name ?? '',
      moist_colour: h.moist_colour?.notation ?? '',
      dry_colour: h.dry_colour?.notation ?? '',
      ...Object.fromEntries(
        words.value.fields
          .horizon!.filter(({ name }) => name in h.described)
          .map((field) => [field.name, cellOf(field, (h.described as Record<string, unknown>)[field.name])]),
      ),
    },
  }))
watch(profile, (now) => now && !dirty.value && fill(now), { immediate: true })

/** The class of a horizon that was textured follows from its reading. */
const textured = (row: Row): boolean => !!profile.value?.horizons.find(({ id }) => id === row.id)?.reading
const cell = (row: Row, name: string) => row.cells[name] ?? ''
/** The rows that were sent last, by their place here. */
const sent = ref<number[]>([])
const wrong = (index: number, { name }: Column): string | undefined => {
  const row = `rows/${sent.value.indexOf(index)}`
  return at(`${row}/${name}`) ?? at(`${row}/described/${name}`)
}
const placed = computed(() => rows.value.some((_, i) => columns.value.some((column) => wrong(i, column))))

/** A new row begins where the last ends, with what usually goes on downwards. */
function add(): void {
  const last = rows.value.at(-1)
  const carried = words.value.fields
    .horizon!.filter(({ carries }) => carries)
    .map(({ name }) => [name, last?.cells[name] ?? ''])
  rows.value.push({ cells: { ...Object.fromEntries(carried), upper_cm: last?.cells.lower_cm ?? '0' } })
}
function drop(index: number): void {
  rows.value.splice(index, 1)
}
const box = ref<HTMLElement>()
async function focus(row: number, column: number): Promise<void> {
  if (row >= rows.value.length && row === rows.value.length && filled(rows.value.at(-1))) add()
  await nextTick()
  const cell = box.value?.querySelector<HTMLInputElement>(
    `[data-cell="${Math.min(row, rows.value.length - 1)}-${column}"]`,
  )
  cell?.focus()
  cell?.select()
}
const filled = (row?: Row) => !!row && ['designation', 'upper_cm', 'lower_cm'].every((name) => cell(row, name))
function move(event: KeyboardEvent, row: number, column: number): void {
  const input = event.target as HTMLInputElement
  // A cell just come to is selected as a whole: typing replaces it, and arrows go on.
  const whole = input.selectionStart === 0 && input.selectionEnd === input.value.length
  const atStart = whole || (input.selectionStart === 0 && input.selectionEnd === 0)
  const atEnd = whole || input.selectionStart === input.value.length
  const to = {
    ArrowDown: [row + 1, column],
    Enter: [row + 1, column],
    ArrowUp: [row - 1, column],
    ArrowLeft: atStart ? [row, column - 1] : null,
    ArrowRight: atEnd ? [row, column + 1] : null,
  }[event.key]
  if (!to || to[0]! < 0 || to[1]! < 0 || to[1]! >= columns.value.length) return
  event.preventDefault()
  void focus(to[0]!, to[1]!)
}
/** Lines and tabs of a spreadsheet run from the cell on, right and down. */
function paste(event: ClipboardEvent, row: number, column: number): void {
  const text = event.clipboardData?.getData('text/plain') ?? ''
  if (!/[\t\n]/.test(text)) return
  event.preventDefault()
  text
    .replace(/\r/g, '')
    .replace(/\n$/, '')
    .split('\n')
    .forEach((line, down) => {
      while (rows.value.length <= row + down) rows.value.push({ cells: {} })
      line.split('\t').forEach((value, right) => {
        const target = columns.value[column + right]
        if (target && !(target.name === 'texture' && textured(rows.value[row + down]!)))
          rows.value[row + down]!.cells[target.name] = value.trim()
      })
    })
}
/** cm; what was not touched stays as it is kept, whatever unit it is shown in. */
function depthOf(row: Row, name: 'upper_cm' | 'lower_cm'): number | string | null {
  const before = profile.value?.horizons.find(({ id }) => id === row.id)?.[name]
  return before !== undefined && show(before) === cell(row, name) ? before : (toCm(cell(row, name)) ?? null)
}
const boundaryOf = (text: string): string | null =>
  text
    ? (boundaries.value.find(({ name, value }) => [name.toLowerCase(), value].includes(text.toLowerCase()))?.value ??
      text)
    : null
/** The columns of a row as they are sent. */
function written(row: Row, names: string[]): Record<string, unknown> {
  const own = {
    designation: cell(row, 'designation'),
    upper_cm: depthOf(row, 'upper_cm'),
    lower_cm: depthOf(row, 'lower_cm'),
    boundary: boundaryOf(cell(row, 'boundary')),
    ...(textured(row) ? {} : { texture: cell(row, 'texture') || null }),
    moist_colour: cell(row, 'moist_colour'),
    dry_colour: cell(row, 'dry_colour'),
  }
  const described = columns.value.filter(
    ({ name, own }) => !own && row.cells[name] !== undefined && names.includes(name),
  )
  return {
    ...Object.fromEntries(Object.entries(own).filter(([name]) => names.includes(name))),
    ...(described.length
      ? { described: Object.fromEntries(described.map(({ name }) => [name, cell(row, name)])) }
      : {}),
  }
}
async function save(): Promise<void> {
  const names = columns.value.map(({ name }) => name)
  const changes = changed(base, rows.value, names)
  sent.value = changes.map(({ place }) => place)
  const body = changes.map(({ row, columns: list }) => ({
    ...(row.id ? { id: row.id, version: row.version } : {}),
    ...written(row, list),
  }))
  const saved = await send('PUT', `/api/profiles/${props.id}/table`, { rows: body })
  if (!saved) return meanwhile()
  clash.value = null
  fill(saved)
  said.value = `${saved.horizons.length} horizons are saved.`
}
/** Somebody else saved the table meanwhile: both versions are laid over each other, and the person chooses. */
const clash = shallowRef<{ now: Profile; rows: Row[]; differences: Difference[] } | null>(null)
async function meanwhile(): Promise<void> {
  if (!isProblem(problem.value) || problem.value.status !== 409) return
  const now = (await refetch()).data
  const names = columns.value.map(({ name }) => name)
  if (now) clash.value = { now, ...laidOver(base, rows.value, rowsOf(now), names) }
}
function saveMine(): void {
  rows.value = clash.value!.rows
  base = rowsOf(clash.value!.now)
  void save()
}
function keepTheirs(): void {
  fill(clash.value!.now)
  clash.value = null
  problem.value = undefined
}
const clashing = computed(() =>
  (clash.value?.differences ?? []).map(({ row, column, theirs, mine }) => {
    const label = columns.value.find(({ name }) => name === column)?.label ?? column
    return { key: `${row}-${column}`, label: `${row}, ${label.toLowerCase()}`, theirs, mine }
  }),
)
useEventListener(window, 'keydown', (event: KeyboardEvent) => {
  if (!(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== 's') return
  event.preventDefault()
  void save()
})
useEventListener(window, 'beforeunload', (event: BeforeUnloadEvent) => dirty.value && event.preventDefault())
onBeforeRouteLeave(() => !dirty.value || window.confirm('Leave the table? What you wrote in it is not saved.'))
</script>

<template>
  <PageState v-if="!profile" :error="error" @retry="refetch()" />
  <div v-else class="min-h-dvh flex flex-col text-lg">
    <header class="page-head">
      <RouterLink :to="`/profiles/${id}`" class="way-back">‹ Section</RouterLink>
      <div class="grow">
        <h1 class="text-3xl leading-tight">{{ profile.name }}, table of horizons</h1>
        <p class="text-pencil leading-tight text-base">
          Arrow keys go from cell to cell, Enter goes down; lines from a spreadsheet can be pasted. Ctrl+S saves.
        </p>
      </div>
      <button type="button" class="button for-writers" @click="add">Add a row</button>
      <button type="button" class="button for-writers button-main" :disabled="saving || !dirty" @click="save">
        Save the table
      </button>
    </header>
    <main class="p-4 desk:px-6 grid grid-cols-[minmax(0,1fr)] gap-3 content-start">
      <section
        v-if="clash"
        role="alert"
        aria-labelledby="clash-title"
        class="border-l-8 border-iron bg-warn px-4 py-3 grid gap-3"
        data-conflict
      >
        <h2 id="clash-title" class="text-xl leading-tight">
          Changed in another window, or by somebody else. Yours is not saved yet.
        </h2>
        <ConflictTable v-if="clashing.length" class="max-w-3xl" what="Horizon" :lines="clashing" />
        <p v-else>You and they changed different cells: both can be kept.</p>
        <div class="flex flex-wrap gap-2">
          <button type="button" class="button" :disabled="saving" @click="saveMine">Save mine on top</button>
          <button type="button" class="button" @click="keepTheirs">Keep what is saved there</button>
        </div>
      </section>
      <p v-else-if="problem && !placed" role="alert" class="border-l-8 border-iron bg-warn px-3 py-2">
        {{ general([]) }}
      </p>
      <p v-else-if="placed" role="alert" class="border-l-8 border-iron bg-warn px-3 py-2">
        Nothing is saved yet: some cells need correcting.
      </p>
      <p role="status" class="text-pencil" :class="said && !dirty ? '' : 'sr-only'">{{ dirty ? '' : said }}</p>
      <div ref="box" class="relative overflow-x-auto border-2 border-ink bg-leaf" role="group" aria-label="Horizons">
        <table class="border-collapse">
          <thead>
            <tr>
              <th
                v-for="(c, i) in columns"
                :key="c.name"
                scope="col"
                class="text-left text-base px-2 py-1 border-b-2 border-ink whitespace-nowrap"
                :class="i === 0 ? 'sticky left-0 bg-leaf z-10' : ''"
              >
                {{ c.label }}<span v-if="c.unit" class="text-pencil font-normal pl-1">{{ c.unit }}</span>
              </th>
              <th class="sr-only">Row</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="(row, r) in rows" :key="r">
              <td
                v-for="(c, i) in columns"
                :key="c.name"
                class="p-0 border border-rule align-top"
                :class="i === 0 ? 'sticky left-0 bg-leaf z-10' : ''"
              >
                <input
                  v-model="row.cells[c.name]"
                  class="block bg-transparent px-2 min-h-11 text-lg"
                  :class="[
                    c.name === 'note' ? 'w-72' : i === 0 ? 'w-24 font-extrabold' : c.unit ? 'w-24' : 'w-40',
                    wrong(r, c) ? 'bg-warn border-l-8 border-iron' : '',
                  ]"
                  :data-cell="`${r}-${i}`"
                  :aria-label="`${c.label}, row ${r + 1}`"
                  :aria-invalid="wrong(r, c) ? 'true' : undefined"
                  :list="c.list ? `list-${c.name}` : c.name === 'designation' ? 'list-designation' : undefined"
                  autocomplete="off"
                  :readonly="c.name === 'texture' && textured(row)"
                  @keydown="move($event, r, i)"
                  @paste="paste($event, r, i)"
                />
                <p v-if="wrong(r, c)" class="px-2 pb-1 max-w-64 text-base leading-tight">{{ wrong(r, c) }}</p>
              </td>
              <td class="p-0 border border-rule">
                <button
                  v-if="!row.id"
                  type="button"
                  class="min-h-11 px-3"
                  :aria-label="`Leave row ${r + 1} out`"
                  @click="drop(r)"
                >
                  ✕
                </button>
              </td>
            </tr>
          </tbody>
        </table>
      </div>
      <template v-for="c in columns" :key="`list-${c.name}`"
        ><datalist v-if="c.list" :id="`list-${c.name}`"><option v-for="o in c.list" :key="o" :value="o" /></datalist
      ></template>
      <datalist id="list-designation"><option v-for="d in words.designations" :key="d" :value="d" /></datalist>
      <p class="text-pencil text-base">
        A new row starts with what usually goes on downwards:
        {{
          words.fields
            .horizon!.filter(({ carries }) => carries)
            .map(({ label }) => label.toLowerCase())
            .join(', ')
        }}.
      </p>
    </main>
  </div>
</template>
