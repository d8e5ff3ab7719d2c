<script setup lang="ts">
import { mainKey } from '@/api'
import { computed } from 'vue'
import { fillOf } from '@/drawing/grain'
import TextureTriangle from '@/drawing/TextureTriangle.vue'
import ContradictionNotes from './ContradictionNotes.vue'
import SetScale from './SetScale.vue'
import { useAnswers } from './useAnswers'
import { useBench } from './useReading'

// The verdict so far, alive from the first answer: what is still possible, why, and how near a limit.
const props = defineProps<{ step: string }>()
const bench = useBench()
const { words } = useAnswers()
const reading = computed(() => bench.reading.value!)
const key = computed(() => mainKey(reading.value))
const nameOf = (code: string) => words.value.classes.find((c) => c.code === code)?.name ?? code
const percent = (weight: number) => Math.round(weight * 100)
const headline = computed(() => {
  const [first, second] = key.value.outcomes
  if (!first) return key.value.possible.length <= 3 ? key.value.possible.map(nameOf).join(', ') : `${key.value.possible.length} classes possible`
  return second ? `${nameOf(first.code)} or ${nameOf(second.code)}` : nameOf(first.code)
})
const showSet = computed(() => props.step !== 'ribbon' && reading.value.assessment.ribbon_set?.mean_mm !== undefined)
const others = computed(() => key.value.limit_sets.filter((set) => set.tiers.length && set.limit_set !== key.value.limit_set))
const leading = (set: (typeof others.value)[number]) => {
  const top = [...set.tiers].sort((a, b) => b.odds - a.odds)[0]!
  const outcome = set.outcomes[0]
  const share = (part: number) => (part < 0.995 ? ` ${percent(part)} %` : '')
  return outcome ? nameOf(outcome.code) + share(outcome.weight) : top.tier + share(top.odds)
}
const ASKS: Record<string, string> = { ball_holds: 'the ball', moisture_rounds: 'too dry or too wet', ribbon_forms: 'a ribbon', ribbons: 'a ribbon', wet_rub: 'the rub' }
</script>

<template>
  <section aria-label="Verdict so far" class="flex flex-col gap-2.5 *:shrink-0">
    <div>
      <h2 class="text-2xl leading-tight first-letter:uppercase">{{ headline }}</h2>
      <p class="text-pencil leading-tight">{{ key.on_the_limit ? 'on the limit' : key.outcomes.length ? 'by the key' : `next: ${ASKS[key.next_question ?? ''] ?? 'answer'}` }}</p>
    </div>
    <TextureTriangle :classes="words.classes" :possible="key.possible" :outcomes="key.outcomes.map(({ code }) => code)" :assigned="reading.assigned?.code" :width="showSet ? 206 : 268" class="self-center" />
    <ul v-if="key.outcomes.length > 1" class="grid gap-1.5">
      <li v-for="o in key.outcomes" :key="o.code" class="grid grid-cols-[1fr_auto] items-end leading-none">
        <span>{{ nameOf(o.code) }}</span><b>{{ percent(o.weight) }} %</b>
        <svg class="col-span-2 w-full mt-1" height="14" aria-hidden="true"><rect class="ground" :width="`${percent(o.weight)}%`" height="14" /><rect :width="`${percent(o.weight)}%`" height="14" :fill="fillOf(o.code, true)" /><rect class="inked" x="1" y="1" :width="`calc(${percent(o.weight)}% - 2px)`" height="12" style="stroke-width: 1.5" /></svg>
      </li>
    </ul>
    <p v-else-if="!key.outcomes.length && key.possible.length > 3 && key.possible.length < 10" class="leading-tight">{{ key.possible.map(nameOf).join(', ') }}</p>
    <ContradictionNotes />
    <ul v-if="key.notes.length" class="grid gap-1.5">
      <li v-for="n in key.notes" :key="n.rule" class="border-l-8 border-iron bg-warn px-3 py-1.5 leading-tight" :data-note="n.rule">{{ n.sentence }}</li>
    </ul>
    <ol v-if="key.path.length" class="border-t-[1.5px] border-ink pt-2 leading-tight" aria-label="Path of the key">
      <li v-for="p in key.path" :key="p.question" class="flex gap-2"><span aria-hidden="true">›</span><span>{{ p.text }}<span v-if="p.from" class="text-pencil">, from {{ p.from.replaceAll('_', ' ') }}</span></span></li>
    </ol>
    <SetScale v-if="showSet" :reading="reading" :unit="bench.unit.value" class="border-t-[1.5px] border-ink pt-2" />
    <dl v-if="others.length" class="border-t-[1.5px] border-ink pt-2 leading-tight" aria-label="Other limit sets">
      <div v-for="s in others" :key="s.limit_set"><dt class="inline font-semibold">{{ s.name }}: </dt><dd class="inline">{{ leading(s) }}</dd></div>
    </dl>
  </section>
</template>
