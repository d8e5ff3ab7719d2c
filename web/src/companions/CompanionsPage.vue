<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { useRoute } from 'vue-router'
import { sheetsQuery, useProfile, useWords } from '@/api'
import PageHead from '@/shared/PageHead.vue'
import PageState from '@/shared/PageState.vue'
import PageTurner from '@/shared/PageTurner.vue'
import { dayAndTime } from '@/shared/dates'
import BeginDialog from './BeginDialog.vue'
import CompanionFigure from './CompanionFigure.vue'
import { dueSaid } from './clock'
import { sound, useTimers } from './useTimers'

// All clocks of the fieldbook, soonest first; a test to begin; and those that were made.
const words = useWords()
const route = useRoute()
const { timers } = useTimers()
const page = ref(1)
const { data, error, refetch } = useQuery(computed(() => sheetsQuery(page.value)))
const running = computed(() => (data.value?.tests ?? []).filter(({ ended_at }) => !ended_at))
const ended = computed(() => (data.value?.tests ?? []).filter(({ ended_at }) => ended_at))
const beginning = ref<string | null>(null)
// From a section: for that profile.
const profileId = computed(() => Number(route.query.profile ?? 0))
const { data: profile } = useProfile(profileId)
const permission = ref('Notification' in window ? Notification.permission : 'denied')
const allow = async () => (permission.value = await Notification.requestPermission())
const clock = (at: string) => new Date(at).toLocaleTimeString(undefined, { hour: '2-digit', minute: '2-digit' })
const lists = computed(() => [
  { name: 'Running', tests: running.value },
  { name: 'Ended', tests: ended.value },
])
</script>

<template>
  <PageState v-if="!data" :error="error" @retry="refetch()" />
  <div v-else class="min-h-dvh flex flex-col text-lg">
    <PageHead
      title="Companion tests"
      :line="profile ? `For ${profile.name}, ${profile.site.name}` : 'What takes its time, by the clock'"
      :back="profile ? `/profiles/${profile.id}` : '/'"
      :back-name="profile ? 'Section' : 'Fieldbook'"
    />
    <main class="companions-main">
      <section aria-labelledby="next-title" class="grid gap-2 content-start">
        <div class="flex flex-wrap items-center gap-3 border-b-2 border-ink pb-2">
          <h2 id="next-title" class="text-2xl grow">Next looks</h2>
          <button type="button" class="button button-desk" :aria-pressed="sound" @click="sound = !sound">
            Sound {{ sound ? 'on' : 'off' }}
          </button>
          <button v-if="permission === 'default'" type="button" class="button button-desk" @click="allow">
            Allow notifications
          </button>
          <span v-else-if="permission === 'granted'" class="text-pencil">Notifications on</span>
        </div>
        <p v-if="!timers.length" class="text-pencil py-4">
          No clock runs. Begin a test, and its looks stand here in their order.
        </p>
        <ol v-else class="grid" data-board>
          <li v-for="t in timers" :key="t.key" class="border-b border-rule">
            <RouterLink :to="`/companion-tests/${t.test_id}`" class="timer-line">
              <span
                class="text-xl font-extrabold tabular-nums leading-none px-2 py-2 text-center"
                :class="t.left <= 0 ? 'bg-lit text-lit-ink border-l-8 border-lit-line' : ''"
                >{{ dueSaid(t.left) }}</span
              >
              <span class="min-w-0 leading-snug">
                <b>{{ t.label }}: {{ t.place }}</b>
                <span class="block text-pencil truncate">{{ [t.title, t.within].filter(Boolean).join(', ') }}</span>
              </span>
              <span class="text-pencil tabular-nums max-desk:hidden">{{ clock(t.due_at) }}</span>
            </RouterLink>
          </li>
        </ol>
        <template v-for="l in lists" :key="l.name">
          <h2 v-if="l.tests.length" class="text-2xl pt-4 border-b-2 border-ink pb-1">{{ l.name }}</h2>
          <ul v-if="l.tests.length" class="grid" :aria-label="l.name">
            <li v-for="t in l.tests" :key="t.id" class="border-b border-feint">
              <RouterLink
                :to="`/companion-tests/${t.id}`"
                class="grid grid-cols-[4rem_minmax(0,1fr)] gap-3 items-center min-h-16 py-1 no-underline leading-snug"
              >
                <CompanionFigure :test="t.test" class="w-16" />
                <span class="min-w-0">
                  <b class="underline decoration-rule decoration-2 underline-offset-4">{{ t.name }}</b>
                  <span class="block text-pencil truncate"
                    >{{ t.place_names.join('; ') }}. {{ t.begun_at ? dayAndTime(t.begun_at) : 'not begun' }}</span
                  >
                </span>
              </RouterLink>
            </li>
          </ul>
        </template>
        <PageTurner v-model="page" :pages="data.pages" what="companion tests" />
      </section>
      <section aria-labelledby="begin-title" class="grid gap-2 content-start">
        <h2 id="begin-title" class="text-2xl border-b-2 border-ink pb-2 min-h-13">Begin a test</h2>
        <ul class="grid grid-cols-2 gap-2">
          <li v-for="k in words.companion_kinds" :key="k.name">
            <button
              type="button"
              class="button w-full flex-col !py-2 !gap-1 h-full"
              :data-kind="k.name"
              @click="beginning = k.name"
            >
              <CompanionFigure :test="k.name" class="w-20" />
              {{ k.title }}
            </button>
          </li>
        </ul>
      </section>
    </main>
    <BeginDialog v-if="beginning" :test="beginning" :profile="profile" @close="beginning = null" />
  </div>
</template>
