<script setup lang="ts">
import type { Schemas } from '@/api'
import MarkGrittle from '@/drawing/MarkGrittle.vue'
import FirstAccountForm from './FirstAccountForm.vue'
import SignInForm from './SignInForm.vue'
import { enter } from './useSession'

// The door: nothing of a fieldbook is behind it yet.
defineProps<{ session: Schemas['Session'] }>()
</script>

<template>
  <main class="min-h-dvh desk:grid desk:grid-cols-[minmax(0,1fr)_minmax(0,1.1fr)] text-lg">
    <div class="bg-leaf p-6 desk:p-12 desk:border-r-[2.5px] border-ink flex flex-col gap-4 desk:justify-center">
      <p class="flex items-center gap-3 text-4xl desk:text-5xl font-extrabold tracking-tight"><MarkGrittle />Grittle</p>
      <p class="text-xl max-w-md max-desk:hidden">
        What the hand felt, how the class was reached, and how near the limit it lies: for every horizon, and for
        everybody who reads it later.
      </p>
    </div>
    <div class="p-6 desk:p-12 grid content-center">
      <div class="w-full max-w-lg grid gap-5">
        <template v-if="session.first_account">
          <h1 class="text-3xl">The first account</h1>
          <p>Nobody has one on this server yet. Whoever makes it leads the fieldbook and invites the others.</p>
          <FirstAccountForm :with-word="session.first_account !== 'open'" @done="enter" />
        </template>
        <template v-else>
          <h1 class="text-3xl">Sign in</h1>
          <SignInForm :demo="session.demo" @done="enter" />
        </template>
      </div>
    </div>
  </main>
</template>
