<script setup lang="ts">
// Counts of one person's calls against the truth, or of two people against one another; what is two steps off or more
// is marked by its frame as well as its colour.
const props = defineProps<{ codes: string[]; rows: number[][]; far?: boolean[][]; down: string; across: string }>()
const look = (i: number, j: number): string => {
  if (i === j) return 'bg-lit text-lit-ink font-bold'
  if (!props.rows[i]![j]) return 'text-pencil'
  return props.far?.[i]?.[j] ? 'outline-2 -outline-offset-2 outline-iron bg-warn font-bold' : 'font-bold'
}
</script>

<template>
  <div class="relative overflow-x-auto min-w-0" tabindex="0" role="region" :aria-label="`${down} by ${across}`">
    <table class="border-collapse tabular-nums text-base text-center">
      <caption class="text-left text-pencil pb-1">
        Down:
        {{
          down
        }}. Across:
        {{
          across
        }}.
      </caption>
      <thead>
        <tr>
          <td />
          <th v-for="code in codes" :key="code" scope="col" class="px-1.5 font-semibold">{{ code }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(row, i) in rows" :key="codes[i]">
          <th scope="row" class="pr-2 text-right font-semibold">{{ codes[i] }}</th>
          <td v-for="(count, j) in row" :key="j" class="border border-rule min-w-10 h-9" :class="look(i, j)">
            {{ count || '·' }}
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>
