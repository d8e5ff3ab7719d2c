<script setup lang="ts">
import { computed } from 'vue'
import { useAnswers } from '@/bench/useAnswers'
import { useBench } from '@/bench/useReading'

// What is felt on the way to a step's own question: a row for each, one tap an answer, none asked for.
const props = defineProps<{ tests: string[] }>()
const bench = useBench()
const { test } = useAnswers()
const rows = computed(() => props.tests.map(test))
const chosen = (name: string, value: unknown) => bench.observations.value[name] === value
const give = (name: string, value: unknown) => bench.answer(name, chosen(name, value) ? null : value)
</script>

<template>
  <section v-if="rows.length" aria-labelledby="noticed-title" class="grid gap-1.5 border-t-[1.5px] border-ink pt-2">
    <h2 id="noticed-title" class="text-xl leading-tight">Noticed on the way?</h2>
    <div
      v-for="row in rows"
      :key="row.name"
      class="grid desk:grid-cols-[11rem_1fr] gap-x-3 gap-y-1 items-center"
      role="group"
      :aria-label="row.short"
      :data-noticed="row.name"
    >
      <span class="leading-tight first-letter:uppercase">{{ row.short }}</span>
      <template v-if="row.control === 'choice'">
        <div class="flex flex-wrap gap-1.5">
          <button
            v-for="a in row.answers"
            :key="String(a.value)"
            type="button"
            class="button px-3 text-lg leading-tight"
            :aria-pressed="chosen(row.name, a.value)"
            :title="a.hint"
            @click="give(row.name, a.value)"
          >
            {{ a.name }}
          </button>
        </div>
      </template>
      <button v-else type="button" class="button px-3 text-lg justify-self-start" @click="bench.goTo('more', row.name)">
        Write it down
      </button>
    </div>
  </section>
</template>
