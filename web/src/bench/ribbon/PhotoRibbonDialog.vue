<script setup lang="ts">
import { useDebounceFn, useElementSize } from '@vueuse/core'
import { computed, ref, useTemplateRef, watch } from 'vue'
import { served, isProblem, request, useWords, type Schemas } from '@/api'
import PhotoStrip from '@/shared/PhotoStrip.vue'
import SheetDialog from '@/shared/SheetDialog.vue'
import TextField from '@/shared/TextField.vue'
import { numberOr } from '@/shared/described'
import type { WaitingPhoto } from './usePhotoQueue'
import { useBench } from '@/bench/useReading'

// A ribbon measured on its photograph: two marks on the ruler, then marks along the ribbon, by mouse, finger or keys.
type Photo = Schemas['Photo'] | WaitingPhoto
type Mark = [number, number]
type Measured = { length_mm: number; error_mm: number; warnings: { warning: string; sentence: string }[] }
const emit = defineEmits<{ close: [] }>()
const bench = useBench()
const words = useWords()
const reading = computed(() => bench.reading.value!)
const photos = computed(() => [...reading.value.photos, ...bench.photosComing.value])
const photo = ref<Photo | null>(photos.value.at(-1) ?? null)
// One that was just taken is the one to be marked. It stays that one, and keeps its marks, once it has been kept.
watch(bench.photosComing, (now, before) => now.length > before.length && (photo.value = now.at(-1)!))
const marks = ref<{ ruler: Mark[]; second: Mark[]; ribbon: Mark[] }>({ ruler: [], second: [], ribbon: [] })
const lengths = ref({ ruler: '100', second: '' })
const step = ref<'ruler' | 'second' | 'ribbon'>('ruler')
const measured = ref<Measured | null>(null)
const trouble = ref('')
/** Whether the server gives no answer: the ribbon can be added all the same. */
const away = ref(false)
const AWAY =
  'The server cannot be reached. Add the ribbon: it waits on this device and is measured when the server is back.'
const picture = useTemplateRef('picture')
const { width } = useElementSize(picture)
/** Pixels of the picture in one of the screen. */
const scale = computed(() => (photo.value && width.value ? photo.value.width / width.value : 1))
const cursor = ref<Mark>([0, 0])
const STEPS = [
  { value: 'ruler', name: 'Ruler' },
  { value: 'ribbon', name: 'Ribbon' },
  { value: 'second', name: 'Second piece of ruler' },
] as const
const ASKS = {
  ruler: 'Mark two points of the ruler and say how far apart they are.',
  second: 'Mark two points of another ruler, or of another part of it: two scales show whether it lies flat.',
  ribbon: 'Mark the ribbon from end to end; along a curl, every quarter of a turn and more.',
}

watch(
  photo,
  (now) => {
    marks.value = { ruler: [], second: [], ribbon: [] }
    measured.value = null
    step.value = 'ruler'
    if (now) cursor.value = [now.width / 2, now.height / 2]
  },
  { immediate: true },
)

const body = () => ({
  ruler: { points: marks.value.ruler, mm: numberOr(lengths.value.ruler) },
  ...(marks.value.second.length === 2 && lengths.value.second
    ? { second: { points: marks.value.second, mm: numberOr(lengths.value.second) } }
    : {}),
  ribbon: marks.value.ribbon,
  click_px: words.value.click_px * scale.value,
})
const ready = computed(() => marks.value.ruler.length === 2 && marks.value.ribbon.length > 1 && lengths.value.ruler)
const measure = useDebounceFn(async () => {
  measured.value = null
  trouble.value = ''
  away.value = false
  if (!ready.value) return
  try {
    measured.value = await request<Measured>('POST', '/api/ribbon-measurements', body())
  } catch (error) {
    away.value = !isProblem(error)
    trouble.value = away.value ? AWAY : (error as Error).message
  }
}, 120)
watch([marks, lengths], () => void measure(), { deep: true })

function mark(point: Mark): void {
  const list = marks.value[step.value]
  if (step.value !== 'ribbon' && list.length === 2) list.splice(0)
  list.push(point)
  if (step.value === 'ruler' && list.length === 2) step.value = 'ribbon'
}
function press(event: PointerEvent): void {
  const frame = (event.currentTarget as Element).getBoundingClientRect()
  cursor.value = [
    Math.round((event.clientX - frame.left) * scale.value),
    Math.round((event.clientY - frame.top) * scale.value),
  ]
  mark([...cursor.value])
}
function key(event: KeyboardEvent): void {
  const far = (event.shiftKey ? 20 : 2) * scale.value
  const by: Record<string, Mark> = {
    ArrowLeft: [-far, 0],
    ArrowRight: [far, 0],
    ArrowUp: [0, -far],
    ArrowDown: [0, far],
  }
  const move = by[event.key]
  if (move)
    cursor.value = [
      Math.min(Math.max(cursor.value[0] + move[0], 0), photo.value!.width),
      Math.min(Math.max(cursor.value[1] + move[1], 0), photo.value!.height),
    ]
  else if (event.key === 'Enter') mark([...cursor.value])
  else if (event.key === 'Backspace') marks.value[step.value].pop()
  else return
  event.preventDefault()
}
/** px on the screen, from the middle of the cross to its ends. */
const ARM = 14
const cross = computed(() => {
  const [x, y] = cursor.value
  const arm = ARM * scale.value
  return `M${x - arm} ${y}h${2 * arm}M${x} ${y - arm}v${2 * arm}`
})
const drawn = (points: Mark[]) => points.map((point) => point.join(',')).join(' ')
function save(): void {
  const { id, ...waits } = photo.value!
  bench.addMeasured({ ...('token' in waits ? { photo_token: waits.token } : { photo_id: id }), ...body() })
  emit('close')
}
</script>

<template>
  <SheetDialog open wide title="Ribbon from a photograph" @close="$emit('close')">
    <div class="grid gap-3">
      <PhotoStrip
        of="reading"
        :id="reading.id"
        :photos="photos"
        :take="bench.addPhoto"
        what="the ribbon"
        small
        @changed="photo = $event ?? photos.at(-1) ?? null"
      />
      <ul v-if="photos.length > 1" class="flex flex-wrap gap-2">
        <li v-for="(p, i) in photos" :key="p.id">
          <button type="button" class="button" :aria-pressed="p.id === photo?.id" @click="photo = p">
            Use photo {{ i + 1 }}
          </button>
        </li>
      </ul>
      <p class="border-l-8 border-iron bg-warn px-3 py-1 leading-snug" data-plane>{{ words.ruler_plane }}</p>
      <template v-if="photo">
        <div class="flex flex-wrap items-end gap-2">
          <div class="flex" role="group" aria-label="What is marked">
            <button
              v-for="s in STEPS"
              :key="s.value"
              type="button"
              class="button px-3 -ml-0.5"
              :aria-pressed="step === s.value"
              @click="step = s.value"
            >
              {{ s.name }} {{ marks[s.value].length || '' }}
            </button>
          </div>
          <div v-if="step !== 'ribbon'" class="w-36">
            <TextField v-model="lengths[step]" label="How far apart" unit="mm" inputmode="decimal" />
          </div>
          <button type="button" class="button" :disabled="!marks[step].length" @click="marks[step].pop()">
            Last mark back
          </button>
        </div>
        <p id="photo-help" class="leading-snug">
          {{ ASKS[step] }}
          <span class="text-pencil">Arrow keys move the cross, Enter marks, Backspace takes back.</span>
        </p>
        <div
          ref="picture"
          class="relative border-2 border-ink touch-none"
          :style="{ maxWidth: `calc(40vh * ${photo.width / photo.height})` }"
          tabindex="0"
          role="application"
          aria-label="Photograph to mark"
          aria-describedby="photo-help"
          @keydown="key"
        >
          <img :src="served(photo.url)" alt="" class="w-full block" draggable="false" />
          <svg
            class="absolute inset-0 w-full h-full cursor-crosshair"
            :viewBox="`0 0 ${photo.width} ${photo.height}`"
            aria-hidden="true"
            @pointerdown.prevent="press"
          >
            <g v-for="name in ['ruler', 'second', 'ribbon'] as const" :key="name" :data-marks="name">
              <polyline :points="drawn(marks[name])" fill="none" stroke="#fcf7ea" :stroke-width="7 * scale" />
              <polyline
                :points="drawn(marks[name])"
                fill="none"
                :stroke="name === 'ribbon' ? '#86281a' : '#1e1812'"
                :stroke-width="3 * scale"
              />
              <circle
                v-for="(p, i) in marks[name]"
                :key="i"
                :cx="p[0]"
                :cy="p[1]"
                :r="6 * scale"
                fill="#f6cf63"
                stroke="#1e1812"
                :stroke-width="2 * scale"
              />
            </g>
            <path :d="cross" stroke="#1e1812" :stroke-width="2 * scale" />
          </svg>
        </div>
        <p
          v-for="w in measured?.warnings"
          :key="w.warning"
          class="border-l-8 border-iron bg-warn px-3 py-1"
          :data-warning="w.warning"
        >
          {{ w.sentence }}
        </p>
        <p v-if="trouble" role="alert" class="border-l-8 border-iron bg-warn px-3 py-1">{{ trouble }}</p>
        <div class="sticky bottom-0 bg-paper border-t-2 border-ink py-2 flex items-center justify-between gap-3">
          <p role="status" class="text-2xl font-extrabold">
            {{ measured ? `${measured.length_mm} mm, give or take ${measured.error_mm}` : '' }}
          </p>
          <button type="button" class="button button-main" :disabled="!measured && !away" @click="save">
            Add this ribbon
          </button>
        </div>
      </template>
    </div>
  </SheetDialog>
</template>
