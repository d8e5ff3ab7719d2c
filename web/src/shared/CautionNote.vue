<script setup lang="ts">
import { Disclosure, DisclosureButton, DisclosurePanel } from '@headlessui/vue'
import { TriangleAlert } from '@lucide/vue'
import { computed } from 'vue'
import { useWords } from '@/api'

// One sentence where the step is, more behind it; never in the way.
const props = defineProps<{ name: string }>()
const words = useWords()
const caution = computed(() => words.value.cautions[props.name]!)
</script>

<template>
  <Disclosure
    v-slot="{ open }"
    as="div"
    role="note"
    class="border-l-8 border-iron bg-warn text-ink pl-3 pr-1 leading-snug"
    :data-caution="name"
  >
    <div class="flex items-center gap-2">
      <TriangleAlert class="shrink-0" :size="22" aria-hidden="true" />
      <p class="grow py-2">{{ caution.sentence }}</p>
      <DisclosureButton
        class="shrink-0 min-h-14 min-w-14 px-2 font-semibold underline underline-offset-4"
        :aria-label="`${open ? 'Less' : 'More'} about: ${caution.sentence}`"
      >
        {{ open ? 'Less' : 'More' }}
      </DisclosureButton>
    </div>
    <DisclosurePanel as="p" class="pb-3 pr-3">{{ caution.more }}</DisclosurePanel>
  </Disclosure>
</template>
