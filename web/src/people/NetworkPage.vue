<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { request, served, type Schemas } from '@/api'
import PageHead from '@/shared/PageHead.vue'
import PageState from '@/shared/PageState.vue'
import { dayAndTime } from '@/shared/dates'

// How phones of the local network get here, and by which certificate they know this machine.
const { data, error, refetch } = useQuery({
  queryKey: ['network'],
  queryFn: () => request<Schemas['Network']>('GET', '/api/network'),
})
</script>

<template>
  <PageState v-if="!data" :error="error" @retry="refetch()" />
  <div v-else class="min-h-dvh flex flex-col text-lg">
    <PageHead
      title="Phones"
      :line="data.open ? 'This Grittle is open to the local network, over TLS' : 'This machine alone'"
      back="/members"
      back-name="Members"
    />
    <main class="px-4 desk:px-6 py-4 grid gap-8 content-start max-w-4xl">
      <template v-if="data.open">
        <section aria-labelledby="where-title" class="grid gap-3">
          <h2 id="where-title" class="text-2xl border-b-2 border-ink pb-1">Where a phone finds it</h2>
          <ul class="flex flex-wrap gap-6">
            <li v-for="a in data.addresses" :key="a.url" class="grid gap-2 justify-items-start">
              <img
                :src="a.qr"
                :alt="`Code for a phone's camera: ${a.url}`"
                class="w-56 h-56 border-2 border-ink bg-white"
              />
              <b class="break-all select-all">{{ a.url }}</b>
            </li>
          </ul>
          <p>The phone must be in the same network. Everybody signs in with their own account.</p>
        </section>
        <section v-if="data.authority" aria-labelledby="trust-title" class="grid gap-3">
          <h2 id="trust-title" class="text-2xl border-b-2 border-ink pb-1">The first time on a phone</h2>
          <ol class="list-decimal pl-6 grid gap-2">
            <li>
              Open <b v-for="a in data.addresses" :key="a.plain" class="select-all">{{ a.plain }} </b>there. It gives
              the certificate of this machine’s own authority.
            </li>
            <li><b>Android:</b> Settings, Security, More, Install from storage, CA certificate: choose the file.</li>
            <li>
              <b>iPhone or iPad:</b> open the file, install the profile in Settings, then switch it on under General,
              About, Certificate Trust Settings.
            </li>
            <li>Compare the fingerprint (SHA-256) below, then open the address above.</li>
          </ol>
          <code class="block border-2 border-ink bg-leaf p-3 text-base break-all">{{
            data.authority.fingerprint
          }}</code>
          <p class="text-pencil">
            It certifies local names and addresses only, and holds until {{ dayAndTime(data.authority.ends_at) }}. Take
            it off a phone that is given away.
          </p>
          <p>
            <a class="button" :href="served('/api/network/authority.crt')" download
              >The certificate, to send otherwise</a
            >
          </p>
        </section>
      </template>
      <template v-else>
        <p>
          Grittle answers this machine alone now. Open to the local network, it speaks over TLS with a certificate that
          it makes itself, and everybody signs in.
        </p>
        <p v-if="data.alone" class="border-l-8 border-lit-line bg-lit text-lit-ink px-3 py-2">
          First <RouterLink class="underline underline-offset-4" to="/first-account">make your account</RouterLink>:
          without a password the network stays shut.
        </p>
        <p v-else-if="data.weak.length" class="border-l-8 border-lit-line bg-lit text-lit-ink px-3 py-2">
          Without a password, of the demo: {{ data.weak.join(', ') }}. While anybody has none, the network stays shut.
          Each sets one under Account, or <code>bin/account close NAME</code> closes it.
        </p>
        <div class="grid gap-2">
          <p>Then stop Grittle and start it so:</p>
          <code class="block border-2 border-ink bg-leaf p-3 text-xl select-all">{{ data.command }}</code>
        </div>
      </template>
    </main>
  </div>
</template>
