<script setup lang="ts">
import { RadioGroup, RadioGroupLabel, RadioGroupOption } from '@headlessui/vue'

// One of a few, all in sight.
defineProps<{ label: string; options: { value: string; name: string }[] }>()
const model = defineModel<string>({ required: true })
</script>

<template>
  <RadioGroup v-model="model" class="grid gap-1">
    <RadioGroupLabel as="span" class="font-semibold">{{ label }}</RadioGroupLabel>
    <div class="flex flex-wrap gap-2">
      <RadioGroupOption v-for="o in options" :key="o.value" v-slot="{ checked }" :value="o.value" as="template">
        <button type="button" class="button button-desk" :aria-pressed="undefined" :data-checked="checked">
          {{ o.name }}
        </button>
      </RadioGroupOption>
    </div>
  </RadioGroup>
</template>
