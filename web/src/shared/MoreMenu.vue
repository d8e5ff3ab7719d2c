<script setup lang="ts">
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/vue'

// What is wanted less often, behind one key.
type Entry = { name: string; to?: string; act?: () => void }
defineProps<{ label: string; entries: Entry[] }>()
</script>

<template>
  <Menu as="div" class="relative">
    <MenuButton class="button">{{ label }}</MenuButton>
    <!-- On a phone at the foot of the page: there it is whole, wherever its button has wrapped to. -->
    <MenuItems class="menu-sheet">
      <MenuItem v-for="e in entries" :key="e.name" v-slot="{ active, close }">
        <RouterLink
          v-if="e.to"
          :to="e.to"
          class="min-h-14 px-4 grid content-center font-semibold no-underline"
          :class="active ? 'bg-lit text-lit-ink' : ''"
          @click="close"
          >{{ e.name }}</RouterLink
        >
        <button
          v-else
          type="button"
          class="min-h-14 px-4 text-left font-semibold"
          :class="active ? 'bg-lit text-lit-ink' : ''"
          @click="e.act?.()"
        >
          {{ e.name }}
        </button>
      </MenuItem>
    </MenuItems>
  </Menu>
</template>
