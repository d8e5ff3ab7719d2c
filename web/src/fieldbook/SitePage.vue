<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { request, type Schemas } from '@/api'
import ExportDialog from '@/shared/ExportDialog.vue'
import PageState from '@/shared/PageState.vue'

// All profiles of one site, a line each: for sites that have more than the land can hold.
const props = defineProps<{ id: number }>()
type Lines = {
  site: { id: number; name: string }
  profiles: Schemas['ProfileLine'][]
  page: number
  pages: number
  total: number
}
const page = ref(1)
const { data, error, refetch } = useQuery(
  computed(() => ({
    queryKey: ['sites', 'profiles', props.id, page.value],
    queryFn: () => request<Lines>('GET', `/api/sites/${props.id}/profiles?page=${page.value}`),
  })),
)
const exporting = ref(false)
</script>

<template>
  <PageState v-if="!data" :error="error" @retry="refetch()" />
  <div v-else class="min-h-dvh flex flex-col text-lg">
    <header class="page-head">
      <RouterLink to="/" class="way-back">‹ Fieldbook</RouterLink>
      <div class="grow">
        <h1 class="text-3xl leading-tight">{{ data.site.name }}</h1>
        <p class="text-pencil leading-tight">{{ data.total }} {{ data.total === 1 ? 'profile' : 'profiles' }}</p>
      </div>
      <button type="button" class="button" @click="exporting = true">Export</button>
    </header>
    <main class="px-4 desk:px-6 py-3 grid grid-cols-[minmax(0,1fr)] gap-3 content-start">
      <table class="border-collapse w-full">
        <thead>
          <tr class="text-left text-base border-b-2 border-ink">
            <th scope="col" class="py-1 pr-4">Profile</th>
            <th scope="col" class="pr-4 max-desk:hidden">How opened</th>
            <th scope="col" class="pr-4">Textured</th>
            <th scope="col" class="pr-4 text-right max-desk:hidden">To, cm</th>
            <th scope="col" class="pl-4">Horizons</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="p in data.profiles" :key="p.id" class="border-b border-rule">
            <th scope="row" class="text-left pr-4">
              <RouterLink :to="`/profiles/${p.id}`" class="min-h-11 grid content-center">{{ p.name }}</RouterLink>
            </th>
            <td class="pr-4 max-desk:hidden">{{ p.kind_name }}</td>
            <td class="pr-4">{{ p.textured }} of {{ p.horizons }}</td>
            <td class="pr-4 text-right max-desk:hidden">{{ p.depth_cm ?? '' }}</td>
            <td class="pl-4 text-pencil">{{ p.designations }}</td>
          </tr>
        </tbody>
      </table>
      <nav v-if="data.pages > 1" aria-label="Pages of profiles" class="flex gap-2 items-center">
        <button type="button" class="button button-desk" :disabled="page === 1" @click="page--">Previous</button>
        <span>{{ page }} of {{ data.pages }}</span>
        <button type="button" class="button button-desk" :disabled="page === data.pages" @click="page++">Next</button>
      </nav>
    </main>
    <ExportDialog v-if="exporting" of="site" :id="id" :name="data.site.name" @close="exporting = false" />
  </div>
</template>
