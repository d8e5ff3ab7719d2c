<script setup lang="ts">
import { useTitle } from '@vueuse/core'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { useProfile, useWords } from '@/api'
import { entries } from '@/outbox/outboxes'
import { groups, type Field } from '@/shared/described'
import CautionNote from '@/shared/CautionNote.vue'
import PageState from '@/shared/PageState.vue'
import PhotoStrip from '@/shared/PhotoStrip.vue'
import MunsellField from '@/shared/MunsellField.vue'
import CardConflict from './CardConflict.vue'
import HorizonDialog from './HorizonDialog.vue'
import { heldBy, useCard } from './useCard'
import { useDepths } from '@/shared/useDepths'

// One horizon at the pit: large keys, one answer each, kept as it is given. The column at the side says where you are.
const props = defineProps<{ id: number; horizonId: number }>()
const { range } = useDepths()
const router = useRouter()
const words = useWords()
const { data: profile, error, refetch } = useProfile(() => props.id)
const horizon = computed(() => profile.value?.horizons.find(({ id }) => id === props.horizonId))
const place = computed(() => profile.value?.horizons.findIndex(({ id }) => id === props.horizonId) ?? -1)
const below = computed(() => profile.value?.horizons[place.value + 1])
const above = computed(() => profile.value?.horizons[place.value - 1])
const pages = computed(() => groups(words.value.fields.horizon!))
const page = defineModel<number>('page', { required: true })
const open = computed(() => pages.value[page.value]!)
const editing = ref<'new' | 'this' | null>(null)
const card = useCard(props.horizonId, props.id, () => horizon.value)
const { trouble } = card
const SAVED = {
  saved: 'Saved',
  saving: 'Saving',
  waiting: 'Kept on this device',
  conflict: 'Changed in another window',
}

useTitle(computed(() => [horizon.value?.designation, profile.value?.name, 'Grittle'].filter(Boolean).join(' · ')))
const options = (field: Field) =>
  field.type === 'flag'
    ? [
        { value: 'true', name: 'Yes' },
        { value: 'false', name: 'No' },
      ]
    : (field.words ?? [])
const count = (fields: Field[]) => fields.filter((field) => card.typed(field.name) !== '').length
const bounded = computed(() => open.value?.fields.some(({ name }) => name === 'boundary_topography'))
const put = (field: Field, value: string) => card.give({ [field.name]: value })
/** What usually goes on downwards is taken over from the horizon above, where nothing is written yet. */
const carried = computed(() =>
  words.value.fields.horizon!.filter(
    (field) => field.carries && above.value && heldBy(above.value, field.name) !== '' && card.typed(field.name) === '',
  ),
)
const carryDown = () =>
  card.give(Object.fromEntries(carried.value.map(({ name }) => [name, heldBy(above.value!, name)])))
const boundary = computed<Field>(() => ({
  name: 'boundary',
  label: 'Lower boundary',
  type: 'choice',
  group: null,
  unit: null,
  hint: null,
  suggestions: null,
  carries: false,
  words: words.value.boundaries[profile.value!.naming_system] ?? [],
}))
function closed(): void {
  const wasNew = editing.value === 'new'
  editing.value = null
  void refetch().then(({ data }) => {
    const next = data?.horizons[place.value + 1]
    if (wasNew && next) void router.replace(`/profiles/${props.id}/horizons/${next.id}`)
  })
}
</script>

<template>
  <PageState v-if="!profile" :error="error" @retry="refetch()" />
  <main v-else-if="!horizon" class="p-6 text-xl grid gap-3 justify-items-start">
    <h1 class="text-3xl">This horizon is no longer there.</h1>
    <RouterLink class="button" :to="`/profiles/${id}`">To the section</RouterLink>
  </main>
  <div v-else class="min-h-dvh flex flex-col text-xl">
    <header class="bg-leaf border-b-[2.5px] border-ink px-3 desk:px-6 py-2 flex flex-wrap items-center gap-x-4 gap-y-1">
      <RouterLink :to="`/profiles/${id}`" class="way-back">‹ {{ profile.name }}</RouterLink>
      <h1 class="text-3xl grow leading-none">
        <button type="button" class="min-h-14 named-link" @click="editing = 'this'">
          <span class="sr-only">Change </span>{{ horizon.designation
          }}<span class="text-xl font-normal pl-3">{{ range(horizon.upper_cm, horizon.lower_cm) }}</span>
        </button>
      </h1>
      <p role="status" class="text-pencil text-lg" data-saved>
        {{ SAVED[card.saved.value]
        }}<template v-if="card.saved.value === 'waiting'">: {{ entries(card.waiting.value) }}</template>
      </p>
      <button type="button" class="button button-desk" :disabled="!card.canUndo.value" @click="card.undo">Undo</button>
      <svg
        v-if="horizon.moist_colour"
        width="56"
        height="40"
        role="img"
        :aria-label="`Colour ${horizon.moist_colour.notation}`"
      >
        <rect class="inked" x="1" y="1" width="54" height="38" :style="`fill: ${horizon.moist_colour.chip}`" />
      </svg>
    </header>
    <nav aria-label="What is described" class="flex overflow-x-auto border-b-2 border-ink bg-paper">
      <button
        v-for="(g, i) in pages"
        :key="g.name"
        type="button"
        class="min-h-14 px-4 whitespace-nowrap border-r border-rule font-semibold"
        :class="page === i ? 'bg-lit text-lit-ink' : ''"
        :aria-current="page === i ? 'page' : undefined"
        @click="page = i"
      >
        {{ g.name }}<span v-if="count(g.fields)" class="font-normal pl-1.5">{{ count(g.fields) }}</span>
      </button>
      <button
        type="button"
        class="min-h-14 px-4 whitespace-nowrap font-semibold"
        :class="page === pages.length ? 'bg-lit text-lit-ink' : ''"
        :aria-current="page === pages.length ? 'page' : undefined"
        @click="page = pages.length"
      >
        Photos<span v-if="horizon.photos?.length" class="font-normal pl-1.5">{{ horizon.photos.length }}</span>
      </button>
    </nav>
    <main class="p-3 desk:px-6 grid gap-5 content-start grow">
      <CautionNote v-if="profile.contaminated" name="contaminated" />
      <p v-if="trouble && !trouble.field" role="alert" class="border-l-8 border-iron bg-warn px-3 py-2">
        {{ trouble.sentence }}
      </p>
      <button
        v-if="carried.length && page < pages.length"
        type="button"
        class="button justify-self-start"
        @click="carryDown"
      >
        As in {{ above!.designation }}: {{ carried.map(({ label }) => label.toLowerCase()).join(', ') }}
      </button>
      <template v-if="page < pages.length">
        <section
          v-for="field in bounded ? [boundary, ...open.fields] : open.fields"
          :key="field.name"
          class="grid gap-1.5"
          :aria-label="field.label"
        >
          <template v-if="options(field).length">
            <h2 class="text-xl">{{ field.label }}</h2>
            <div class="flex flex-wrap gap-2" role="group" :aria-label="field.label">
              <button
                v-for="o in options(field)"
                :key="o.value"
                type="button"
                class="button"
                :aria-pressed="card.typed(field.name) === o.value"
                @click="put(field, card.typed(field.name) === o.value ? '' : o.value)"
              >
                {{ o.name }}
              </button>
            </div>
          </template>
          <MunsellField
            v-else-if="field.type === 'munsell'"
            class="max-w-2xl"
            :model-value="card.typed(field.name)"
            :label="field.label"
            :hint="field.hint ?? undefined"
            lazy
            @update:model-value="put(field, $event)"
          />
          <template v-else>
            <label class="font-extrabold" :for="`card-${field.name}`"
              >{{ field.label }}<span v-if="field.unit" class="font-normal text-pencil"> {{ field.unit }}</span></label
            >
            <input
              :id="`card-${field.name}`"
              class="field !min-h-14 max-w-md"
              :value="card.typed(field.name)"
              :inputmode="field.type === 'number' ? 'decimal' : undefined"
              :list="field.suggestions ? `card-list-${field.name}` : undefined"
              :placeholder="field.hint ?? undefined"
              autocomplete="off"
              :aria-invalid="trouble?.field === field.name ? 'true' : undefined"
              @change="put(field, ($event.target as HTMLInputElement).value)"
            />
            <datalist v-if="field.suggestions" :id="`card-list-${field.name}`">
              <option v-for="s in field.suggestions" :key="s" :value="s" />
            </datalist>
          </template>
          <p
            v-if="trouble?.field === field.name"
            role="alert"
            class="border-l-8 border-iron bg-warn px-3 py-1 max-w-2xl"
          >
            {{ trouble.sentence }}
          </p>
        </section>
      </template>
      <PhotoStrip v-else of="horizon" :id="horizon.id" :photos="horizon.photos ?? []" :what="horizon.designation" />
    </main>
    <footer class="sticky bottom-0 bg-paper border-t-2 border-ink p-2 desk:px-6 flex gap-2 justify-between">
      <RouterLink v-if="above" class="button" :to="`/profiles/${id}/horizons/${above.id}`"
        >‹ {{ above.designation }}</RouterLink
      ><span v-else />
      <RouterLink v-if="below" class="button button-main" :to="`/profiles/${id}/horizons/${below.id}`"
        >{{ below.designation }} ›</RouterLink
      >
      <button v-else type="button" class="button button-main" @click="editing = 'new'">Next horizon below</button>
    </footer>
    <CardConflict
      v-if="card.conflict.value"
      :conflict="card.conflict.value"
      :horizon-id="horizonId"
      :fields="[...words.fields.horizon!, boundary]"
      @choose="card.resolve"
    />
    <HorizonDialog
      v-if="editing"
      :profile="profile"
      :horizon="editing === 'new' ? null : horizon"
      plain
      @close="closed"
    />
  </div>
</template>
