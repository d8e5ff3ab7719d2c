<script setup lang="ts">
import { computed } from 'vue'
import { linear } from '@/drawing/scale'
import SheetDialog from '@/shared/SheetDialog.vue'
import { useBench } from './useReading'

// The disagreement that nobody writes down: what each school makes of the same ribbon, and of the same answers.
defineProps<{ open: boolean }>()
defineEmits<{ close: [] }>()
const bench = useBench()
const assessment = computed(() => bench.reading.value!.assessment)
const WIDTH = 640
const x = linear(0, 80, 10, WIDTH - 10)
const TICKS = [0, 20, 40, 60, 80]
const AGREEMENT: Record<string, string> = { agree: 'agrees', one_off: 'one off', two_off: 'two off' }
const percent = (weight: number) => (weight < 0.995 ? ` ${Math.round(weight * 100)} %` : '')
const asks = (question: string) => question.replaceAll('_', ' ').replace(' mm', '')
</script>

<template>
  <SheetDialog :open="open" title="What the schools say" wide @close="$emit('close')">
    <section v-if="assessment.curves.length" aria-labelledby="curves-title">
      <h2 id="curves-title" class="text-2xl mb-1">Clay, by this ribbon</h2>
      <table class="w-full leading-tight">
        <tbody>
          <tr v-for="c in assessment.curves" :key="c.curve">
            <th scope="row" class="text-left font-semibold py-1 pr-3 whitespace-nowrap">{{ c.name }}</th>
            <td class="w-full max-desk:hidden"><svg :viewBox="`0 0 ${WIDTH} 24`" class="w-full block" aria-hidden="true"><path class="hair" :d="`M10 12H${WIDTH - 10}`" style="stroke: var(--rule)" /><path v-for="t in TICKS" :key="t" class="hair" :d="`M${x(t)} 7v10`" style="stroke: var(--rule)" /><circle :cx="x(c.clay_percent)" cy="12" r="8" style="fill: var(--ink)" /></svg></td>
            <td class="text-right whitespace-nowrap pl-3">{{ Math.round(c.clay_percent) }} %</td>
          </tr>
        </tbody>
      </table>
    </section>
    <section aria-labelledby="keys-title" class="mt-4">
      <h2 id="keys-title" class="text-2xl mb-1">The class, by these answers</h2>
      <table class="w-full leading-tight">
        <tbody>
          <tr v-for="k in assessment.keys" :key="k.key" class="border-t border-feint">
            <th scope="row" class="text-left font-semibold py-1.5 pr-3">{{ k.name }}</th>
            <td v-if="k.outcomes.length">{{ k.outcomes.map((o) => o.name + percent(o.weight)).join(', ') }}</td>
            <td v-else class="text-pencil">asks: {{ asks(k.next_question ?? '') }}</td>
            <td class="text-right whitespace-nowrap pl-3">{{ k.agreement ? AGREEMENT[k.agreement] : '' }}</td>
          </tr>
        </tbody>
      </table>
    </section>
    <section v-if="assessment.contradictions.length" class="mt-4 grid gap-1.5">
      <p v-for="c in assessment.contradictions" :key="c.rule" class="border-l-8 border-iron bg-warn px-3 py-1.5">{{ c.sentence }}</p>
    </section>
    <p class="mt-4 text-pencil text-lg">Names are compared by the region of the triangle they stand for, not as words. From memory or common practice where the handbook is not at hand; the UK triangle is provisional.</p>
  </SheetDialog>
</template>
