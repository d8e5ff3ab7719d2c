<script setup lang="ts">
import { served } from '@/api'
import SheetDialog from './SheetDialog.vue'

// What can be exported, and what each is for.
const props = defineProps<{ of: 'fieldbook' | 'site' | 'profile'; id?: number; name: string }>()
defineEmits<{ close: [] }>()
const FORMATS = [
  { format: 'pdf', name: 'Field sheet', about: 'PDF to print and file: column, table, how each class was reached' },
  {
    format: 'package',
    name: 'Package',
    about: 'ZIP of CSV tables with their description, and the photographs; can be imported again',
  },
  { format: 'json', name: 'JSON', about: 'everything in one file; can be imported again' },
  {
    format: 'interpretation',
    name: 'Interpretation',
    about: 'CSV: what each horizon means for water, roots and work, with intervals, limits and companion tests',
  },
  { format: 'svg', name: 'Column', about: 'SVG drawing to depth scale' },
  { format: 'triangle', name: 'Triangle', about: 'SVG drawing with the estimate of every horizon' },
  { format: 'geojson', name: 'Map points', about: 'GeoJSON of the sites' },
]
const href = (format: string) =>
  served(`/api/export?format=${format}&of=${props.of}${props.id ? `&id=${props.id}` : ''}`)
</script>

<template>
  <SheetDialog open wide :title="`Export: ${name}`" @close="$emit('close')">
    <ul class="grid gap-2">
      <li v-if="of !== 'fieldbook'">
        <RouterLink class="button w-full !justify-start text-left" :to="`/reports?${of}=${id}`"
          ><span class="w-36 shrink-0 font-extrabold">Report</span
          ><span class="font-normal">for a client or an authority: as a page and PDF; can be frozen</span></RouterLink
        >
      </li>
      <li v-for="f in FORMATS" :key="f.format">
        <a class="button w-full !justify-start text-left" :href="href(f.format)" download
          ><span class="w-36 shrink-0 font-extrabold">{{ f.name }}</span
          ><span class="font-normal">{{ f.about }}</span></a
        >
      </li>
    </ul>
  </SheetDialog>
</template>
