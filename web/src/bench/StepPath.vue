<script setup lang="ts">
import { Check } from '@lucide/vue'
import { computed, useTemplateRef, watch } from 'vue'
import { painted } from '@/shared/painted'

// The path of steps: free to go back or ahead; each says what was answered there.
const props = defineProps<{ steps: { id: string; name: string; said: string }[]; current: string; finished: boolean }>()
defineEmits<{ go: [id: string] }>()
const nav = useTemplateRef('nav')
const open = computed(() => (props.finished ? 'skipped' : 'not yet'))

watch(
  () => props.current,
  async () => {
    // Where it stands is measured, which the step itself does not wait for.
    await painted()
    const here = nav.value?.querySelector<HTMLElement>('[aria-current="step"]')
    if (nav.value && here) nav.value.scrollLeft = here.offsetLeft - (nav.value.clientWidth - here.offsetWidth) / 2
  },
  { immediate: true, flush: 'post' },
)
</script>

<template>
  <nav
    ref="nav"
    aria-label="Steps of this reading"
    class="min-w-0 overflow-x-auto overflow-y-hidden [scrollbar-width:none]"
  >
    <ol class="h-full flex desk:grid desk:auto-cols-fr desk:grid-flow-col min-w-full w-max desk:w-full">
      <li v-for="(s, i) in steps" :key="s.id" class="grid grow basis-auto">
        <button
          type="button"
          class="step-button"
          :class="s.id === current ? 'bg-lit text-lit-ink' : ''"
          :aria-current="s.id === current ? 'step' : undefined"
          @click="$emit('go', s.id)"
        >
          <span
            class="flex items-center gap-1.5"
            :class="s.said || s.id === current ? 'font-extrabold' : 'text-pencil'"
          >
            <Check
              v-if="s.said && s.id !== current"
              class="hidden desk:block shrink-0"
              :size="17"
              :stroke-width="3.5"
              aria-hidden="true"
            />
            <span class="max-desk:text-base whitespace-nowrap">{{ s.name }}</span>
          </span>
          <span class="max-desk:sr-only truncate" :class="s.id === current ? '' : 'text-pencil'">{{
            s.said || open
          }}</span>
          <span class="desk:hidden text-base font-normal leading-none" aria-hidden="true">{{
            s.said ? '✓' : i + 1
          }}</span>
          <span v-if="s.id === current" class="absolute inset-x-0 bottom-0 h-[7px] bg-ink" />
        </button>
      </li>
    </ol>
  </nav>
</template>
