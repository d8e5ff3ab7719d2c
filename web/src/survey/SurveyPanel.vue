<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { request, type Profile, type Schemas } from '@/api'
import { useDepths } from '@/shared/useDepths'
import MapDialog from './MapDialog.vue'
import SurveyDrawing from './SurveyDrawing.vue'

// What a survey map expects where the profile lies, once its horizons have a class; it enters no estimate.
const props = defineProps<{ profile: Profile }>()
const { range } = useDepths()
const { data } = useQuery(
  computed(() => ({
    queryKey: ['profile', props.profile.id, 'survey'],
    queryFn: () => request<Schemas['SurveyOfProfile']>('GET', `/api/profiles/${props.profile.id}/survey`),
  })),
)
const adding = ref(false)
const found = computed(() => data.value?.found)
</script>

<template>
  <section v-if="data" aria-labelledby="survey-title" class="border-t-2 border-ink pt-2 mt-4 grid gap-2" data-survey>
    <div class="flex flex-wrap items-center gap-4">
      <h2 id="survey-title" class="text-2xl grow">Survey map</h2>
      <button type="button" class="button button-desk print:hidden" @click="adding = true">Maps</button>
    </div>
    <p v-if="!data.maps.length" class="text-pencil">
      No map yet: any GeoJSON whose polygons name unit, scale and textures.
    </p>
    <p v-else-if="!data.place" class="text-pencil">The site has no position to look up.</p>
    <p v-else-if="!found" class="text-pencil">No map knows this place ({{ data.place }}).</p>
    <div v-else class="grid desk:grid-cols-[320px_minmax(0,1fr)] gap-x-6 gap-y-3 items-start">
      <SurveyDrawing :found="found" />
      <div class="grid gap-2">
        <p>{{ found.map }}. {{ found.warning }}</p>
        <ul class="grid" aria-label="What the map expects">
          <li v-for="h in found.horizons" :key="h.upper_cm" class="border-b border-rule py-1 leading-snug">
            <b>{{ h.designation }}, {{ range(h.upper_cm, h.lower_cm) }}</b
            >{{ h.assigned ? `, ${h.assigned}` : '' }}: {{ h.sentence }}
            <span v-if="h.ratio !== null" class="text-pencil"
              >{{ h.ratio }} times an even chance; the map:
              {{ h.expected.map((e) => `${e.name} ${e.percent} %`).join(', ') }}.</span
            >
          </li>
        </ul>
        <p class="text-pencil text-base">A likelihood of a polygon, never the truth of a pit; it enters no estimate.</p>
      </div>
    </div>
    <MapDialog v-if="adding" :maps="data.maps" @close="adding = false" />
  </section>
</template>
