<script setup lang="ts">
import SheetDialog from '@/shared/SheetDialog.vue'

defineProps<{ open: boolean }>()
defineEmits<{ close: [] }>()
const KEYS: [string, string][] = [
  ['1 to 0', 'the answers, in order; the digits of a length'],
  ['Enter', 'the next step; adds the ribbon while a length is typed; assigns the first class while none is'],
  ['Backspace', 'back a step; deletes a digit'],
  ['b  f  n  t', 'the ribbon broke, folded, never broke, tore'],
  ['x', 'no ribbon forms'],
  ['u', 'mm, cm, inches'],
  ['+  −', 'thicker, thinner'],
  ['c', 'correct a ribbon'],
  ['o', 'another class than the key’s'],
  ['h', 'the record of this reading'],
  ['s', 'what other methods say'],
  ['arrows', 'another test, at the step More'],
  ['e', 'your guess, at the step Prepare'],
  ['k', 'kneaded already: on to the ball, at the step Prepare; the working clock, at the step Moisten'],
  ['y  o', 'a length as typed, or the other, where it is asked'],
  ['w', 'the ball is too wet; the ribbon held its own weight'],
  ['m', 'method and people'],
  ['?', 'these keys'],
]
</script>

<template>
  <SheetDialog :open="open" title="Keys" @close="$emit('close')">
    <dl class="grid grid-cols-[8rem_1fr] gap-x-4 gap-y-2">
      <template v-for="[key, what] in KEYS" :key="key"
        ><dt class="font-extrabold whitespace-pre">{{ key }}</dt>
        <dd>{{ what }}</dd></template
      >
    </dl>
  </SheetDialog>
</template>
