<script setup lang="ts">
import { computed } from 'vue'
import type { Profile } from '@/api'
import type { Conflict } from '@/outbox/outbox'
import type { Field } from '@/shared/described'
import SheetDialog from '@/shared/SheetDialog.vue'
import { heldBy } from './useCard'
import ConflictTable from '@/shared/ConflictTable.vue'

// Somebody changed the horizon meanwhile: what is saved and what is not stand side by side, and the person chooses.
const props = defineProps<{ conflict: Conflict<Profile>; horizonId: number; fields: Field[] }>()
defineEmits<{ choose: ['mine' | 'theirs'] }>()

const there = computed(() => props.conflict.current?.horizons.find(({ id }) => id === props.horizonId))
const say = (name: string, value: string): string => {
  const field = props.fields.find((one) => one.name === name)
  return field?.words?.find((word) => word.value === value)?.name ?? value
}
const lines = computed(() =>
  Object.entries((props.conflict.write.answers ?? {}) as Record<string, string>).map(([name, value]) => ({
    key: name,
    label: props.fields.find((one) => one.name === name)?.label ?? name,
    theirs: there.value ? say(name, heldBy(there.value, name)) : '',
    mine: say(name, value),
  })),
)
</script>

<template>
  <SheetDialog open title="Changed in another window" wide @close="() => {}">
    <p>Somebody changed this horizon while you described it here. Your change is not saved yet.</p>
    <ConflictTable class="my-4" :lines="lines" />
    <div class="grid desk:grid-cols-2 gap-2">
      <button type="button" class="button" :disabled="!there" @click="$emit('choose', 'theirs')">
        Keep what is saved
      </button>
      <button type="button" class="button button-main" :disabled="!there" @click="$emit('choose', 'mine')">
        Save mine on top
      </button>
    </div>
    <p v-if="there" class="mt-3 text-pencil text-lg">Saving yours keeps the earlier values in the record.</p>
    <p v-else class="mt-3" role="alert">
      What is saved there cannot be read just now. Reload the page to choose; your change waits on this device.
    </p>
  </SheetDialog>
</template>
