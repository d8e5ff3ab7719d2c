<script setup lang="ts">
import { ref } from 'vue'
import type { Schemas } from '@/api'
import TextField from '@/shared/TextField.vue'
import { useForm } from '@/shared/useForm'

// Name and password, and for the demo one press.
type Session = Schemas['Session']
defineProps<{ demo: Session['demo'] }>()
const emit = defineEmits<{ done: [session: Session] }>()
const login = ref('')
const password = ref('')
const { saving, at, general, send } = useForm<Session>()
async function enter(): Promise<void> {
  const found = await send('POST', '/api/session', { login: login.value, password: password.value })
  if (found) emit('done', found)
  else password.value = ''
}
async function enterDemo(id: number): Promise<void> {
  const found = await send('POST', '/api/session/demo', { account_id: id })
  if (found) emit('done', found)
}
</script>

<template>
  <div class="grid gap-6">
    <section v-if="demo.length" aria-labelledby="demo-title" class="grid gap-3 border-2 border-dashed border-ink p-4">
      <h2 id="demo-title" class="text-2xl">This is a demo</h2>
      <p>Its people and its soils are invented, and nobody in it has a password.</p>
      <button
        type="button"
        class="button button-main min-h-16 text-xl"
        :disabled="saving"
        @click="enterDemo(demo[0]!.id)"
      >
        Go in as {{ demo[0]!.name }}, {{ demo[0]!.role }}
      </button>
      <p v-if="demo.length > 1" class="flex flex-wrap gap-2 items-center">
        <span class="text-pencil">or as</span>
        <button
          v-for="d in demo.slice(1)"
          :key="d.id"
          type="button"
          class="button button-desk"
          :disabled="saving"
          @click="enterDemo(d.id)"
        >
          {{ d.name }}, {{ d.role }}
        </button>
      </p>
    </section>
    <form class="grid gap-4" novalidate @submit.prevent="enter">
      <TextField
        v-model="login"
        label="Name or e-mail"
        autocomplete="username"
        :error="at('login')"
        :first="!demo.length"
      />
      <TextField
        v-model="password"
        label="Password"
        type="password"
        autocomplete="current-password"
        :error="at('password')"
      />
      <p v-if="general(['login', 'password'])" role="alert" class="border-l-8 border-iron bg-warn px-3 py-2">
        {{ general(['login', 'password']) }}
      </p>
      <button type="submit" class="button min-h-14 text-xl" :class="{ 'button-main': !demo.length }" :disabled="saving">
        Sign in
      </button>
      <p class="text-pencil">
        Forgotten? Whoever runs this server sets a new one: <code class="text-ink">bin/account password NAME</code>
      </p>
    </form>
  </div>
</template>
