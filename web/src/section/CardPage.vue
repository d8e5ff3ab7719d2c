<script setup lang="ts">
import { ref } from 'vue'
import HorizonCard from './HorizonCard.vue'

// The card is made anew for each horizon, so nothing of one is carried over to the next but the group of fields that is
// open.
defineProps<{ id: number; horizonId: number }>()
const page = ref(0)
</script>

<template>
  <HorizonCard :id="id" :key="horizonId" v-model:page="page" :horizon-id="horizonId" />
</template>
