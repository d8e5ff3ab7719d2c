<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { queryClient, sheetQuery, sitesQuery, useProfile, useWords, type Profile, type Sheet } from '@/api'
import ChoiceField from '@/shared/ChoiceField.vue'
import { depthList } from '@/shared/depthList'
import SheetDialog from '@/shared/SheetDialog.vue'
import TextField from '@/shared/TextField.vue'
import { useForm } from '@/shared/useForm'

// A new sheet: where, and at which depths, holes or tubes.
const props = defineProps<{ test: string; profile?: Profile }>()
const emit = defineEmits<{ close: [] }>()
const router = useRouter()
const words = useWords()
const kind = computed(() => words.value.companion_kinds.find(({ name }) => name === props.test)!)
const { saving, problem, at, general, send } = useForm<Sheet>()
const sites = useQuery(computed(() => ({ ...sitesQuery(1), enabled: !props.profile })))
const NOWHERE = ''
const where = ref(props.profile ? String(props.profile.id) : NOWHERE)
const choices = computed(() => [
  { value: NOWHERE, name: 'No profile' },
  ...(sites.data.value?.sites ?? []).flatMap((site) =>
    site.profiles.map(({ id, name }) => ({ value: String(id), name: `${name}, ${site.name}` })),
  ),
])
const found = useProfile(computed(() => (props.profile ? 0 : Number(where.value))))
const profile = computed(() => props.profile ?? found.data.value)

const text = ref('')
const touched = ref(false)
/** What would be tested first: the middle of each horizon, as many holes as a site takes, layers alone and stacked. */
const usual = computed(() => {
  const layers = profile.value?.horizons ?? []
  if (props.test === 'columns') {
    const names = layers.slice(0, 2).map(({ designation }) => designation)
    return names.length === 2 ? `${names[0]} alone, ${names[1]} alone, ${names[0]} over ${names[1]}` : ''
  }
  const middles = layers.map(({ upper_cm, lower_cm }) => Math.round((upper_cm + lower_cm) / 2))
  if (props.test === 'percolation')
    return Array(kind.value.fewest)
      .fill(middles.at(-1) ?? 60)
      .join(', ')
  return middles.join(', ')
})
watch(usual, (next) => !touched.value && (text.value = next), { immediate: true })
const noun = computed(() => kind.value.noun.charAt(0).toUpperCase() + kind.value.noun.slice(1))
/** Holes, jars and rods are told apart by a number; depths by themselves. */
const numbered = computed(() => ['percolation', 'jar', 'rod'].includes(props.test))
const places = computed(() => {
  if (!kind.value.at_depth)
    return text.value
      .split(/[,;]\s*/)
      .filter(Boolean)
      .map((label) => ({ label }))
  return depthList(text.value).map(({ upper_cm, lower_cm }, i) => ({
    upper_cm,
    lower_cm,
    ...(numbered.value ? { label: `${noun.value} ${i + 1}` } : {}),
  }))
})
const wrong = computed(() => {
  for (let i = 0; i < places.value.length; i += 1)
    for (const name of ['upper_cm', 'lower_cm', 'label'])
      if (at(`places/${i}/${name}`)) return `${noun.value} ${i + 1}: ${at(`places/${i}/${name}`)}`
  return undefined
})

async function save(): Promise<void> {
  const made = await send('POST', '/api/companion-tests', {
    test: props.test,
    places: places.value,
    ...(where.value ? { profile_id: Number(where.value) } : {}),
  })
  if (!made) return
  queryClient.setQueryData(sheetQuery(made.id).queryKey, made)
  for (const list of ['companions', 'timers']) void queryClient.invalidateQueries({ queryKey: [list] })
  emit('close')
  void router.push(`/companion-tests/${made.id}`)
}
</script>

<template>
  <SheetDialog open :title="kind.title" @close="$emit('close')">
    <form class="grid gap-4" novalidate @submit.prevent="save">
      <ChoiceField v-if="!props.profile" v-model="where" label="Profile" :options="choices" />
      <TextField
        v-model="text"
        :label="kind.at_depth ? `Depth of each ${kind.noun}` : `Names of the ${kind.noun}s`"
        :unit="kind.at_depth ? 'cm' : undefined"
        :hint="
          kind.at_depth
            ? `With commas between, such as 10, 30, 60-70${kind.fewest > 1 ? `; ${kind.fewest} or more` : ''}`
            : 'With commas between: each layer alone, then stacked'
        "
        :error="wrong"
        @update:model-value="touched = true"
      />
      <p v-if="problem && !wrong" role="alert" class="border-l-8 border-iron bg-warn px-3 py-2">{{ general([]) }}</p>
      <button class="button button-main" type="submit" :disabled="saving || !places.length">
        Set up {{ places.length }} {{ places.length === 1 ? kind.noun : `${kind.noun}s` }}
      </button>
    </form>
  </SheetDialog>
</template>
