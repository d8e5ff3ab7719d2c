<script setup lang="ts">
import { ref } from 'vue'
import { useWords, type Profile, type Schemas } from '@/api'
import ChoiceField from '@/shared/ChoiceField.vue'
import SheetDialog from '@/shared/SheetDialog.vue'
import TextField from '@/shared/TextField.vue'
import { useForm } from '@/shared/useForm'

// What a laboratory found in one sample, as it wrote it.
const props = defineProps<{
  sample: Pick<Schemas['Sample'], 'id'> & Partial<Schemas['Sample']>
  /** What it is called; else by its label and depth. */ called?: string
}>()
const emit = defineEmits<{ close: [] }>()
const { saving, problem, at, general, send } = useForm<Profile>()
const words = useWords()
const LINES: [string, string, string?, string?][] = [
  ['sand', 'Sand', '%'],
  ['silt', 'Silt', '%'],
  ['clay', 'Clay', '%', 'Also <2, tr, or blank'],
  ['uncertainty', 'Uncertainty', '%', 'If one is given'],
  ['laboratory', 'Laboratory'],
  ['number', 'Laboratory number'],
  ['reported_on', 'Date'],
]
const form = ref<Record<string, string>>({
  method: words.value.laboratory.methods[0]!.value,
  silt_limit: words.value.laboratory.silt_limit,
})
async function save(): Promise<void> {
  const given = Object.fromEntries(Object.entries(form.value).filter(([, text]) => text.trim()))
  const saved = await send('POST', `/api/samples/${props.sample.id}/laboratory-results`, given)
  if (saved) emit('close')
}
</script>

<template>
  <SheetDialog
    open
    wide
    :title="`Laboratory: ${called ?? `${sample.label ?? sample.kind_name}, ${sample.depth}`}`"
    @close="$emit('close')"
  >
    <form class="grid gap-4" novalidate @submit.prevent="save">
      <div class="grid desk:grid-cols-3 gap-4 items-start">
        <TextField
          v-for="[name, label, unit, hint] in LINES"
          :key="name"
          :model-value="form[name] ?? ''"
          :label="label"
          :unit="unit"
          :hint="hint"
          :error="at(name)"
          :type="name === 'reported_on' ? 'date' : undefined"
          @update:model-value="form[name] = $event"
        />
      </div>
      <ChoiceField v-model="form.method!" label="Method" :options="words.laboratory.methods" />
      <ChoiceField v-model="form.silt_limit!" label="Silt up to" :options="words.silt_limits" />
      <p v-if="problem" role="alert" class="border-l-8 border-iron bg-warn px-3 py-2">{{ general([]) }}</p>
      <button class="button button-main" type="submit" :disabled="saving">Write it down</button>
    </form>
  </SheetDialog>
</template>
