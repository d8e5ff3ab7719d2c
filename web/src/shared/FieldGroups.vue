<script setup lang="ts">
import { Disclosure, DisclosureButton, DisclosurePanel } from '@headlessui/vue'
import { computed } from 'vue'
import { groups, type Field, type Written } from './described'
import FieldInput from './FieldInput.vue'

// Many fields, folded by what they are about; what holds an error or something written stands open.
const props = defineProps<{ fields: Field[]; error: (name: string) => string | undefined; open?: boolean }>()
const model = defineModel<Written>({ required: true })
const list = computed(() => groups(props.fields))
const count = (fields: Field[]) => fields.filter(({ name }) => model.value[name]).length
const set = (name: string, value: string) => (model.value = { ...model.value, [name]: value })
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
    <DisclosurePanel class="grid desk:grid-cols-2 gap-4 pb-4 items-start">
      <FieldInput
        v-for="f in g.fields"
        :key="f.name"
        :model-value="model[f.name] ?? ''"
        :field="f"
        :error="error(f.name)"
        @update:model-value="set(f.name, $event)"
      />
    </DisclosurePanel>
  </Disclosure>
</template>
