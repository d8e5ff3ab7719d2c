<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import { queryClient } from '@/api'
import PageHead from '@/shared/PageHead.vue'
import { entriesWait } from '@/outbox/outboxes'
import ConflictTable from '@/shared/ConflictTable.vue'
import { dayAndTime } from '@/shared/dates'
import { device, forget, keepForGood, lookNow, resolve, sendWaiting, take, takeIn, unsent } from './device'
import { newer } from './page'
import { apart, says } from './writes'

// What lies on this device: what waits for the server, and the fieldbooks that open without it.
const state = device.state
const busy = ref(false)
const told = ref('')
const trouble = ref('')
const space = ref<{ used: number; of: number; persisted: boolean }>()

const MB = 1024 * 1024
const size = ({ profiles, bytes }: { profiles: number; bytes: number }): string =>
  `${profiles} ${profiles === 1 ? 'profile' : 'profiles'}, ${megabytes(bytes)} MB`
const megabytes = (bytes: number): string =>
  bytes < 10 * MB ? (bytes / MB).toFixed(1) : String(Math.round(bytes / MB))
const refused = computed(() => state.waiting.filter((one) => one.refused))
const waits = computed(() => {
  const count = state.waiting.length
  return count ? `${entriesWait(count)}.` : 'All is sent.'
})
const conflict = (status?: number): boolean => status === 409

async function measure(): Promise<void> {
  const found = await navigator.storage?.estimate?.()
  if (!found) return
  const persisted = (await navigator.storage.persisted?.()) ?? false
  space.value = { used: found.usage ?? 0, of: found.quota ?? 0, persisted }
}
onMounted(() => {
  lookNow()
  void measure()
})

async function doing(job: () => Promise<unknown>): Promise<void> {
  busy.value = true
  told.value = ''
  trouble.value = ''
  try {
    await job()
  } catch (error) {
    // What a worker says begins with the kind of its error, and ends with where it was.
    trouble.value = (error as Error).message.split('\n')[0]!.replace(/^\w*Error: /, '')
  } finally {
    busy.value = false
    void measure()
  }
}
const send = () =>
  doing(async () => {
    await sendWaiting()
    void queryClient.invalidateQueries()
  })
const keep = () => doing(() => take())
const persist = () =>
  doing(async () => {
    if (!(await keepForGood()))
      trouble.value = 'The browser does not promise it. Install the page as an app, or export what is unsent.'
  })

const save = () =>
  doing(async () => {
    const url = URL.createObjectURL(new Blob([JSON.stringify(await unsent())], { type: 'application/json' }))
    const link = Object.assign(document.createElement('a'), {
      href: url,
      download: `unsent-${new Date().toISOString().slice(0, 16).replace(':', '')}.json`,
    })
    link.click()
    URL.revokeObjectURL(url)
  })
async function open(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  if (file)
    await doing(async () => {
      const packed: unknown = await file
        .text()
        .then(JSON.parse)
        .catch(() => null)
      const count = await takeIn(packed)
      told.value = `Imported: ${count}. Those that were here already are left out.`
    })
  input.value = ''
}
</script>

<template>
  <div class="min-h-dvh flex flex-col text-lg">
    <PageHead
      title="On this device"
      :line="state.book?.name ?? (device.looked.value ? 'No copy of this fieldbook yet' : '')"
    />
    <main class="px-4 desk:px-6 py-4 grid gap-8 content-start max-w-4xl">
      <p v-if="newer" class="border-l-8 border-ink bg-lit text-lit-ink px-3 py-2 flex flex-wrap gap-3 items-center">
        <span class="grow">A newer version of the page is ready. What waits here stays.</span>
        <button type="button" class="button button-desk" @click="newer()">Use it</button>
      </p>
      <p v-if="told" role="status" class="border-l-8 border-ink bg-lit text-lit-ink px-3 py-2">{{ told }}</p>
      <p v-if="trouble" role="alert" class="border-l-8 border-iron bg-warn px-3 py-2">{{ trouble }}</p>

      <section aria-labelledby="waits-title" class="grid gap-2">
        <h2 id="waits-title" class="text-2xl border-b-2 border-ink pb-1">Unsent</h2>
        <p role="status" data-device-state>
          <b>{{ waits }}</b>{{ device.alone.value ? ' The server gives no answer just now.' : '' }}
          <span v-if="state.book?.sentAt" class="text-pencil">Last sent {{ dayAndTime(state.book.sentAt) }}.</span>
        </p>
        <article
          v-for="one in refused"
          :key="one.seq"
          class="border-2 border-iron p-3 grid gap-2"
          :aria-label="says(one).filter(Boolean).join(' ')"
        >
          <h3 class="text-xl">
            {{ says(one)[0] }} {{ one.of }}:
            {{ conflict(one.refused?.status) ? 'changed there meanwhile' : 'not taken' }}
          </h3>
          <p>{{ one.refused?.detail }}</p>
          <ConflictTable v-if="conflict(one.refused?.status) && apart(one).length" :lines="apart(one)" />
          <div class="grid desk:grid-cols-2 gap-2">
            <button type="button" class="button" :disabled="busy" @click="doing(() => resolve(one.seq!, 'drop'))">
              {{ conflict(one.refused?.status) ? 'Keep what is saved' : 'Let it go' }}
            </button>
            <button
              type="button"
              class="button button-main"
              :disabled="busy"
              @click="doing(() => resolve(one.seq!, 'mine'))"
            >
              {{ conflict(one.refused?.status) ? 'Save mine on top' : 'Try again' }}
            </button>
          </div>
        </article>
        <ol
          v-if="state.waiting.length"
          class="grid *:grid *:gap-x-3 *:items-baseline *:py-1.5 *:border-b *:border-rule"
          aria-label="What waits, in its order"
        >
          <li
            v-for="one in state.waiting"
            :key="one.seq"
            class="grid-cols-[minmax(0,1fr)_auto] desk:grid-cols-[13rem_minmax(0,1fr)_auto] leading-tight"
          >
            <b>{{ says(one)[0] }}</b>
            <span class="max-desk:col-span-2 max-desk:row-start-2">{{ says(one)[1] }}</span>
            <time class="max-desk:col-start-2 max-desk:row-start-1 text-pencil text-base" :datetime="one.at">{{
              dayAndTime(one.at)
            }}</time>
          </li>
        </ol>
        <div class="flex flex-wrap gap-2">
          <button
            v-if="state.waiting.length"
            type="button"
            class="button button-main"
            :disabled="busy || state.sending"
            @click="send"
          >
            {{ state.sending ? 'Sending' : 'Send now' }}
          </button>
          <button v-if="state.waiting.length" type="button" class="button" :disabled="busy" @click="save">
            Export the unsent
          </button>
          <label class="button cursor-pointer for-writers"
            >Import unsent work<input
              type="file"
              accept="application/json"
              class="sr-only"
              :disabled="busy"
              @change="open"
          /></label>
        </div>
      </section>

      <section aria-labelledby="kept-title" class="grid gap-2">
        <h2 id="kept-title" class="text-2xl border-b-2 border-ink pb-1">Offline copies</h2>
        <template v-if="state.book">
          <p>
            <b>{{ state.book.name }}</b>: {{ size(state.book) }}, as of {{ dayAndTime(state.book.takenAt) }}.
            <template v-if="state.book.leftOut"
              >{{ state.book.leftOut }} profiles that were worked on longer ago stay with the server.</template
            >
          </p>
          <div class="flex flex-wrap gap-2">
            <button type="button" class="button" :disabled="busy" @click="keep">Refresh the copy</button>
            <button
              type="button"
              class="button"
              :disabled="busy || state.waiting.length > 0"
              @click="doing(() => forget())"
            >
              Remove it
            </button>
          </div>
        </template>
        <p v-else-if="!device.looked.value" role="status" class="min-h-14 text-pencil">
          Reading what lies on this device
        </p>
        <template v-else>
          <p class="text-pencil">
            With a copy on this device, this fieldbook opens and can be worked in without signal.
          </p>
          <div>
            <button type="button" class="button button-main" :disabled="busy" @click="keep">
              Keep this fieldbook on this device
            </button>
          </div>
        </template>
        <ul v-if="state.others.length" class="grid" aria-label="Other fieldbooks on this device">
          <li
            v-for="other in state.others"
            :key="other.id"
            class="flex flex-wrap items-center gap-x-3 border-b border-rule py-1.5"
          >
            <b class="grow min-w-0 truncate">{{ other.name }}</b>
            <span class="text-pencil">{{ size(other) }}</span>
            <a class="button button-desk" :href="`/fieldbooks/${other.id}/device`"
              >Open<span class="sr-only">: {{ other.name }}</span></a
            >
            <button type="button" class="button button-desk" :disabled="busy" @click="doing(() => forget(other.id))">
              Remove<span class="sr-only">: {{ other.name }}</span>
            </button>
          </li>
        </ul>
        <p class="min-h-14 text-pencil">
          <template v-if="space"
            >{{ megabytes(space.used) }} of {{ megabytes(space.of) }} MB are used on this device.
            {{
              space.persisted
                ? 'The browser keeps them until you remove them.'
                : 'The browser may clear them when the device is full.'
            }}</template
          >
        </p>
        <div v-if="space && !space.persisted">
          <button type="button" class="button" :disabled="busy" @click="persist">Ask the browser to keep them</button>
        </div>
      </section>
      <p class="text-pencil">
        What waits is sent as yours alone. Somebody else who signs in on this device sees nothing of it.
      </p>
    </main>
  </div>
</template>
