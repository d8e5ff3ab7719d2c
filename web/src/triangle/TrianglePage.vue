<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { useMediaQuery } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { isProblem, request, trianglesQuery, useWords, type Schemas } from '@/api'
import { at, under, type Frame } from '@/drawing/triangle'
import TextureTriangle from '@/drawing/TextureTriangle.vue'
import ChoiceField from '@/shared/ChoiceField.vue'
import { numberOr } from '@/shared/described'
import PageState from '@/shared/PageState.vue'
import TextField from '@/shared/TextField.vue'

// Every system at one composition: type two numbers, drag the point, or move it by the arrow keys.
const route = useRoute()
const router = useRouter()
const phone = useMediaQuery('(max-width: 720px)')
const triangles = useQuery(trianglesQuery)
const START = { sand: '40', clay: '20' }
const words = useWords()
const asked = (name: string) => (typeof route.query[name] === 'string' ? (route.query[name] as string) : '')
const sand = ref(asked('sand') || START.sand)
const clay = ref(asked('clay') || START.clay)
const OWN = 'own'
const limit = ref(asked('limit') || OWN)
const grade = ref(asked('grade') || 'medium')
const limits = computed(() => [{ value: OWN, name: 'Each its own' }, ...words.value.silt_limits])
const grades = computed(() =>
  words.value.tests
    .find(({ name }) => name === 'sand_grade')!
    .answers.map(({ value, name }) => ({ value: String(value), name })),
)
const shown = computed(() =>
  triangles.data.value!.triangles.map((t) => ({
    ...t,
    classes: t.classes.map(({ polygon, ...one }) => ({
      ...one,
      system: t.system,
      regions: [polygon],
      clay: null,
      kind: 'region' as const,
    })),
  })),
)
const found = ref<Schemas['Comparison']>()
const problem = ref<unknown>()

const said = ({ composition: { sand, silt, clay }, full_name }: Schemas['Comparison']['systems'][number]) =>
  `sand ${sand}, silt ${silt}, clay ${clay} percent: ${full_name}`
let latest = 0
watch(
  [sand, clay, limit, grade],
  async () => {
    const mine = ++latest
    const measured = limit.value === OWN ? undefined : limit.value
    void router.replace({
      query: {
        sand: sand.value,
        clay: clay.value,
        limit: measured,
        grade: grade.value === 'medium' ? undefined : grade.value,
      },
    })
    try {
      const body = {
        sand: numberOr(sand.value),
        clay: numberOr(clay.value),
        silt_limit: measured ? Number(measured) : null,
        sand_grade: grade.value,
      }
      const answer = await request<Schemas['Comparison']>('POST', '/api/comparisons', body)
      if (mine !== latest) return
      found.value = answer
      problem.value = undefined
    } catch (error) {
      if (mine === latest) problem.value = error
    }
  },
  { immediate: true },
)
const at_ = (field: string) => (isProblem(problem.value) ? problem.value.at(field) : undefined)
const elsewhere = computed(() =>
  problem.value && !at_('sand') && !at_('clay') ? (problem.value as Error).message : undefined,
)
const silt = computed(() => (found.value ? Math.round(found.value.composition.silt * 10) / 10 : ''))
const of = (system: string) => found.value?.systems.find((one) => one.system === system)

function put(frame: Frame, event: PointerEvent): void {
  if (event.type === 'pointermove' && !event.buttons) return
  const svg = (event.currentTarget as SVGElement).ownerSVGElement!
  const box = svg.getBoundingClientRect()
  const scale = svg.viewBox.baseVal.width / box.width
  const place = under(frame, (event.clientX - box.left) * scale, (event.clientY - box.top) * scale)
  sand.value = String(place.sand)
  clay.value = String(place.clay)
}
// Up and down move clay against sand, left and right sand against silt.
const MOVES: Record<string, [number, number]> = {
  ArrowUp: [-1, 1],
  ArrowDown: [1, -1],
  ArrowLeft: [1, 0],
  ArrowRight: [-1, 0],
}
function move(event: KeyboardEvent): void {
  const step = MOVES[event.key]
  const [s, c] = [Number(sand.value), Number(clay.value)]
  if (!step || !Number.isFinite(s) || !Number.isFinite(c)) return
  event.preventDefault()
  const [nextSand, nextClay] = [s + step[0], c + step[1]]
  if (nextSand < 0 || nextClay < 0 || nextSand + nextClay > 100) return
  sand.value = String(nextSand)
  clay.value = String(nextClay)
}
</script>

<template>
  <PageState v-if="!triangles.data.value" :error="triangles.error.value" @retry="triangles.refetch()" />
  <div v-else class="desk:grid desk:grid-cols-[300px_minmax(0,1fr)] min-h-dvh text-lg">
    <aside
      aria-label="Composition"
      class="bg-leaf p-6 grid gap-4 content-start desk:border-r-[2.5px] max-desk:border-b-[2.5px] border-ink"
    >
      <RouterLink to="/" class="way-back">‹ Fieldbook</RouterLink>
      <h1 class="text-[2.625rem] leading-none">Triangle</h1>
      <TextField v-model="sand" label="Sand" unit="%" inputmode="decimal" :error="at_('sand')" />
      <TextField v-model="clay" label="Clay" unit="%" inputmode="decimal" :error="at_('clay')" />
      <p>
        Silt <b>{{ silt }} %</b>, the rest
      </p>
      <ChoiceField v-model="grade" label="Grains that prevail among the sand" :options="grades" />
      <ChoiceField v-model="limit" label="Silt was measured to" :options="limits" />
      <p v-if="elsewhere" role="alert" class="border-l-8 border-iron bg-warn px-3 py-2">{{ elsewhere }}</p>
      <p class="text-pencil">
        Type two numbers, drag the point, or move it by the arrow keys. The address of this page keeps the composition.
      </p>
    </aside>
    <main class="p-4 desk:p-5 grid desk:grid-cols-2 gap-x-6 gap-y-4 content-start">
      <section
        v-for="t in shown"
        :key="t.system"
        :aria-labelledby="`system-${t.system}`"
        class="grid desk:grid-cols-[300px_minmax(0,1fr)] gap-x-3 border-t-2 border-ink pt-2"
        :data-system="t.system"
      >
        <h2 :id="`system-${t.system}`" class="desk:col-span-2 text-xl leading-tight">
          {{ t.name
          }}<span class="font-normal text-pencil text-base"
            >, silt to {{ t.silt_limit }} µm{{ t.provisional ? '; provisional' : '' }}</span
          >
        </h2>
        <TextureTriangle
          :classes="t.classes"
          :possible="of(t.system) ? [of(t.system)!.code] : []"
          :width="phone ? 350 : 340"
          axes
          codes
        >
          <template #default="{ frame }">
            <g
              v-if="found"
              role="slider"
              tabindex="0"
              :aria-label="`Composition in ${t.name}`"
              :aria-valuenow="of(t.system)!.composition.clay"
              aria-valuemin="0"
              aria-valuemax="100"
              :aria-valuetext="said(of(t.system)!)"
              @keydown="move"
            >
              <circle
                :cx="at(frame, of(t.system)!.composition.sand, of(t.system)!.composition.clay)[0]"
                :cy="at(frame, of(t.system)!.composition.sand, of(t.system)!.composition.clay)[1]"
                r="9"
                :style="
                  of(t.system)!.estimate
                    ? 'fill: var(--leaf); stroke: var(--ink); stroke-width: 3; stroke-dasharray: 4 3'
                    : 'fill: var(--ink); stroke: var(--leaf); stroke-width: 3'
                "
              />
            </g>
            <rect
              v-if="!of(t.system)?.estimate"
              fill="transparent"
              class="cursor-crosshair touch-none"
              :x="frame.x"
              :y="frame.y"
              :width="frame.side"
              :height="frame.height"
              @pointerdown="put(frame, $event)"
              @pointermove="put(frame, $event)"
            />
          </template>
        </TextureTriangle>
        <div v-if="of(t.system)" class="leading-snug">
          <p class="text-2xl font-extrabold leading-tight first-letter:uppercase">{{ of(t.system)!.full_name }}</p>
          <p class="text-pencil">{{ of(t.system)!.full_code }}, {{ of(t.system)!.group }}</p>
          <p v-if="of(t.system)!.estimate" class="mt-1 border-l-8 border-iron bg-warn px-2" data-estimate>
            An estimate: silt to {{ t.silt_limit }} µm would be {{ Math.round(of(t.system)!.composition.silt) }} %, sand
            {{ Math.round(of(t.system)!.composition.sand) }} %.
          </p>
          <p class="mt-1">
            {{ of(t.system)!.distance }} {{ of(t.system)!.distance === 1 ? 'point' : 'points' }} to the next
            line<template v-if="of(t.system)!.near.length > 1"
              >: near {{ of(t.system)!.near.slice(1).join(', ') }}</template
            >
          </p>
          <p class="mt-1 text-pencil text-base">beside {{ of(t.system)!.neighbours.join(', ') }}</p>
        </div>
      </section>
    </main>
  </div>
</template>
