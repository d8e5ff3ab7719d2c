<script setup lang="ts">
import { computed } from 'vue'
import { useWords } from '@/api'
import { fillOf } from '@/drawing/grain'
import { useNaming } from '@/bench/useNaming'

// Every class that the reading's key can give, each with its fill; and where asked for, the words for organic soil,
// which has none.
const props = defineProps<{ label: string; organic?: boolean }>()
const code = defineModel<string>()
const words = useWords()
const { classes } = useNaming()
const bare = computed(() => (props.organic ? words.value.names.filter(({ kind }) => kind === 'no_texture') : []))
</script>

<template>
  <div class="grid grid-cols-2 desk:grid-cols-3 gap-2" role="group" :aria-label="label">
    <button
      v-for="c in classes"
      :key="c.code"
      type="button"
      class="button !justify-start text-left px-2"
      :aria-pressed="code === c.code"
      @click="code = c.code"
    >
      <svg width="34" height="34" class="shrink-0" aria-hidden="true">
        <rect class="ground" width="34" height="34" />
        <rect width="34" height="34" :fill="fillOf(c, true)" />
        <rect class="inked" x="1" y="1" width="32" height="32" style="stroke-width: 1.5" />
      </svg>
      {{ c.name }}
    </button>
  </div>
  <div v-if="bare.length" class="grid gap-1.5">
    <h3 class="text-lg">Organic soil has no texture class</h3>
    <div class="grid desk:grid-cols-3 gap-2" role="group" aria-label="Organic soil">
      <button
        v-for="c in bare"
        :key="c.code"
        type="button"
        class="button !justify-start text-left px-2"
        :aria-pressed="code === c.code"
        @click="code = c.code"
      >
        <span
          >{{ c.name }}<span class="block font-normal leading-tight">{{ c.hint }}</span></span
        >
      </button>
    </div>
  </div>
</template>
