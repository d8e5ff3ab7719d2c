<script setup lang="ts">
import PageHead from '@/shared/PageHead.vue'
</script>

<template>
  <div class="min-h-dvh flex flex-col text-lg"><PageHead title="Phones" back="/members" back-name="Members" /></div>
</template>
