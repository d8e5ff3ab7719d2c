<script setup lang="ts">
import BesideTray from './beside/BesideTray.vue'
import DeleteDialog from './bin/DeleteDialog.vue'
import DeletedNotice from './bin/DeletedNotice.vue'
import GrainDefs from './drawing/GrainDefs.vue'
import TimerStrip from './companions/TimerStrip.vue'
import PageState from './shared/PageState.vue'
import { useCatalogue } from './api/queries'

const catalogue = useCatalogue()
</script>

<template>
  <GrainDefs v-if="catalogue.data.value" :names="catalogue.data.value.names" />
  <template v-if="catalogue.data.value">
    <TimerStrip />
    <RouterView />
    <BesideTray />
    <DeleteDialog />
    <DeletedNotice />
  </template>
  <PageState v-else :error="catalogue.error.value" @retry="catalogue.refetch()" />
</template>
