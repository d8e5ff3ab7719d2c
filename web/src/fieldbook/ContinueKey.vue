<script setup lang="ts">
import type { ProfileSummary, Schemas } from '@/api'
import MiniColumn from './MiniColumn.vue'

// Where the work stopped, and the way back to it.
defineProps<{ work: Schemas['Work']; profile?: ProfileSummary }>()
defineEmits<{ go: [] }>()
</script>

<template>
  <button
    type="button"
    class="grid grid-cols-[auto_1fr] desk:grid-cols-[44px_1fr] items-center gap-x-4 gap-y-3 text-left bg-lit text-lit-ink p-3 desk:p-4 border-2 border-lit-line border-b-[6px] rounded-[5px] leading-snug"
    @click="$emit('go')"
  >
    <span class="desk:col-span-2 text-2xl desk:text-3xl font-extrabold leading-none">Continue</span>
    <MiniColumn v-if="profile" class="max-desk:hidden" :profile="profile" :height="104" :here="work.horizon_id" />
    <span class="self-center" :class="profile ? '' : 'desk:col-span-2'"
      ><b class="block desk:text-xl leading-tight">{{ work.title }}</b
      >{{ work.detail }}</span
    >
  </button>
</template>
