<script setup lang="ts">
import type { CompanionKind } from '@/api'
import CautionNote from '@/shared/CautionNote.vue'
import CompanionFigure from './CompanionFigure.vue'

// The steps of a test with what to mind at each.
defineProps<{ kind: CompanionKind }>()
</script>

<template>
  <div class="grid desk:grid-cols-[13rem_minmax(0,1fr)] gap-4 items-start">
    <CompanionFigure :test="kind.name" class="w-full max-w-52" />
    <ol class="grid gap-2 list-decimal pl-6">
      <li v-for="(s, i) in kind.steps" :key="i" class="leading-snug pl-1">
        {{ s.text }}
        <CautionNote v-if="s.caution" :name="s.caution" class="mt-1" />
      </li>
    </ol>
  </div>
</template>
