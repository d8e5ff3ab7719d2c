<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'
import { X } from '@lucide/vue'
import { ref, watch, type ComponentPublicInstance } from 'vue'

// A leaf laid over the page, for a form or a choice. With typed text in it, Escape and the way out ask first.
const props = defineProps<{
  open: boolean
  title: string
  wide?: boolean
  /** Another value once what was typed is saved. */ saved?: unknown
}>()
const emit = defineEmits<{ close: [] }>()

const TEXT = 'input:not([type=radio], [type=checkbox], [type=file], [type=range]), textarea'
/** Lines that were written in, with what stood there before. */
const written = new Map<HTMLInputElement, string>()
const asking = ref(false)
watch([() => props.open, () => props.saved], () => {
  written.clear()
  asking.value = false
})

/** The line that a new thing begins with has the focus, whatever stands above it. */
const begin = (panel: Element | ComponentPublicInstance | null): void => {
  const first = ((panel as ComponentPublicInstance | null)?.$el as HTMLElement | undefined)?.querySelector<HTMLElement>(
    '[data-first]',
  )
  if (first && !written.size) requestAnimationFrame(() => first.focus())
}
function remember(event: FocusEvent): void {
  const line = event.target as HTMLInputElement
  if (line.matches(TEXT) && !written.has(line)) written.set(line, line.value)
}
function close(): void {
  const typed = [...written].some(([line, before]) => line.isConnected && line.value !== before)
  if (typed && !asking.value) asking.value = true
  else emit('close')
}
</script>

<template>
  <!-- Only while it is open: a closed one would still take the focus to what was focused before. -->
  <Dialog v-if="open" open class="relative z-20" @close="close">
    <div class="fixed inset-0 bg-ink/45" aria-hidden="true" />
    <div class="fixed inset-0 overflow-y-auto">
      <div class="min-h-full grid place-items-center p-3">
        <!-- The way out comes last, so that a form's first line has the focus. -->
        <DialogPanel
          :ref="begin"
          class="relative w-full bg-paper border-[2.5px] border-ink p-5 text-xl"
          :class="wide ? 'max-w-3xl' : 'max-w-xl'"
          @focusin="remember"
        >
          <DialogTitle class="text-3xl font-extrabold leading-tight mb-4 pr-14">{{ title }}</DialogTitle>
          <div
            v-if="asking"
            role="alert"
            class="border-l-8 border-iron bg-warn px-3 py-2 mb-4 flex flex-wrap items-center justify-between gap-2"
          >
            <span>What you typed is not saved.</span>
            <span class="flex gap-2"
              ><button type="button" class="button button-desk" @click="asking = false">Keep writing</button
              ><button type="button" class="button button-desk" @click="emit('close')">Discard it</button></span
            >
          </div>
          <slot />
          <button
            class="absolute top-3 right-3 min-h-14 min-w-14 grid place-content-center"
            type="button"
            aria-label="Close"
            @click="close"
          >
            <X aria-hidden="true" />
          </button>
        </DialogPanel>
      </div>
    </div>
  </Dialog>
</template>
