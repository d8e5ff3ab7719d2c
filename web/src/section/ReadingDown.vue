<script setup lang="ts">
import { ref } from 'vue'
import { forgetLists, request, type Horizon, type Profile } from '@/api'
import { day } from '@/shared/dates'
import { useDepths } from '@/shared/useDepths'

// What is read down the profile beside its contrasts: wetness, the form, what does not go together, and horizons with
// several readings.
const props = defineProps<{ profile: Profile }>()
const { range } = useDepths()
const trouble = ref('')
const several = (profile: Profile) => profile.horizons.filter(({ readings }) => (readings?.length ?? 0) > 1)
async function report(horizon: Horizon, reading: number): Promise<void> {
  trouble.value = ''
  try {
    await request('PATCH', `/api/horizons/${horizon.id}`, { version: horizon.version, reported_reading_id: reading })
  } catch (error) {
    trouble.value = (error as Error).message
  }
  forgetLists()
}
</script>

<template>
  <section
    v-if="props.profile.wetness?.sentence || profile.form || profile.questions?.length"
    aria-labelledby="down-title"
    class="border-t-2 border-ink pt-2 grid gap-1 leading-snug"
  >
    <h2 id="down-title" class="text-2xl">Interpretation</h2>
    <p v-if="profile.wetness?.sentence" data-wetness>{{ profile.wetness.sentence }}</p>
    <p v-if="profile.form" data-form>{{ profile.form.sentence }}</p>
    <ul v-if="profile.questions?.length" class="grid gap-1">
      <li v-for="(q, i) in profile.questions" :key="i" class="border-l-8 border-rule pl-3" :data-question="q.question">
        <b>{{ q.designation }}, {{ q.depth_cm }} cm.</b> {{ q.sentence }}
      </li>
    </ul>
  </section>
  <section v-if="several(profile).length" aria-labelledby="several-title" class="border-t-2 border-ink pt-2">
    <h2 id="several-title" class="text-2xl">Several readings of one horizon</h2>
    <p v-if="trouble" role="alert" class="border-l-8 border-iron bg-warn px-3 py-1">{{ trouble }}</p>
    <div v-for="h in several(profile)" :key="h.id" class="mt-1">
      <h3 class="font-extrabold">{{ h.designation }}, {{ range(h.upper_cm, h.lower_cm) }}</h3>
      <ul>
        <li v-for="r in h.readings" :key="r.id" class="flex flex-wrap items-center gap-x-4 border-b border-rule">
          <RouterLink :to="`/readings/${r.id}`" class="min-h-11 grid content-center"
            >{{ r.name ?? 'not assigned' }}{{ r.textured_by ? `, by ${r.textured_by}` : '' }}</RouterLink
          >
          <span class="text-pencil">{{ day(r.started_at) }}</span>
          <span class="grow" :class="r.far ? 'font-semibold text-iron' : ''">{{
            r.reported
              ? 'reported'
              : r.disturbed
                ? `${r.disturbed}, set aside`
                : r.apart === 0
                  ? 'agrees'
                  : (r.apart_text ?? '')
          }}</span>
          <button
            v-if="!r.reported && !r.disturbed"
            type="button"
            class="button button-desk print:hidden"
            @click="report(h, r.id)"
          >
            Use as the reported reading
          </button>
        </li>
      </ul>
    </div>
  </section>
</template>
