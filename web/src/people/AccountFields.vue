<script setup lang="ts">
import TextField from '@/shared/TextField.vue'
import { useSession } from './useSession'

// What an account is made from.
type Own = { name: string; login: string; password: string }
defineProps<{ at: (field: string) => string | undefined }>()
const own = defineModel<Own>({ required: true })
const { passwordSays } = useSession()
const change = (part: Partial<Own>): void => void (own.value = { ...own.value, ...part })
</script>

<template>
  <TextField
    :model-value="own.name"
    label="Your name, as it stands on readings"
    autocomplete="name"
    :error="at('name')"
    first
    @update:model-value="change({ name: $event })"
  />
  <TextField
    :model-value="own.login"
    label="Name or e-mail to sign in with"
    autocomplete="username"
    :error="at('login')"
    @update:model-value="change({ login: $event })"
  />
  <TextField
    :model-value="own.password"
    label="Password"
    type="password"
    autocomplete="new-password"
    :hint="passwordSays"
    :error="at('password')"
    @update:model-value="change({ password: $event })"
  />
</template>
