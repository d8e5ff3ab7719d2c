<script setup lang="ts">
import { ref } from 'vue'
import { here, type Schemas } from '@/api'
import { adopt } from '@/outbox/owner'
import TextField from '@/shared/TextField.vue'
import { useForm } from '@/shared/useForm'

// The first account of an installation: whoever makes it leads all that is there.
type Session = Schemas['Session']
defineProps<{ withWord: boolean }>()
const emit = defineEmits<{ done: [session: Session] }>()
const form = ref({ name: '', login: '', password: '', word: '' })
const { saving, at, general, send } = useForm<Session>()
const FIELDS = ['name', 'login', 'password', 'word']
async function make(): Promise<void> {
  const { word, ...own } = form.value
  const found = await send('POST', '/api/accounts/first', word ? { ...own, word } : own)
  if (!found) return
  adopt(found.account!.id)
  here.account = found.account!.id
  emit('done', found)
}
</script>

<template>
  <form class="grid gap-4" novalidate @submit.prevent="make">
    <TextField
      v-model="form.name"
      label="Your name, as it stands on readings"
      autocomplete="name"
      :error="at('name')"
      first
    />
    <TextField
      v-model="form.login"
      label="Name or e-mail to sign in with"
      autocomplete="username"
      :error="at('login')"
    />
    <TextField
      v-model="form.password"
      label="Password"
      type="password"
      autocomplete="new-password"
      hint="At least 10 characters: a few words that nobody puts together"
      :error="at('password')"
    />
    <TextField
      v-if="withWord"
      v-model="form.word"
      label="Word of this server"
      hint="It lies in var/files/secrets/first-account where Grittle runs"
      :error="at('word')"
    />
    <p v-if="general(FIELDS)" role="alert" class="border-l-8 border-iron bg-warn px-3 py-2">{{ general(FIELDS) }}</p>
    <button type="submit" class="button button-main min-h-14 text-xl" :disabled="saving">Make the account</button>
  </form>
</template>
