<script setup lang="ts">
import { computed } from 'vue'
import type { Profile } from '@/api'
import type { Conflict } from '@/outbox/outbox'
import type { Field } from '@/shared/described'
import SheetDialog from '@/shared/SheetDialog.vue'
import { heldBy } from './useCard'

// Somebody changed the horizon meanwhile: what is saved and what is not stand side by side, and the person chooses.
const props = defineProps<{ conflict: Conflict<Profile>; horizonId: number; fields: Field[] }>()
defineEmits<{ choose: ['mine' | 'theirs'] }>()

const there = computed(() => props.conflict.current?.horizons.find(({ id }) => id === props.horizonId))
const say = (name: string, value: string): string => {
  const field = props.fields.find((one) => one.name === name)
  return value === '' ? 'Not recorded' : (field?.words?.find((word) => word.value === value)?.name ?? value)
}
const lines = computed(() =>
  Object.entries((props.conflict.write.answers ?? {}) as Record<string, string>).map(([name, value]) => ({
    name,
    label: props.fields.find((one) => one.name === name)?.label ?? name,
    theirs: there.value ? say(name, heldBy(there.value, name)) : '',
    mine: say(name, value),
  })),
)
</script>

<template>
  <SheetDialog open title="Changed in another window" wide @close="() => {}">
    <p>Somebody changed this horizon while you described it here. Your change is not saved yet.</p>
    <table class="w-full my-4 text-left">
      <thead>
        <tr class="border-b-[3px] border-ink">
          <th class="py-1 pr-3"><span class="sr-only">Field</span></th>
          <th class="pr-3">Saved there</th>
          <th>Yours, not saved</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="l in lines" :key="l.name" class="border-b border-rule">
          <th scope="row" class="py-2 pr-3 font-normal text-pencil">{{ l.label }}</th>
          <td class="pr-3 font-semibold" data-theirs>{{ l.theirs }}</td>
          <td class="font-semibold" data-yours>{{ l.mine }}</td>
        </tr>
      </tbody>
    </table>
    <div class="grid desk:grid-cols-2 gap-2">
      <button type="button" class="key" :disabled="!there" @click="$emit('choose', 'theirs')">
        Keep what is saved
      </button>
      <button type="button" class="key key-main" :disabled="!there" @click="$emit('choose', 'mine')">
        Save mine on top
      </button>
    </div>
    <p v-if="there" class="mt-3 text-pencil text-lg">Saving yours keeps the earlier values in the record.</p>
    <p v-else class="mt-3" role="alert">
      What is saved there cannot be read just now. Reload the page to choose; your change waits on this device.
    </p>
  </SheetDialog>
</template>
