<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { ref } from 'vue'
import { request } from '@/api'
import MarkGrittle from '@/drawing/MarkGrittle.vue'
import { dayAndTime } from '@/shared/dates'
import { useForm } from '@/shared/useForm'
import AccountFields from './AccountFields.vue'
import SignInForm from './SignInForm.vue'
import { beginAnew, useSession } from './useSession'

// Where the link of an invitation leads. Its word stands behind the sign #, which no browser sends to a server.
type Invited = { fieldbook: string; role: string; says: string; by: string; as: string | null; ends_at: string }
const { session } = useSession()
const token = location.hash.slice(1)
const { data, error } = useQuery({
  queryKey: ['invitation', token],
  queryFn: () => request<Invited>('POST', '/api/invitations/look', { token }),
  retry: false,
})
const form = ref({ name: '', login: '', password: '' })
const known = ref(false)
const { saving, at, general, send } = useForm<{ id: number }>()
const FIELDS = ['name', 'login', 'password']
async function accept(own: Record<string, string> = {}): Promise<void> {
  const opened = await send('POST', '/api/invitations/accept', { token, ...own })
  if (opened) beginAnew(`/fieldbooks/${opened.id}`)
}
</script>

<template>
  <main class="min-h-dvh grid place-content-center p-6 text-lg">
    <div class="w-[min(32rem,calc(100vw-3rem))] grid gap-5">
      <p class="flex items-center gap-3 text-3xl font-extrabold tracking-tight"><MarkGrittle />Grittle</p>
      <template v-if="error">
        <h1 class="text-3xl">This invitation is not open</h1>
        <p>{{ error.message }}</p>
        <p><a class="button" href="/">To the fieldbook</a></p>
      </template>
      <template v-else-if="data">
        <h1 class="text-3xl leading-tight">{{ data.by }} invites you to {{ data.fieldbook }}</h1>
        <p>
          As {{ data.role }}: {{ data.says.toLowerCase() }}.
          <template v-if="data.as"> What was written under the name {{ data.as }} is yours then.</template>
          Open until {{ dayAndTime(data.ends_at) }}.
        </p>
        <template v-if="session?.account">
          <p>You are signed in as {{ session.account.name }}.</p>
          <p v-if="general([])" role="alert" class="border-l-8 border-iron bg-warn px-3 py-2">{{ general([]) }}</p>
          <button type="button" class="button button-main min-h-14 text-xl" :disabled="saving" @click="accept()">
            Join as {{ session.account.name }}
          </button>
        </template>
        <template v-else-if="known">
          <SignInForm :demo="[]" @done="accept()" />
          <button type="button" class="button" @click="known = false">I have no account yet</button>
        </template>
        <form v-else class="grid gap-4" novalidate @submit.prevent="accept(form)">
          <AccountFields v-model="form" :at="at" />
          <p v-if="general(FIELDS)" role="alert" class="border-l-8 border-iron bg-warn px-3 py-2">
            {{ general(FIELDS) }}
          </p>
          <button type="submit" class="button button-main min-h-14 text-xl" :disabled="saving">Join</button>
          <button type="button" class="button" @click="known = true">I have an account here</button>
        </form>
      </template>
      <p v-else role="status" class="text-pencil">Reading the invitation</p>
    </div>
  </main>
</template>
