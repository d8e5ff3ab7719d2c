<script setup lang="ts">
import { Disclosure, DisclosureButton, DisclosurePanel } from '@headlessui/vue'
import { computed } from 'vue'
import { groups, type Field, type Written } from './described'
import FieldGrid from './FieldGrid.vue'

// Many fields, folded by what they are about; what holds an error or something written stands open.
const props = defineProps<{ fields: Field[]; error: (name: string) => string | undefined; open?: boolean }>()
const model = defineModel<Written>({ required: true })
const list = computed(() => groups(props.fields))
const count = (fields: Field[]) => fields.filter(({ name }) => model.value[name]).length
</script>

<template>
  <Disclosure
    v-for="g in list"
    :key="g.name"
    v-slot="{ open: unfolded }"
    as="div"
    class="border-t-[1.5px] border-ink"
    :default-open="open || g.fields.some(({ name }) => error(name))"
  >
    <DisclosureButton class="w-full min-h-12 flex justify-between items-center font-semibold text-left"
      ><span
        >{{ g.name }}
        <span v-if="count(g.fields)" class="text-pencil font-normal">{{ count(g.fields) }} written</span></span
      ><span aria-hidden="true">{{ unfolded ? '−' : '+' }}</span></DisclosureButton
    >
    <DisclosurePanel class="pb-4">
      <FieldGrid v-model="model" :fields="g.fields" :error="error" />
    </DisclosurePanel>
  </Disclosure>
</template>
