<script setup lang="ts">
import { ref } from 'vue'
import { keepSession, request, type Schemas } from '@/api'
import TextField from '@/shared/TextField.vue'
import { useForm } from '@/shared/useForm'
import { beginAnew } from './useSession'

// Somebody with an account and no fieldbook, or at the address of one that is not theirs.
const props = defineProps<{ session: Schemas['Session'] }>()
const name = ref('')
const { saving, at, general, send } = useForm<{ id: number }>()
async function make(): Promise<void> {
  const made = await send('POST', '/api/fieldbooks', { name: name.value })
  if (made) beginAnew(`/fieldbooks/${made.id}`)
}
async function leave(): Promise<void> {
  await request('DELETE', '/api/session')
  keepSession()
  beginAnew()
}
</script>

<template>
  <main class="min-h-dvh grid place-content-center p-6 text-lg">
    <div class="max-w-lg grid gap-5">
      <h1 class="text-3xl">No fieldbook here</h1>
      <p>
        {{ props.session.account?.name }}, this fieldbook is not open to you, or you are in none yet. Whoever leads it
        can send you an invitation.
      </p>
      <ul v-if="session.fieldbooks.length" class="grid gap-2">
        <li v-for="f in session.fieldbooks" :key="f.id">
          <a class="button w-full" :href="`/fieldbooks/${f.id}`">{{ f.name }}, {{ f.role }}</a>
        </li>
      </ul>
      <form class="grid gap-3" novalidate @submit.prevent="make">
        <TextField v-model="name" label="Begin a fieldbook of your own" :error="at('name')" />
        <p v-if="general(['name'])" role="alert" class="border-l-8 border-iron bg-warn px-3 py-2">
          {{ general(['name']) }}
        </p>
        <div class="flex flex-wrap gap-2">
          <button type="submit" class="button button-main" :disabled="saving">Begin it</button>
          <button type="button" class="button" @click="leave">Sign out</button>
        </div>
      </form>
    </div>
  </main>
</template>
