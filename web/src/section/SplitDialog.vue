<script setup lang="ts">
import { ref } from 'vue'
import { useWords, type Horizon, type Profile } from '@/api'
import { numberOr } from '@/shared/described'
import SheetDialog from '@/shared/SheetDialog.vue'
import TextField from '@/shared/TextField.vue'
import { useForm } from '@/shared/useForm'
import { useDepths } from '@/shared/useDepths'

// One horizon into two. The readings stay with the upper part.
const props = defineProps<{ horizon: Horizon; cm: number }>()
const { range } = useDepths()
const emit = defineEmits<{ close: [] }>()
const words = useWords()
const form = ref({
  at_cm: String(props.cm),
  designation: /\d$/.test(props.horizon.designation) ? '' : `${props.horizon.designation}2`,
})
const { saving, at, general, send } = useForm<Profile>()

async function save(): Promise<void> {
  const body = {
    version: props.horizon.version,
    at_cm: numberOr(form.value.at_cm) ?? '',
    designation: form.value.designation,
  }
  if (await send('POST', `/api/horizons/${props.horizon.id}/split`, body)) emit('close')
}
</script>

<template>
  <SheetDialog open :title="`Split ${horizon.designation}`" @close="$emit('close')">
    <form class="grid gap-4" novalidate @submit.prevent="save">
      <p>
        {{ horizon.designation }} is {{ range(horizon.upper_cm, horizon.lower_cm) }}. Its readings stay with the upper
        part.
      </p>
      <TextField v-model="form.at_cm" label="Split at" unit="cm" inputmode="decimal" :error="at('at_cm')" />
      <TextField
        v-model="form.designation"
        label="The lower part is called"
        :suggestions="words.designations"
        :error="at('designation')"
      />
      <p v-if="general(['at_cm', 'designation'])" role="alert" class="border-l-8 border-iron bg-warn px-3 py-2">
        {{ general(['at_cm', 'designation']) }}
      </p>
      <button class="button button-main" type="submit" :disabled="saving">Split it</button>
    </form>
  </SheetDialog>
</template>
