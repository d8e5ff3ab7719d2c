<script setup lang="ts">
import { ref } from 'vue'
import { queryClient, type Schemas } from '@/api'
import SheetDialog from '@/shared/SheetDialog.vue'
import TextField from '@/shared/TextField.vue'
import { useForm } from '@/shared/useForm'

// Survey maps as GeoJSON: one's own beside what is there.
const props = defineProps<{ maps: Schemas['SurveyMapLine'][] }>()
defineEmits<{ close: [] }>()
const { saving, at, general, send } = useForm<Schemas['SurveyMaps']>()
const name = ref('')
const file = ref<HTMLInputElement>()
const chosen = ref('')
const shown = ref(props.maps)
function took(found: Schemas['SurveyMaps'] | undefined): void {
  if (!found) return
  shown.value = found.maps
  name.value = chosen.value = ''
  void queryClient.invalidateQueries({ queryKey: ['profile'] })
}
async function add(): Promise<void> {
  const text = await file.value!.files![0]!.text()
  took(await send('POST', '/api/survey-maps', { name: name.value, geojson: text }))
}
const remove = async (id: number) => took(await send('DELETE', `/api/survey-maps/${id}`, undefined))
</script>

<template>
  <SheetDialog open title="Survey maps" :saved="shown.length" @close="$emit('close')">
    <div class="grid gap-5">
      <ul v-if="shown.length" class="grid" aria-label="Maps">
        <li v-for="m in shown" :key="m.id" class="border-b border-rule flex items-center justify-between gap-3">
          <span>{{ m.name }}, {{ m.units === 1 ? '1 polygon' : `${m.units} polygons` }}</span>
          <button
            type="button"
            class="min-h-14 underline underline-offset-4"
            :aria-label="`Remove ${m.name}`"
            @click="remove(m.id)"
          >
            Remove
          </button>
        </li>
      </ul>
      <form class="grid gap-4" novalidate @submit.prevent="add">
        <TextField v-model="name" label="Name" :error="at('name')" />
        <div class="grid gap-1">
          <label for="geojson" class="font-semibold">File, GeoJSON</label>
          <input
            id="geojson"
            ref="file"
            type="file"
            accept=".geojson,.json"
            class="field !py-2"
            @change="chosen = file?.files?.[0]?.name ?? ''"
          />
          <p v-if="at('geojson')" class="border-l-8 border-iron bg-warn px-3 py-1">{{ at('geojson') }}</p>
          <p class="text-pencil text-lg">
            Polygons with the properties unit, scale and components; each component has percent, and layers with
            upper_cm, lower_cm and textures as USDA codes.
          </p>
        </div>
        <p v-if="general(['name', 'geojson'])" role="alert" class="border-l-8 border-iron bg-warn px-3 py-2">
          {{ general(['name', 'geojson']) }}
        </p>
        <button type="submit" class="button button-main" :disabled="saving || !chosen">Add the map</button>
      </form>
    </div>
  </SheetDialog>
</template>
