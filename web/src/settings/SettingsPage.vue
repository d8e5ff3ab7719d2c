<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { ref, watch } from 'vue'
import { request, useWords, type Schemas } from '@/api'
import { useHabits } from '@/fieldbook/useHabits'
import { useSession } from '@/people/useSession'
import ChoiceField from '@/shared/ChoiceField.vue'
import MethodFields from '@/shared/MethodFields.vue'
import PageHead from '@/shared/PageHead.vue'
import PageState from '@/shared/PageState.vue'
import { dayAndTime } from '@/shared/dates'
import { useDepths } from '@/shared/useDepths'
import { useForm } from '@/shared/useForm'
import { useTheme } from '@/shared/useTheme'
import TitleBlock from './TitleBlock.vue'
import PeopleFields from '@/shared/PeopleFields.vue'

// What new profiles begin with, for everybody who uses this fieldbook; and how this device shows things.
type Settings = Schemas['Settings']
const { mayLead } = useSession()
const words = useWords()
const { choice, CHOICES } = useTheme()
const { unit: depthUnit, units } = useDepths()
const { habits } = useHabits()
const { data, error, refetch } = useQuery({
  queryKey: ['settings'],
  queryFn: () => request<Settings>('GET', '/api/settings'),
})
const form = ref<Settings>()
watch(data, (found) => (form.value ??= found && { ...found }), { immediate: true })
const { saving, at, general, send } = useForm<Settings>()
const saved = ref(false)
async function save(): Promise<void> {
  saved.value = false
  const kept = await send('PUT', '/api/settings', form.value)
  if (!kept) return
  form.value = kept
  habits.value = { ...kept, textured_by: kept.textured_by ?? '', recorded_by: kept.recorded_by ?? '' }
  saved.value = true
}
const now = new Date().toISOString()
</script>

<template>
  <PageState v-if="!data || !form" :error="error" @retry="refetch()" />
  <div v-else class="min-h-dvh flex flex-col text-lg">
    <PageHead title="Settings" />
    <main class="px-4 desk:px-6 py-4 grid gap-8 content-start max-w-3xl">
      <section aria-labelledby="device-title" class="grid gap-4">
        <h2 id="device-title" class="text-2xl border-b-2 border-ink pb-1">This device</h2>
        <ChoiceField v-model="choice" label="Light or dark" :options="CHOICES" />
        <ChoiceField v-model="depthUnit" label="Depths in" :options="units" />
        <p class="text-pencil">
          Days and times are written as this device writes them: {{ dayAndTime(now) }}. Sentences and exports give
          depths in cm.
        </p>
      </section>
      <form class="grid gap-4" novalidate @submit.prevent="save">
        <h2 class="text-2xl border-b-2 border-ink pb-1">New profiles and quick readings</h2>
        <p class="text-pencil">
          What they begin with. A quick reading goes on with the method and the people of the one before; what is there
          already stays as it is.
        </p>
        <MethodFields :model-value="form" @update:model-value="form = { ...form, ...$event }" />
        <ChoiceField
          v-model="form.unit"
          label="Lengths in"
          :options="words.units.map(({ value }) => ({ value, name: value }))"
        />
        <PeopleFields
          :model-value="{ textured_by: form.textured_by ?? '', recorded_by: form.recorded_by ?? '' }"
          :at="at"
          @update:model-value="form = { ...form, ...$event }"
        />
        <p v-if="general(['textured_by', 'recorded_by'])" role="alert" class="border-l-8 border-iron bg-warn px-3 py-2">
          {{ general(['textured_by', 'recorded_by']) }}
        </p>
        <div class="flex items-center gap-4">
          <button class="button for-leads button-main" type="submit" :disabled="saving">Save</button>
          <span role="status">{{ saved ? 'Saved' : '' }}</span>
          <span v-if="!mayLead" class="text-pencil">A lead of the fieldbook changes these.</span>
        </div>
      </form>
      <TitleBlock />
      <section aria-labelledby="bin-title" class="grid gap-3">
        <h2 id="bin-title" class="text-2xl border-b-2 border-ink pb-1">What was deleted</h2>
        <p><RouterLink class="button" to="/bin">Bin, and imported files</RouterLink></p>
      </section>
    </main>
  </div>
</template>
