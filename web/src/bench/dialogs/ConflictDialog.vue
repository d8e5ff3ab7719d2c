<script setup lang="ts">
import { computed } from 'vue'
import SheetDialog from '@/shared/SheetDialog.vue'
import type { Reading } from '@/api'
import { useAnswers } from '@/bench/useAnswers'
import { useNaming } from '@/bench/useNaming'
import { useBench } from '@/bench/useReading'

// Two windows changed one reading: both are shown, and the person chooses. Nothing is lost until then.
const bench = useBench()
const { words, word } = useAnswers()
const { nameOf } = useNaming()
const conflict = computed(() => bench.conflict.value)

const label = (name: string) => words.value.tests.find((test) => test.name === name)?.ask ?? name.replaceAll('_', ' ')
const say = (name: string, value: unknown): string => {
  if (value === undefined || value === null) return 'not answered'
  if (typeof value === 'object' && 'percent' in value) return `${Math.round(value.percent as number)} %`
  if (Array.isArray(value))
    return value.map((ribbon: { length_mm: number }) => Math.round(ribbon.length_mm)).join(', ') + ' mm'
  return words.value.tests.some((test) => test.name === name) ? word(name, value) : String(value)
}
const observed = (reading: Reading | null | undefined) => ({ ...(reading?.observations as Record<string, unknown>) })

const theirs = computed(() => {
  const [now, seen] = [observed(conflict.value?.current), observed(bench.reading.value)]
  const names = [...new Set([...Object.keys(now), ...Object.keys(seen)])].filter(
    (name) => JSON.stringify(now[name]) !== JSON.stringify(seen[name]),
  )
  const lines = names.map((name) => ({ label: label(name), text: say(name, now[name]) }))
  const assigned = conflict.value?.current?.assigned
  if (assigned && assigned.assigned_at !== bench.reading.value?.assigned?.assigned_at)
    lines.push({ label: 'Assigned', text: assigned.name })
  return lines
})
const yours = computed(() => {
  const write = conflict.value?.write
  if (!write) return []
  if (write.answers && Object.keys(write.answers).length)
    return Object.entries(write.answers).map(([name, value]) => ({ label: label(name), text: say(name, value) }))
  const { length, unit, code, reason } = write.body as Record<string, string | number | undefined>
  if (length !== undefined) return [{ label: label('ribbons'), text: `${length} ${unit}` }]
  if (code) return [{ label: 'Assigned', text: [nameOf(String(code)), reason].filter(Boolean).join(': ') }]
  return [
    {
      label: write.method === 'DELETE' ? 'Ribbon' : 'Change',
      text: write.method === 'DELETE' ? 'taken back' : Object.values(write.body).join(', '),
    },
  ]
})
</script>

<template>
  <SheetDialog :open="conflict !== null" title="Changed in another window" wide @close="() => {}">
    <p>Somebody changed this reading while you worked on it here. Your change is not saved yet.</p>
    <div class="grid desk:grid-cols-2 gap-4 my-4">
      <section class="border-t-[3px] border-ink pt-2" data-theirs>
        <h2 class="text-2xl mb-2">Saved there</h2>
        <dl class="grid gap-2">
          <div v-for="(l, i) in theirs" :key="i">
            <dt class="text-pencil leading-tight">{{ l.label }}</dt>
            <dd class="font-semibold">{{ l.text }}</dd>
          </div>
        </dl>
        <p v-if="!theirs.length">Nothing that you can see from here: the method or the people changed.</p>
      </section>
      <section class="border-t-[3px] border-dashed border-pencil pt-2" data-yours>
        <h2 class="text-2xl mb-2">Yours, not saved</h2>
        <dl class="grid gap-2">
          <div v-for="(l, i) in yours" :key="i">
            <dt class="text-pencil leading-tight">{{ l.label }}</dt>
            <dd class="font-semibold">{{ l.text }}</dd>
          </div>
        </dl>
      </section>
    </div>
    <div class="grid desk:grid-cols-2 gap-2">
      <button type="button" class="button" @click="bench.resolve('theirs')">Keep what is saved</button>
      <button type="button" class="button button-main" @click="bench.resolve('mine')">Save mine on top</button>
    </div>
    <p class="mt-3 text-pencil text-lg">Saving yours keeps theirs in the record.</p>
  </SheetDialog>
</template>
