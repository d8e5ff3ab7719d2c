<script setup lang="ts">
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { useTray } from './useTray'

// What is gathered to be set side by side, at the foot of the pages it is gathered on.
const route = useRoute()
const { tray, most, clear, href } = useTray()
const here = computed(() => ['fieldbook', 'section', 'readings'].includes(String(route.name)))
</script>

<template>
  <aside
    v-if="here && tray.length"
    aria-label="To be set side by side"
    class="page-head sticky bottom-0 z-10 !py-2 !border-b-0 border-t-[2.5px] text-lg print:hidden"
  >
    <p class="grow min-w-0 truncate">
      <b>Side by side, {{ tray.length }} of {{ most }}:</b> {{ tray.map(({ name }) => name).join(', ') }}
    </p>
    <RouterLink v-if="tray.length > 1" class="button button-desk" :to="href()">Show them</RouterLink>
    <span v-else class="text-pencil">Choose one more</span>
    <button type="button" class="button button-desk" @click="clear">Clear</button>
  </aside>
</template>
