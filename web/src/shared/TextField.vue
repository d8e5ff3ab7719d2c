<script setup lang="ts">
import { computed, useId } from 'vue'
import { useMended } from './useMended'

// A labelled line to write on, with what is wrong under it.
const props = defineProps<{
  label: string
  error?: string
  hint?: string
  unit?: string
  type?: string
  /** What a browser may fill in by itself. */ autocomplete?: string
  suggestions?: string[]
  inputmode?: 'decimal' | 'text'
  /** Whether a dialog begins with it. */ first?: boolean
}>()
const model = defineModel<string>({ required: true })
const id = useId()
const { wrong, mend } = useMended(() => props.error)
const described = computed(() => (wrong.value ? `${id}-error` : props.hint ? `${id}-hint` : undefined))
</script>

<template>
  <div class="grid gap-1">
    <label :for="id" class="font-semibold">{{ label }}</label>
    <div class="flex items-center gap-2">
      <input
        :id="id"
        v-model="model"
        class="field"
        :data-first="first || undefined"
        :type="type ?? 'text'"
        :inputmode="inputmode"
        :list="suggestions ? `${id}-list` : undefined"
        :autocomplete="autocomplete ?? 'off'"
        :autocapitalize="autocomplete ? 'off' : undefined"
        :aria-invalid="wrong ? 'true' : undefined"
        :aria-describedby="described"
        @input="mend"
      />
      <span v-if="unit" class="text-pencil">{{ unit }}</span>
    </div>
    <datalist v-if="suggestions" :id="`${id}-list`"><option v-for="s in suggestions" :key="s" :value="s" /></datalist>
    <p v-if="wrong" :id="`${id}-error`" class="border-l-8 border-iron bg-warn px-3 py-1">{{ wrong }}</p>
    <p v-else-if="hint" :id="`${id}-hint`" class="text-pencil text-lg">{{ hint }}</p>
  </div>
</template>
