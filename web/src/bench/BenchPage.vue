<script setup lang="ts">
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import BenchReading from './BenchReading.vue'

// One reading. The desk is made anew for each, so nothing of one sample is carried over to the next.
const route = useRoute()
const id = computed(() => Number(route.params.id))
</script>

<template>
  <BenchReading :id="id" :key="id" />
</template>
