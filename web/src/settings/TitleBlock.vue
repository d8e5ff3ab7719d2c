<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { ref, watch } from 'vue'
import { served, queryClient, request, sendFile, type Schemas } from '@/api'
import TextField from '@/shared/TextField.vue'
import { useForm } from '@/shared/useForm'

// Whoever reports: a name, further lines, and a logo, at the head of every report.
type Block = Schemas['TitleBlock']
const { data } = useQuery({ queryKey: ['title-block'], queryFn: () => request<Block>('GET', '/api/title-block') })
const name = ref('')
const lines = ref('')
watch(
  data,
  (found, before) => {
    if (!found || before) return
    name.value = found.name ?? ''
    lines.value = found.lines ?? ''
  },
  { immediate: true },
)
const { saving, at, general, send } = useForm<Block>()
const saved = ref(false)
const trouble = ref('')
const shown = ref(0)
const keep = (block: Block) => {
  queryClient.setQueryData(['title-block'], block)
  saved.value = true
  shown.value += 1
}
async function save(): Promise<void> {
  saved.value = false
  const kept = await send('PUT', '/api/title-block', { name: name.value, lines: lines.value })
  if (kept) keep(kept)
}
async function logo(work: () => Promise<Block>): Promise<void> {
  trouble.value = ''
  try {
    keep(await work())
  } catch (error) {
    trouble.value = (error as Error).message
  }
}
function choose(event: Event): void {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  input.value = ''
  if (file) void logo(() => sendFile<Block>('/api/title-block/logo', file))
}
</script>

<template>
  <form class="grid gap-4" novalidate aria-labelledby="block-title" @submit.prevent="save">
    <h2 id="block-title" class="text-2xl border-b-2 border-ink pb-1">Title block of reports</h2>
    <TextField v-model="name" label="Name of the firm or person" :error="at('name')" />
    <label class="grid gap-1 font-semibold">
      Further lines: address, licence, telephone
      <textarea v-model="lines" rows="3" maxlength="500" class="field !py-2 font-normal"></textarea>
    </label>
    <div class="flex flex-wrap gap-3 items-center">
      <img
        v-if="data?.logo"
        :src="served(`/api/title-block/logo?${shown}`)"
        alt="The logo of reports"
        class="max-h-16 max-w-48 border border-rule"
      />
      <label class="button button-desk for-leads cursor-pointer focus-within:outline-3">
        {{ data?.logo ? 'Another logo' : 'Add a logo' }}
        <input type="file" accept="image/png,image/jpeg,image/webp" class="sr-only" @change="choose" />
      </label>
      <button
        v-if="data?.logo"
        type="button"
        class="button button-desk"
        @click="logo(() => request<Block>('DELETE', '/api/title-block/logo'))"
      >
        Remove the logo
      </button>
    </div>
    <p v-if="trouble || general(['name'])" role="alert" class="border-l-8 border-iron bg-warn px-3 py-2">
      {{ trouble || general(['name']) }}
    </p>
    <div class="flex items-center gap-4">
      <button class="button button-main for-leads" type="submit" :disabled="saving">Save the title block</button>
      <span role="status">{{ saved ? 'Saved' : '' }}</span>
    </div>
  </form>
</template>
