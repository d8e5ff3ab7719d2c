<script setup lang="ts">
import BesideTray from './beside/BesideTray.vue'
import DeleteDialog from './bin/DeleteDialog.vue'
import DeletedNotice from './bin/DeletedNotice.vue'
import GrainDefs from './drawing/GrainDefs.vue'
import TimerStrip from './companions/TimerStrip.vue'
import PageState from './shared/PageState.vue'
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { timersQuery, useCatalogue } from './api/queries'

const catalogue = useCatalogue()
// The strip of timers stands above every page: it comes with the page, not after it, or it would push it down.
const timers = useQuery(timersQuery)
const known = computed(() => timers.data.value !== undefined || timers.failureCount.value > 0)
</script>

<template>
  <GrainDefs v-if="catalogue.data.value" :names="catalogue.data.value.names" />
  <template v-if="catalogue.data.value && known">
    <TimerStrip />
    <RouterView />
    <BesideTray />
    <DeleteDialog />
    <DeletedNotice />
  </template>
  <PageState v-else :error="catalogue.error.value" @retry="catalogue.refetch()" />
</template>
