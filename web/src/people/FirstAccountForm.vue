<script setup lang="ts">
import { ref } from 'vue'
import { here, type Schemas } from '@/api'
import { adopt } from '@/outbox/owner'
import TextField from '@/shared/TextField.vue'
import AccountFields from './AccountFields.vue'
import { useForm } from '@/shared/useForm'

// The first account of an installation: whoever makes it leads all that is there.
type Session = Schemas['Session']
defineProps<{ withWord: boolean }>()
const emit = defineEmits<{ done: [session: Session] }>()
const own = ref({ name: '', login: '', password: '' })
const word = ref('')
const { saving, at, general, send } = useForm<Session>()
const FIELDS = ['name', 'login', 'password', 'word']
async function make(): Promise<void> {
  const body = word.value ? { ...own.value, word: word.value } : own.value
  const found = await send('POST', '/api/accounts/first', body)
  if (!found) return
  adopt(found.account!.id)
  here.account = found.account!.id
  emit('done', found)
}
</script>

<template>
  <form class="grid gap-4" novalidate @submit.prevent="make">
    <AccountFields v-model="own" :at="at" />
    <TextField
      v-if="withWord"
      v-model="word"
      label="Word of this server"
      hint="It lies in var/files/secrets/first-account where Grittle runs"
      :error="at('word')"
    />
    <p v-if="general(FIELDS)" role="alert" class="border-l-8 border-iron bg-warn px-3 py-2">{{ general(FIELDS) }}</p>
    <button type="submit" class="button button-main min-h-14 text-xl" :disabled="saving">Make the account</button>
  </form>
</template>
