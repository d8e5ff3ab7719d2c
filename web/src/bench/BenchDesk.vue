<script setup lang="ts">
import { CircleQuestionMark } from '@lucide/vue'
import { refDebounced, useMediaQuery, useTitle } from '@vueuse/core'
import { computed, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { mainKey } from '@/api'
import BenchTimer from '@/companions/BenchTimer.vue'
import { waits } from '@/outbox/outboxes'
import CautionNote from '@/shared/CautionNote.vue'
import { useDepths } from '@/shared/useDepths'
import AssignActions from '@/bench/assign/AssignActions.vue'
import AssignStep from '@/bench/assign/AssignStep.vue'
import BallStep from '@/bench/ball/BallStep.vue'
import ConflictDialog from '@/bench/dialogs/ConflictDialog.vue'
import BenchNotices from './BenchNotices.vue'
import ForeignStrip from './ForeignStrip.vue'
import GuideStrip from './GuideStrip.vue'
import KeysDialog from '@/bench/dialogs/KeysDialog.vue'
import LeaveDialog from '@/bench/dialogs/LeaveDialog.vue'
import MethodDialog from '@/bench/dialogs/MethodDialog.vue'
import MoreStep from '@/bench/more/MoreStep.vue'
import PeekPanel from '@/bench/verdict/PeekPanel.vue'
import PrepareStep from '@/bench/prepare/PrepareStep.vue'
import QuestionStep from '@/bench/question/QuestionStep.vue'
import RibbonStep from '@/bench/ribbon/RibbonStep.vue'
import SpineColumn from './SpineColumn.vue'
import StepPath from './StepPath.vue'
import CallStep from './turn/CallStep.vue'
import CloseDialog from './turn/CloseDialog.vue'
import TurnStrip from './turn/TurnStrip.vue'
import { useStepSummaries } from './useStepSummaries'
import { listenForBenchKeys, useBenchKeys } from './useBenchKeys'
import { useGoingOn } from './useGoingOn'
import { useBench } from './useReading'
import VerdictPanel from '@/bench/verdict/VerdictPanel.vue'
import WhatNext from '@/bench/verdict/WhatNext.vue'

const route = useRoute()
const router = useRouter()
const { range } = useDepths()
const bench = useBench()
listenForBenchKeys()

const reading = computed(() => bench.reading.value!)
const { steps, words } = useStepSummaries()
const { index, before, back, said, goOn, goAlong, goBack, goOnFrom } = useGoingOn(steps)
const kneaded = computed(() => bench.step.value === 'prepare' && steps.value.some(({ id }) => id === 'ball'))
// The actions stand in one place only, so that their keys and dialogs do too.
const wide = useMediaQuery('(min-width: 721px)')
const keys = ref(false)
const method = ref(false)

// What a simulated sample is called is the person's own decision: the verdict is put away until then.
const turn = computed(() => reading.value.turn)
const hidden = computed(() => !!turn.value?.simulated && !turn.value.closed)
const title = computed(() => reading.value.horizon?.designation ?? reading.value.label ?? 'Quick reading')
const place = computed(() => {
  const { horizon, profile, site } = reading.value
  if (turn.value) return turn.value.count ? `${turn.value.place} of ${turn.value.count}` : 'simulated'
  return horizon
    ? `${profile!.name}, ${range(horizon.upper_cm, horizon.lower_cm)}`
    : (site?.name ?? 'belongs to no site')
})
const methodLine = computed(() => {
  const people = [
    reading.value.textured_by && `textured by ${reading.value.textured_by}`,
    reading.value.recorded_by && `recorded by ${reading.value.recorded_by}`,
  ]
    .filter(Boolean)
    .join(', ')
  return reading.value.method_name + (people ? `; ${people}` : '')
})
// A changed verdict is told once it has settled, not at every key.
const announced = refDebounced(
  computed(() => mainKey(reading.value).sentence),
  800,
)
useTitle(computed(() => `${[title.value, reading.value.profile?.name].filter(Boolean).join(', ')} · Grittle`))
const STATES = { saved: 'Saved', saving: 'Saving', waiting: '', conflict: 'Changed in another window' }

useBenchKeys((key) => {
  if (key === 'Enter') void goOn()
  else if (key === 'Backspace') goBack()
  else if (key === 'k' && kneaded.value) bench.goTo('ball')
  else if (key === '?') keys.value = true
  else if (key === 'm') method.value = true
  else if (key === 's' && !hidden.value) void router.push(`/readings/${reading.value.id}/schools`)
  else return false
  return true
})
</script>

<template>
  <div class="bench text-xl">
    <header class="bench-head">
      <RouterLink :to="back" class="way-back px-2 leading-tight desk:border-r-[2.5px] border-ink">
        <span class="desk:hidden text-3xl text-center" aria-hidden="true">‹</span
        ><span class="max-desk:sr-only block truncate"><span aria-hidden="true">‹ </span>{{ title }} </span
        ><span class="max-desk:sr-only block truncate font-normal text-pencil">{{
          reading.profile?.name ?? (turn ? 'Session' : reading.double_id ? 'Double readings' : 'Quick readings')
        }}</span>
      </RouterLink>
      <p class="desk:hidden self-center leading-tight font-extrabold truncate">
        {{ title }}<span class="block font-normal text-pencil">{{ place }}</span>
      </p>
      <StepPath
        class="max-desk:col-span-3 max-desk:row-start-2 max-desk:border-t border-feint"
        :steps="steps"
        :current="bench.step.value"
        :finished="reading.assigned !== null"
        @go="bench.goTo"
      />
      <div class="flex max-desk:col-start-3 max-desk:row-start-1">
        <BenchTimer />
        <button
          type="button"
          class="grid place-content-center min-h-14 w-14 desk:w-[72px]"
          aria-label="Show the keys"
          @click="keys = true"
        >
          <CircleQuestionMark :size="34" aria-hidden="true" />
        </button>
      </div>
    </header>

    <div
      class="min-h-0 grid"
      :class="
        reading.horizons.length ? 'desk:grid-cols-[104px_minmax(0,1fr)_336px]' : 'desk:grid-cols-[minmax(0,1fr)_336px]'
      "
    >
      <SpineColumn
        v-if="reading.horizons.length"
        class="hidden desk:block border-r-[2.5px] border-ink"
        :reading="reading"
      />
      <main
        class="min-w-0 px-3 py-2.5 desk:px-6 desk:py-3 desk:overflow-y-auto max-desk:pb-32"
        :aria-label="steps[index]?.name"
      >
        <BenchNotices v-if="!wide" class="fixed inset-x-2 top-[120px] z-10" />
        <GuideStrip v-if="route.query.guide && !wide" class="mb-3" />
        <CautionNote v-for="name in reading.cautions" :key="name" :name="name" class="mb-3" />
        <ForeignStrip v-if="bench.foreign.value" class="mb-3" />
        <TurnStrip v-if="turn" :turn="turn" class="mb-3" />
        <CallStep v-if="hidden && bench.step.value === 'assign'" />
        <RibbonStep v-else-if="bench.step.value === 'ribbon'" />
        <BallStep v-else-if="bench.step.value === 'ball'" @on="goAlong" />
        <AssignStep v-else-if="bench.step.value === 'assign'" />
        <MoreStep v-else-if="bench.step.value === 'more'" />
        <PrepareStep v-else-if="bench.step.value === 'prepare'" :method="methodLine" @method="method = true" />
        <QuestionStep
          v-else
          :key="bench.step.value"
          :step-id="bench.step.value"
          @answered="bench.step.value === 'rub' && goOnFrom('rub', $event)"
        >
          <template #before>
            <dl
              v-if="bench.step.value === 'moisten'"
              class="grid desk:grid-cols-2 gap-3 border-y-[1.5px] border-ink py-3 leading-tight"
            >
              <div v-for="sign in words.moisture.answers.slice(0, 2)" :key="String(sign.value)">
                <dt class="font-extrabold">{{ sign.name }}?</dt>
                <dd>{{ sign.hint }}</dd>
              </div>
            </dl>
          </template>
        </QuestionStep>
      </main>
      <div class="hidden desk:flex flex-col min-h-0 border-l-[2.5px] border-ink bg-leaf">
        <GuideStrip v-if="route.query.guide && wide" class="m-3 mb-0" />
        <aside v-if="hidden" class="grow px-4 py-4 leading-snug" aria-label="Verdict so far, put away" data-hidden>
          <b>You decide.</b> The key’s verdict is put away until you have called the class. This trains the decision,
          not the hand.
        </aside>
        <AssignActions
          v-else-if="wide && bench.step.value === 'assign'"
          class="grow min-h-0 overflow-y-auto px-4 py-3"
        />
        <VerdictPanel v-else class="grow min-h-0 overflow-y-auto px-4 py-3" tabindex="0" :step="bench.step.value" />
        <BenchNotices v-if="wide" class="shrink-0 px-4 py-2 border-t-[1.5px] border-ink" />
        <div class="p-4 pt-2 grid gap-1.5 border-t-[1.5px] border-ink">
          <WhatNext v-if="wide && !hidden && bench.step.value !== 'assign'" :most="2" />
          <p role="status" class="text-pencil text-lg leading-tight" data-save-state>
            {{
              bench.saved.value === 'waiting'
                ? `${waits(bench.waiting.value)} for the server`
                : STATES[bench.saved.value]
            }}
          </p>
          <button v-if="kneaded" type="button" class="button w-full" @click="bench.goTo('ball')">
            Already kneaded: ball
          </button>
          <div class="grid gap-2" :class="before ? 'grid-cols-[auto_1fr]' : ''">
            <button
              v-if="before"
              type="button"
              class="button px-3"
              :aria-label="`Back to ${before.name}`"
              @click="goBack"
            >
              <span aria-hidden="true">‹</span>
            </button>
            <button type="button" class="button button-main" @click="goOn">{{ said }}</button>
          </div>
        </div>
      </div>
      <div class="desk:hidden fixed inset-x-0 bottom-0 z-10 bg-leaf border-t-[2.5px] border-ink p-2 grid gap-1">
        <div class="flex items-center gap-3 pl-1">
          <PeekPanel v-if="!hidden" class="grow" :step="bench.step.value" />
          <p role="status" class="text-pencil text-base leading-tight shrink-0 max-w-[40%]">
            {{ bench.saved.value === 'waiting' ? waits(bench.waiting.value) : STATES[bench.saved.value] }}
          </p>
        </div>
        <div class="grid gap-2" :class="kneaded ? 'grid-cols-2' : before ? 'grid-cols-[auto_1fr]' : ''">
          <button
            v-if="before"
            type="button"
            class="button px-3"
            :aria-label="`Back to ${before.name}`"
            @click="goBack"
          >
            <span aria-hidden="true">‹</span>
          </button>
          <button v-if="kneaded" type="button" class="button px-2 leading-tight" @click="bench.goTo('ball')">
            Already kneaded: ball
          </button>
          <button type="button" class="button button-main px-2 leading-tight" @click="goOn">{{ said }}</button>
        </div>
      </div>
    </div>
    <p v-if="!hidden" role="status" aria-live="polite" class="sr-only" data-verdict-said>{{ announced }}</p>
    <CloseDialog v-if="turn && bench.closing.value" :turn="turn" @close="bench.closing.value = false" />
    <LeaveDialog />
    <KeysDialog :open="keys" @close="keys = false" />
    <MethodDialog v-if="method" open @close="method = false" />
    <ConflictDialog />
  </div>
</template>
