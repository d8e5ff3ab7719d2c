<script setup lang="ts">
import { computed, ref } from 'vue'
import { request, type Schemas } from '@/api'
import PageHead from '@/shared/PageHead.vue'
import { useAttempt } from '@/shared/useAttempt'
import TextField from '@/shared/TextField.vue'
import { usePractiser } from './keys'

// Answers are shown; what does the key say of them? The time is told afterwards, beside one's own median.
type Drill = Schemas['KeyDrill']
const name = usePractiser()
const drill = ref<Drill>()
const { busy, trouble, attempt } = useAttempt()
const tried = (job: () => Promise<Drill>) => attempt(async () => (drill.value = await job()))
const draw = () => tried(() => request<Drill>('POST', '/api/key-drills', { name: name.value }))
const call = (code: string) =>
  tried(() => request<Drill>('PATCH', `/api/key-drills/${drill.value!.id}`, { called: code }))
const seconds = (ms: number | null) => (ms === null ? '–' : (ms / 1000).toFixed(1))
const right = computed(() => drill.value?.result && drill.value.result.right === drill.value.result.called)
</script>

<template>
  <div class="min-h-dvh flex flex-col text-lg">
    <PageHead title="Reading a key" line="In no credit, list or streak" back="/practice" back-name="Practice" />
    <main class="px-4 desk:px-6 py-4 grid gap-5 content-start max-w-4xl">
      <TextField v-if="!drill" v-model="name" label="Who reads" first />
      <p v-if="trouble" role="alert" class="border-l-8 border-iron bg-warn px-3 py-2">{{ trouble }}</p>
      <section v-if="drill" :aria-label="drill.key" class="grid gap-4">
        <h2 class="text-2xl">{{ drill.key }}</h2>
        <dl class="grid gap-1 border-y-2 border-ink py-2">
          <div v-for="a in drill.answers" :key="a.what" class="flex gap-3">
            <dt class="w-40 text-pencil first-letter:uppercase">{{ a.what }}</dt>
            <dd class="font-bold">{{ a.said }}</dd>
          </div>
        </dl>
        <div class="grid grid-cols-2 desk:grid-cols-4 gap-2" role="group" aria-label="What the key says">
          <button
            v-for="c in drill.choices"
            :key="c.code"
            type="button"
            class="button first-letter:uppercase"
            :disabled="!!drill.result"
            :aria-pressed="drill.result ? drill.result.called === c.code : undefined"
            @click="call(c.code)"
          >
            {{ c.name }}
          </button>
        </div>
        <p
          v-if="drill.result"
          role="status"
          class="text-xl border-l-8 pl-3"
          :class="right ? 'border-ink' : 'border-iron'"
        >
          {{ right ? 'Yes' : 'No' }}: the key says <b>{{ drill.result.name }}</b>.
          {{ seconds(drill.result.milliseconds) }} s; your median of right ones {{ seconds(drill.result.median) }} s.
        </p>
      </section>
      <p v-if="!drill || drill.result">
        <button type="button" class="button button-main" :disabled="busy || !name.trim()" @click="draw">
          {{ drill ? 'Next' : 'Show me answers' }}
        </button>
      </p>
    </main>
  </div>
</template>
