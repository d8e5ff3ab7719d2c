<script setup lang="ts">
import { computed, nextTick, ref, useTemplateRef } from 'vue'
import { useWords, type Horizon, type Profile } from '@/api'
import ChoiceField from '@/shared/ChoiceField.vue'
import FormConflict from '@/shared/FormConflict.vue'
import { changes } from '@/shared/described'
import MunsellField from '@/shared/MunsellField.vue'
import SheetDialog from '@/shared/SheetDialog.vue'
import TextField from '@/shared/TextField.vue'
import { useTray } from '@/beside/useTray'
import { useBin } from '@/bin/useBin'
import { useDepths } from '@/shared/useDepths'
import { useForm } from '@/shared/useForm'

// A new horizon below the last, or a changed one. The server says what does not fit.
const props = defineProps<{
  profile: Profile
  horizon: Horizon | null
  plain?: boolean
  gap?: { upper_cm: number; lower_cm: number } | null
}>()
const emit = defineEmits<{
  close: []
  again: [horizon: Horizon]
  split: [horizon: Horizon]
  merge: [horizon: Horizon]
}>()
const below = computed(() => props.profile.horizons.find(({ upper_cm }) => upper_cm === props.horizon?.lower_cm))
const words = useWords()
const { unit: depthUnit, show: depth, toCm } = useDepths()
const { ask } = useBin()
const { toggle, has, full } = useTray()
const deepest = () => depth(Math.max(0, ...props.profile.horizons.map(({ lower_cm }) => lower_cm)))
const SEEN = { moist_colour: '', dry_colour: '', boundary: '' }
const form = ref(
  props.horizon
    ? {
        designation: props.horizon.designation,
        upper_cm: depth(props.horizon.upper_cm),
        lower_cm: depth(props.horizon.lower_cm),
        moist_colour: props.horizon.moist_colour?.notation ?? '',
        dry_colour: props.horizon.dry_colour?.notation ?? '',
        boundary: props.horizon.boundary ?? '',
      }
    : {
        designation: '',
        upper_cm: props.gap ? depth(props.gap.upper_cm) : deepest(),
        lower_cm: props.gap ? depth(props.gap.lower_cm) : '',
        ...SEEN,
      },
)
const start = { ...form.value }
const UNSEEN = { value: '', name: 'Not recorded' }
const boundaries = computed(() => [UNSEEN, ...(words.value.boundaries[props.profile.naming_system] ?? [])])
const added = ref('')
const lines = useTemplateRef('lines')
const sending = useForm<Profile>()
const { saving, conflict, at, general, send } = sending
const FIELDS = ['designation', 'upper_cm', 'lower_cm', 'moist_colour', 'dry_colour', 'boundary']
const LABELS = {
  designation: 'Designation',
  upper_cm: 'Upper depth',
  lower_cm: 'Lower depth',
  moist_colour: 'Colour, moist',
  dry_colour: 'Colour, dry',
  boundary: 'Lower boundary',
}
const title = computed(() => (props.horizon ? `Change ${props.horizon.designation}` : 'New horizon'))

async function save(another: boolean): Promise<void> {
  const written = props.horizon ? changes(form.value, start) : form.value
  const body = Object.fromEntries(
    Object.entries(written).map(([name, value]) => [name, name.endsWith('_cm') ? toCm(value) : value]),
  )
  const saved = props.horizon
    ? await send('PATCH', `/api/horizons/${props.horizon.id}`, { ...body, version: props.horizon.version })
    : await send('POST', `/api/profiles/${props.profile.id}/horizons`, body)
  if (!saved) return
  if (!another) return emit('close')
  added.value = `${form.value.designation} is added.`
  form.value = { designation: '', upper_cm: form.value.lower_cm, lower_cm: '', ...SEEN }
  void nextTick(() => lines.value?.querySelector('input')?.focus())
}
</script>

<template>
  <SheetDialog open :title="title" wide :saved="added" @close="$emit('close')">
    <form ref="lines" class="grid gap-4" novalidate @submit.prevent="save(false)">
      <TextField
        v-model="form.designation"
        label="Designation"
        :suggestions="words.designations"
        :error="at('designation')"
      />
      <div class="grid grid-cols-2 gap-4 items-start">
        <TextField
          v-model="form.upper_cm"
          :unit="depthUnit"
          label="Upper depth"
          inputmode="decimal"
          :error="at('upper_cm')"
        />
        <TextField
          v-model="form.lower_cm"
          :unit="depthUnit"
          label="Lower depth"
          inputmode="decimal"
          :error="at('lower_cm')"
        />
      </div>
      <div class="grid desk:grid-cols-2 gap-4 items-start">
        <MunsellField
          v-model="form.moist_colour"
          label="Colour, moist"
          hint="Munsell, such as 10YR 4/3"
          :error="at('moist_colour')"
        />
        <MunsellField v-model="form.dry_colour" label="Colour, dry" :error="at('dry_colour')" />
      </div>
      <ChoiceField v-model="form.boundary" label="Lower boundary" :options="boundaries" />
      <FormConflict :form="sending" :labels="LABELS" :words="{ boundary: boundaries }" @done="emit('close')" />
      <p v-if="general(FIELDS)" role="alert" class="border-l-8 border-iron bg-warn px-3 py-2">{{ general(FIELDS) }}</p>
      <p v-if="added" role="status" class="text-pencil">{{ added }}</p>
      <div class="flex flex-wrap gap-2">
        <button class="button button-main for-writers grow" type="submit" :disabled="saving || conflict !== null">
          {{ horizon ? 'Save' : 'Add the horizon' }}
        </button>
        <button v-if="!horizon && !plain" class="button" type="button" :disabled="saving" @click="save(true)">
          Add, then another
        </button>
      </div>
      <div v-if="horizon && !plain" class="flex flex-wrap gap-2 border-t-[1.5px] border-ink pt-3">
        <RouterLink class="button" :to="`/profiles/${profile.id}/horizons/${horizon.id}`">Describe horizon</RouterLink>
        <button v-if="horizon.reading" class="button for-writers" type="button" @click="emit('again', horizon)">
          Another reading
        </button>
        <button
          v-if="horizon.reading"
          class="button"
          type="button"
          :aria-pressed="has(horizon.reading.id)"
          :disabled="full() && !has(horizon.reading.id)"
          @click="toggle({ id: horizon.reading.id, name: `${profile.name} ${horizon.designation}` })"
        >
          Set beside
        </button>
        <button class="button for-writers" type="button" @click="emit('split', horizon)">Split it</button>
        <button v-if="below" class="button for-writers" type="button" @click="emit('merge', horizon)">
          Merge with {{ below.designation }}
        </button>
        <RouterLink class="button" :to="`/history/horizon/${horizon.id}`">History</RouterLink>
        <button class="button for-writers" type="button" @click="ask('horizon', horizon.id, () => emit('close'))">
          Delete
        </button>
      </div>
      <p v-if="horizon" class="text-pencil text-lg">
        The earlier depths stay in the record; readings stay with the horizon.
      </p>
    </form>
  </SheetDialog>
</template>
