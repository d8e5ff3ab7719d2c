<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'
import { X } from '@lucide/vue'

// A leaf laid over the page, for a form or a choice.
defineProps<{ open: boolean; title: string; wide?: boolean }>()
defineEmits<{ close: [] }>()
</script>

<template>
  <Dialog :open="open" class="relative z-20" @close="$emit('close')">
    <div class="fixed inset-0 bg-ink/45" aria-hidden="true" />
    <div class="fixed inset-0 overflow-y-auto">
      <div class="min-h-full grid place-items-center p-3">
        <!-- The way out comes last, so that a form's first line has the focus. -->
        <DialogPanel class="relative w-full bg-paper border-[2.5px] border-ink p-5 text-xl" :class="wide ? 'max-w-3xl' : 'max-w-xl'">
          <DialogTitle class="text-3xl font-extrabold leading-tight mb-4 pr-14">{{ title }}</DialogTitle>
          <slot />
          <button class="absolute top-3 right-3 min-h-14 min-w-14 grid place-content-center" type="button" aria-label="Close" @click="$emit('close')"><X aria-hidden="true" /></button>
        </DialogPanel>
      </div>
    </div>
  </Dialog>
</template>
