<script setup lang="ts">
import GrainDefs from './drawing/GrainDefs.vue'
import PageState from './shared/PageState.vue'
import { useCatalogue } from './api/queries'

const catalogue = useCatalogue()
</script>

<template>
  <GrainDefs v-if="catalogue.data.value" :names="catalogue.data.value.names" />
  <RouterView v-if="catalogue.data.value" />
  <PageState v-else :error="catalogue.error.value" @retry="catalogue.refetch()" />
</template>
