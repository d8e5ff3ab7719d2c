<script setup lang="ts">
import { computed } from 'vue'

import { useSession } from './useSession'

// At the foot of the fieldbook: as whom one works, and which other fieldbooks are open to them.
const { session, alone } = useSession()
const others = computed(() => session.value?.fieldbooks.filter(({ id }) => id !== session.value?.fieldbook?.id) ?? [])
</script>

<template>
  <div class="pt-2 text-base border-t-[1.5px] border-ink grid gap-1">
    <nav v-if="others.length" aria-label="Other fieldbooks" class="flex flex-wrap gap-2 items-center">
      <span class="text-pencil">Other fieldbooks</span>
      <a v-for="f in others" :key="f.id" class="button button-desk" :href="`/fieldbooks/${f.id}`">{{ f.name }}</a>
    </nav>
    <p v-if="alone" class="flex flex-wrap items-center justify-between gap-x-3">
      <span class="text-pencil">Kept on this machine</span>
      <RouterLink class="button button-desk" to="/device">On this device</RouterLink>
    </p>
    <p v-else class="flex flex-wrap items-center justify-between gap-x-3">
      <span class="min-w-0"
        ><b class="block truncate">{{ session?.account?.name }}</b
        ><span class="text-pencil">{{ session?.fieldbook?.role }}</span></span
      >
      <span class="flex gap-1.5"
        ><RouterLink class="button button-desk" to="/device">Device</RouterLink
        ><RouterLink class="button button-desk" to="/account">Account</RouterLink></span
      >
    </p>
  </div>
</template>
