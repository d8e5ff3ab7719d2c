<script setup lang="ts">
import { computed, ref } from 'vue'
import type { CompanionKind, SheetPlace } from '@/api'
import { dayAndTime } from '@/shared/dates'
import FieldGrid from '@/shared/FieldGrid.vue'
import { written, type Written } from '@/shared/described'
import { countdown } from './clock'
import LookEntry from './LookEntry.vue'
import TimeTape from './TimeTape.vue'

// One jar, hole, crumb, depth or tube of a sheet: its clock, one look, what it came to.
const props = defineProps<{ kind: CompanionKind; place: SheetPlace; now: number; refill: boolean; ended: boolean }>()
const emit = defineEmits<{
  begin: []
  look: [value: Record<string, unknown>]
  takeBack: [look: number]
  anew: []
  ball: []
}>()
const values = computed(() => props.place.values as Record<string, unknown>)
const runs = computed(() => props.place.started_at !== null)
const since = computed(() => (runs.value ? countdown(props.now - Date.parse(props.place.started_at!)) : ''))
/** As a sentence begins; pH stays pH. */
const said = computed(() => props.place.said.replace(/^[a-z](?=[a-z ])/, (letter) => letter.toUpperCase()))
const timed = computed(
  () => props.place.due.length > 0 || props.kind.name === 'percolation' || props.kind.name === 'jar',
)
/** A look may be entered once its clock runs; a push of a probe has none. */
const open = computed(() => !props.ended && (runs.value || !timed.value))
const further = computed(() => props.kind.further.filter(({ type }) => type === 'flag' || type === 'choice'))
const typed = ref<Written>({})
function typeIn(): void {
  const given = Object.fromEntries(Object.entries(typed.value).filter(([, text]) => text.trim()))
  if (Object.keys(given).length) emit('look', given)
  typed.value = {}
}
const own = ref<Written>()
const setup = computed<Written>({
  get: () => own.value ?? written(props.kind.setup, values.value),
  set: (next) => (own.value = next),
})
function keepSetup(): void {
  const before = written(props.kind.setup, values.value)
  const changed = Object.fromEntries(
    Object.entries(setup.value).filter(([name, text]) => text !== before[name] && text),
  )
  if (Object.keys(changed).length) emit('look', changed)
  own.value = undefined
}
const flag = (name: string) => values.value[name] === true
</script>

<template>
  <article
    class="leaf-frame p-3 desk:p-4 grid gap-3 content-start min-w-0"
    :aria-labelledby="`place-${place.id}`"
    :data-place="place.name"
  >
    <header class="flex flex-wrap items-baseline gap-x-3">
      <h2 :id="`place-${place.id}`" class="text-2xl font-extrabold">{{ place.name }}</h2>
      <span v-if="place.horizon" class="text-pencil">in {{ place.horizon }}</span>
      <span v-if="runs" class="ml-auto tabular-nums text-pencil">{{ ended ? 'ended' : `runs ${since}` }}</span>
    </header>
    <TimeTape v-if="timed && !ended" :place="place" :now="now" />
    <button v-if="timed && !runs && !ended" type="button" class="button button-main" @click="$emit('begin')">
      {{ kind.started_by }}<span class="sr-only"> the clock of {{ place.name }}</span>
    </button>
    <LookEntry v-if="open" :kind="kind" :place="place" :refill="refill" @take="$emit('look', $event)">
      <slot />
    </LookEntry>
    <div class="grid gap-1 border-t-2 border-ink pt-2">
      <p class="text-xl font-extrabold leading-tight" :class="place.void ? 'line-through' : ''" data-said>
        {{ said }}
      </p>
      <p v-if="place.advice" class="font-semibold leading-snug">{{ place.advice }}</p>
      <p
        v-for="p in place.problems"
        :key="p"
        class="leading-snug border-l-8 pl-2"
        :class="place.void ? 'border-iron' : 'border-rule'"
      >
        {{ p }}
      </p>
      <p v-if="place.beside" class="leading-snug text-pencil" data-beside>{{ place.beside }}</p>
    </div>
    <button
      v-if="kind.name === 'crumb' && !ended && runs && !values.remoulded"
      type="button"
      class="button button-desk justify-self-start"
      @click="$emit('ball')"
    >
      Lay a remoulded ball beside it
    </button>
    <details v-if="further.length && !ended">
      <summary class="summary-line">More about this {{ kind.noun }}</summary>
      <div class="grid gap-2 pt-2">
        <div
          v-for="f in further"
          :key="f.name"
          class="flex flex-wrap gap-1.5 items-center"
          role="group"
          :aria-label="f.label"
        >
          <span class="grow">{{ f.label }}</span>
          <button
            v-for="w in f.words ?? [
              { value: true, name: 'Yes' },
              { value: false, name: 'No' },
            ]"
            :key="String(w.value)"
            type="button"
            class="button button-desk"
            :aria-pressed="values[f.name] === w.value"
            @click="$emit('look', { [f.name]: w.value })"
          >
            {{ w.name }}
          </button>
        </div>
      </div>
    </details>
    <details v-if="!ended && (kind.setup.length || kind.spoils.length || kind.look.length)">
      <summary class="summary-line">Type it in, set up, what went wrong</summary>
      <div class="grid gap-4 pt-2 text-lg">
        <form v-if="open" class="grid gap-2" @submit.prevent="typeIn">
          <FieldGrid v-model="typed" :fields="kind.look" :error="() => undefined" />
          <button class="button button-desk justify-self-start" type="submit">Keep this look</button>
        </form>
        <form v-if="kind.setup.length" class="grid gap-2" @submit.prevent="keepSetup">
          <FieldGrid v-model="setup" :fields="kind.setup" :error="() => undefined" />
          <button class="button button-desk justify-self-start" type="submit">Set up</button>
        </form>
        <div v-if="kind.spoils.length" class="flex flex-wrap gap-1.5" role="group" aria-label="What went wrong">
          <button
            v-for="s in kind.spoils"
            :key="s.name"
            type="button"
            class="button button-desk"
            :aria-pressed="flag(s.name)"
            @click="$emit('look', { [s.name]: !flag(s.name) })"
          >
            {{ s.label }}
          </button>
        </div>
        <button v-if="runs" type="button" class="button button-desk justify-self-start" @click="$emit('anew')">
          Begin this {{ kind.noun }} anew
        </button>
      </div>
    </details>
    <details v-if="place.looks.length">
      <summary class="summary-line">What was written down ({{ place.looks.length }})</summary>
      <ol class="grid">
        <li v-for="l in place.looks" :key="l.id" class="flex items-center gap-3 border-b border-feint py-1">
          <p class="grow leading-snug">
            <b v-if="l.after">{{ l.after }}: </b>{{ l.said }}
            <span class="text-pencil text-base">{{ dayAndTime(l.seen_at) }}</span>
            <span v-if="l.mark" class="block text-base font-semibold text-iron">{{ l.mark }}</span>
          </p>
          <button
            v-if="!ended"
            type="button"
            class="button button-desk print:hidden"
            :aria-label="`Remove the look: ${l.said}`"
            @click="$emit('takeBack', l.id)"
          >
            Remove
          </button>
        </li>
      </ol>
    </details>
  </article>
</template>
