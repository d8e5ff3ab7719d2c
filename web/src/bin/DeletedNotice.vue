<script setup lang="ts">
import { useTray } from '@/beside/useTray'
import { useBin } from './useBin'

// What was deleted just now, with the way back, until it is closed.
const { last, trouble, asked, undo } = useBin()
const { tray } = useTray()
const close = () => ((last.value = null), (trouble.value = ''))
</script>

<template>
  <div role="status" class="fixed inset-x-0 bottom-0 z-20 grid justify-items-center pointer-events-none print:hidden">
    <div
      v-if="last && !asked"
      :class="tray.length ? 'mb-20' : ''"
      class="leaf-frame pointer-events-auto m-3 max-desk:mb-32 px-4 py-2 flex flex-wrap items-center gap-3 text-lg"
      data-deleted
    >
      <span v-if="trouble" class="font-semibold text-iron">{{ trouble }}</span>
      <span v-else class="max-w-96 truncate" :title="last.label">Deleted: {{ last.label }}</span>
      <button type="button" class="button button-desk" @click="undo">Undo</button>
      <RouterLink to="/bin" class="min-h-11 grid content-center font-semibold">Bin</RouterLink>
      <button type="button" class="min-h-11 px-2 underline underline-offset-4" @click="close">Close</button>
    </div>
  </div>
</template>
