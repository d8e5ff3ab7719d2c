<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { useDebounceFn } from '@vueuse/core'
import { computed, ref } from 'vue'
import { sitesQuery } from '@/api'
import TextField from '@/shared/TextField.vue'
import { useDepths } from '@/shared/useDepths'

// Where a palmful belongs: a site, a profile at a depth, a horizon, or nowhere.
type Place = { site_id?: number; profile_id?: number; horizon_id?: number; upper_cm?: number | string }
const props = defineProps<{ error: (name: string) => string | undefined }>()
const { unit, range, toCm } = useDepths()
const model = defineModel<Place>({ required: true })
const text = ref('')
const looked = ref('')
const look = useDebounceFn(() => (looked.value = text.value), 250)
const { data } = useQuery(computed(() => sitesQuery(1, { text: looked.value })))
const sites = computed(() => data.value?.sites ?? [])
const siteId = ref(model.value.site_id ? String(model.value.site_id) : '')
const profileId = ref('')
const horizonId = ref('')
const depth = ref('')
const DEPTH = 'depth'
const site = computed(() => sites.value.find(({ id }) => String(id) === siteId.value))
const profile = computed(() => site.value?.profiles.find(({ id }) => String(id) === profileId.value))
function tell(): void {
  if (horizonId.value === DEPTH)
    model.value = { profile_id: Number(profileId.value), upper_cm: toCm(depth.value) ?? '' }
  else if (horizonId.value) model.value = { horizon_id: Number(horizonId.value) }
  else model.value = siteId.value ? { site_id: Number(siteId.value) } : {}
}
function chosen(level: 'site' | 'profile' | 'horizon'): void {
  if (level === 'site') profileId.value = ''
  if (level !== 'horizon') horizonId.value = profile.value ? DEPTH : ''
  tell()
}
</script>

<template>
  <fieldset class="grid gap-3 border-t-[1.5px] border-ink pt-3">
    <legend class="sr-only">Where it belongs</legend>
    <div class="grid desk:grid-cols-3 gap-3 items-start">
      <label class="grid gap-1 font-semibold"
        >Site<select v-model="siteId" class="field" @change="chosen('site')">
          <option value="">None</option>
          <option v-for="s in sites" :key="s.id" :value="String(s.id)">{{ s.name }}</option>
        </select></label
      >
      <label v-if="site?.profiles.length" class="grid gap-1 font-semibold"
        >Profile<select v-model="profileId" class="field" @change="chosen('profile')">
          <option value="">The site alone</option>
          <option v-for="p in site.profiles" :key="p.id" :value="String(p.id)">{{ p.name }}</option>
        </select></label
      >
      <label v-if="profile" class="grid gap-1 font-semibold"
        >Horizon<select v-model="horizonId" class="field" @change="chosen('horizon')">
          <option :value="DEPTH">By its depth</option>
          <option v-for="h in profile.horizons" :key="h.id" :value="String(h.id)">
            {{ h.designation }}, {{ range(h.upper_cm, h.lower_cm) }}
          </option>
        </select></label
      >
    </div>
    <TextField
      v-if="horizonId === DEPTH"
      v-model="depth"
      label="Taken at"
      :unit="unit"
      inputmode="decimal"
      :error="props.error('upper_cm')"
      @update:model-value="tell"
    />
    <label v-if="(data?.pages ?? 1) > 1 || looked" class="grid gap-1 font-semibold"
      >Look for a site<input v-model="text" type="search" class="field" @input="look()"
    /></label>
  </fieldset>
</template>
