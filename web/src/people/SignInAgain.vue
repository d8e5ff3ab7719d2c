<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { here, queryClient, type Schemas } from '@/api'
import { sendNow, waitingInAll, waits } from '@/outbox/outboxes'
import SheetDialog from '@/shared/SheetDialog.vue'
import SignInForm from './SignInForm.vue'
import { beginAnew, sessionQuery, told } from './useSession'

// The sign-in ended while somebody worked: what was given waits on the device until they sign in again.
const { data } = useQuery(sessionQuery)
function enter(found: Schemas['Session']): void {
  if (found.account?.id !== here.account) return beginAnew()
  here.signedOut = ''
  told(found)
  void queryClient.invalidateQueries()
  sendNow()
}
</script>

<template>
  <SheetDialog :open="!!here.signedOut" title="Sign in again" @close="here.signedOut = ''">
    <div class="grid gap-4">
      <p>{{ here.signedOut }}</p>
      <p v-if="waitingInAll" role="status" class="border-l-8 border-ink bg-lit text-lit-ink px-3 py-2">
        {{ waits(waitingInAll) }}
        <template v-if="data?.account"> for {{ data.account.name }}</template
        >, and is sent as nobody else's.
      </p>
      <SignInForm :demo="data?.demo ?? []" @done="enter" />
    </div>
  </SheetDialog>
</template>
