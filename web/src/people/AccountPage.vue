<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { ref } from 'vue'
import { keepSession, queryClient, request, type Schemas } from '@/api'
import { leave as leaveDevice } from '@/device/device'
import { waitingInAll, waits } from '@/outbox/outboxes'
import PageHead from '@/shared/PageHead.vue'
import TextField from '@/shared/TextField.vue'
import { dayAndTime } from '@/shared/dates'
import { useAttempt } from '@/shared/useAttempt'
import { useForm } from '@/shared/useForm'
import { beginAnew, told, useSession } from './useSession'

// Who is signed in here, their password, and where else they are signed in.
type SignIns = Schemas['SignIns']
const { session, passwordSays } = useSession()
const { data } = useQuery({
  queryKey: ['sign-ins'],
  queryFn: () => request<SignIns>('GET', '/api/account/sign-ins'),
})
const form = ref({ old: '', password: '' })
const { saving, at, general, send } = useForm<Schemas['Session']>()
const changed = ref(false)
async function change(): Promise<void> {
  changed.value = false
  const { old, password } = form.value
  const found = await send('PUT', '/api/account/password', old ? { old, password } : { password })
  if (!found) return
  told(found)
  void queryClient.invalidateQueries({ queryKey: ['sign-ins'] })
  form.value = { old: '', password: '' }
  changed.value = true
}
const { trouble, busy, attempt } = useAttempt()
const end = (id: number) =>
  attempt(async () =>
    queryClient.setQueryData(['sign-ins'], await request<SignIns>('DELETE', `/api/account/sign-ins/${id}`)),
  )
const leave = () =>
  attempt(async () => {
    await request('DELETE', '/api/session')
    // Whoever comes next finds nothing of it here; what waits stays, for its own person.
    keepSession()
    await leaveDevice().catch(() => {})
    beginAnew()
  })
</script>

<template>
  <div class="min-h-dvh flex flex-col text-lg">
    <PageHead title="Account" :line="session?.account ? `${session.account.name} (${session.account.login})` : ''">
      <button v-if="session?.account" type="button" class="button" :disabled="busy" @click="leave">Sign out</button>
    </PageHead>
    <main v-if="session?.account" class="px-4 desk:px-6 py-4 grid gap-8 content-start max-w-3xl">
      <p v-if="trouble" role="alert" class="border-l-8 border-iron bg-warn px-3 py-2">{{ trouble }}</p>
      <p v-if="waitingInAll" class="border-l-8 border-ink bg-lit text-lit-ink px-3 py-2">
        {{ waits(waitingInAll) }}. Signed out, they go on waiting until you sign in here again.
      </p>
      <form class="grid gap-4" novalidate @submit.prevent="change">
        <h2 class="text-2xl border-b-2 border-ink pb-1">
          {{ session.account.demo ? 'Set a password' : 'Change password' }}
        </h2>
        <p v-if="session.account.demo" class="border-l-8 border-iron bg-warn px-3 py-2">
          This is an account of the demo: anybody at this machine can go in as {{ session.account.name }}.
        </p>
        <input type="text" class="hidden" autocomplete="username" :value="session.account.login" readonly />
        <TextField
          v-if="!session.account.demo"
          v-model="form.old"
          label="Password now"
          type="password"
          autocomplete="current-password"
          :error="at('old')"
        />
        <TextField
          v-model="form.password"
          label="New password"
          type="password"
          autocomplete="new-password"
          :hint="`${passwordSays}. Everywhere else you are signed out.`"
          :error="at('password')"
        />
        <p v-if="general(['old', 'password'])" role="alert" class="border-l-8 border-iron bg-warn px-3 py-2">
          {{ general(['old', 'password']) }}
        </p>
        <div class="flex items-center gap-4">
          <button type="submit" class="button button-main" :disabled="saving">Save the password</button>
          <span role="status">{{ changed ? 'Saved' : '' }}</span>
        </div>
      </form>
      <section aria-labelledby="devices-title" class="grid gap-2">
        <h2 id="devices-title" class="text-2xl border-b-2 border-ink pb-1">Signed in on</h2>
        <ol class="grid">
          <li
            v-for="s in data?.sign_ins ?? []"
            :key="s.id"
            class="flex flex-wrap items-center gap-x-4 border-b border-rule py-1 min-h-14"
          >
            <p class="grow basis-64 min-w-0 leading-snug">
              <b>{{ s.here ? 'This browser' : 'Another browser' }}</b>
              <span class="block text-pencil text-base break-words">{{
                s.device ?? 'It does not say what it is'
              }}</span>
              <span class="block text-pencil text-base">last used {{ dayAndTime(s.seen_at) }}</span>
            </p>
            <button v-if="!s.here" type="button" class="button button-desk" :disabled="busy" @click="end(s.id)">
              Sign out there
            </button>
          </li>
        </ol>
      </section>
    </main>
    <main v-else class="px-4 desk:px-6 py-4">
      <p>You work alone on this machine, without an account. <RouterLink to="/members">Work with others</RouterLink></p>
    </main>
  </div>
</template>
