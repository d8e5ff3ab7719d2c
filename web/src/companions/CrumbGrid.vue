<script setup lang="ts">
import type { Schemas } from '@/api'
import CrumbFigure from './CrumbFigure.vue'

// What a crumb does in one look, slaking across and milkiness down: one touch says both.
type Field = Schemas['Field']
const props = defineProps<{ fields: Field[]; place: string; standing: Record<string, unknown> }>()
defineEmits<{ take: [value: Record<string, string>] }>()
const [across, down] = props.fields as [Field, Field]
const said = (one: string, other: string) =>
  `${across.label}: ${one.toLowerCase()}; ${down.label.toLowerCase()}: ${other.toLowerCase()}`
</script>

<template>
  <table class="w-full border-separate border-spacing-1 table-fixed" :aria-label="`What the crumb from ${place} does`">
    <thead>
      <tr>
        <th scope="col" class="w-20 text-left text-base font-normal text-pencil align-bottom leading-tight">
          {{ down.label }} / {{ across.label.toLowerCase() }}
        </th>
        <th v-for="a in across.words" :key="a.value" scope="col" class="text-base">{{ a.name }}</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="d in down.words" :key="d.value">
        <th scope="row" class="text-left text-base">{{ d.name }}</th>
        <td v-for="a in across.words" :key="a.value">
          <button
            type="button"
            class="button w-full !px-1"
            :aria-pressed="standing[across.name] === a.value && standing[down.name] === d.value"
            :aria-label="said(a.name, d.name)"
            @click="$emit('take', { [across.name]: a.value, [down.name]: d.value })"
          >
            <CrumbFigure :slaking="a.value" :milky="d.value" />
          </button>
        </td>
      </tr>
    </tbody>
  </table>
</template>
