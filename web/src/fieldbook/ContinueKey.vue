<script setup lang="ts">
import type { ProfileSummary, Schemas } from '@/api'
import MiniColumn from './MiniColumn.vue'

// Where the work stopped, and the way back to it.
defineProps<{ work: Schemas['Work']; profile?: ProfileSummary }>()
defineEmits<{ go: [] }>()
</script>

<template>
  <button type="button" class="continue-button" @click="$emit('go')">
    <span class="desk:col-span-2 text-2xl desk:text-3xl font-extrabold leading-none">Continue</span>
    <MiniColumn v-if="profile" class="max-desk:hidden" :profile="profile" :height="104" :here="work.horizon_id" />
    <span class="self-center" :class="profile ? '' : 'desk:col-span-2'"
      ><b class="block desk:text-xl leading-tight">{{ work.title }}</b
      >{{ work.detail }}</span
    >
  </button>
</template>
