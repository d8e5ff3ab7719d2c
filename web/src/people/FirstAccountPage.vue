<script setup lang="ts">
import { useRouter } from 'vue-router'
import type { Schemas } from '@/api'
import PageHead from '@/shared/PageHead.vue'
import FirstAccountForm from './FirstAccountForm.vue'
import { enter, useSession } from './useSession'

// From working alone to working with others.
const { session } = useSession()
const router = useRouter()
function made(found: Schemas['Session']): void {
  enter(found)
  void router.push('/members')
}
</script>

<template>
  <div class="min-h-dvh flex flex-col text-lg">
    <PageHead title="Your account" back="/members" back-name="Members" />
    <main class="px-4 desk:px-6 py-4 grid gap-5 content-start max-w-xl">
      <template v-if="session?.first_account">
        <p>
          You worked alone so far, without a password. With an account you can invite others and open Grittle to phones;
          from then on everybody signs in, on this machine too. All that is there is yours.
        </p>
        <FirstAccountForm :with-word="session.first_account !== 'open'" @done="made" />
      </template>
      <p v-else>There is an account already. <RouterLink to="/account">To your account</RouterLink></p>
    </main>
  </div>
</template>
