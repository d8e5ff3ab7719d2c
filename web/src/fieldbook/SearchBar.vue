<script setup lang="ts">
import { useDebounceFn, useMediaQuery } from '@vueuse/core'
import { computed, ref } from 'vue'
import { useWords, type Wanted } from '@/api'

// What is looked for in the fieldbook: a text, a class that was given, days, and what is left to do.
withDefaults(defineProps<{ unfinished?: boolean; placeholder?: string }>(), {
  unfinished: true,
  placeholder: 'Name, note, horizon, class',
})
const model = defineModel<Wanted>({ required: true })
const words = useWords()
const text = ref(model.value.text)
// On a phone the list comes first: what is asked for less often stands behind a key.
const phone = useMediaQuery('(max-width: 720px)')
const unfolded = ref(false)
const set = (part: Partial<Wanted>) => (model.value = { ...model.value, ...part })
const later = useDebounceFn(() => set({ text: text.value }), 250)
const systems = computed(() => [...words.value.systems, { value: 'australia', name: 'Field grades' }])
const classes = (system: string) => words.value.names.filter((name) => name.system === system)
const any = computed(() => Object.values(model.value).some(Boolean))
function clear(): void {
  text.value = ''
  model.value = { text: '', class: '', from: '', to: '', unfinished: '' }
}
</script>

<template>
  <form role="search" class="flex flex-wrap gap-x-3 gap-y-2 items-end" @submit.prevent="set({ text })">
    <label class="grid gap-0.5 text-base font-semibold grow basis-36 min-w-36"
      >Search<input
        v-model="text"
        type="search"
        class="field font-normal !min-h-11 !text-base !px-2 w-full min-w-0"
        :placeholder="placeholder"
        @input="later()"
    /></label>
    <button
      v-if="phone"
      type="button"
      class="button button-desk"
      :aria-expanded="unfolded"
      @click="unfolded = !unfolded"
    >
      {{ unfolded ? 'Fewer' : 'More' }}
    </button>
    <label v-if="!phone || unfolded" class="grid gap-0.5 text-base font-semibold"
      >Class<select
        class="field font-normal !min-h-11 !text-base !px-2 !w-36"
        :value="model.class"
        @change="set({ class: ($event.target as HTMLSelectElement).value })"
      >
        <option value="">Any</option>
        <optgroup v-for="s in systems" :key="s.value" :label="s.name">
          <option v-for="c in classes(s.value)" :key="c.code" :value="`${s.value}:${c.code}`">{{ c.name }}</option>
        </optgroup>
      </select></label
    >
    <label v-if="!phone || unfolded" class="grid gap-0.5 text-base font-semibold"
      >From<input
        type="date"
        class="field font-normal !min-h-11 !text-base !px-2 !w-38"
        :value="model.from"
        @change="set({ from: ($event.target as HTMLInputElement).value })"
    /></label>
    <label v-if="!phone || unfolded" class="grid gap-0.5 text-base font-semibold"
      >To<input
        type="date"
        class="field font-normal !min-h-11 !text-base !px-2 !w-38"
        :value="model.to"
        @change="set({ to: ($event.target as HTMLInputElement).value })"
    /></label>
    <button
      v-if="unfinished && (!phone || unfolded)"
      type="button"
      class="button button-desk"
      :aria-pressed="model.unfinished === '1'"
      @click="set({ unfinished: model.unfinished ? '' : '1' })"
    >
      Unfinished
    </button>
    <button v-if="any" type="button" class="button button-desk" @click="clear">Show all</button>
  </form>
</template>
