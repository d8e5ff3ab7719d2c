<script setup lang="ts">
import { ref } from 'vue'
import { forgetLists, request, useWords, type Site } from '@/api'
import { standing } from './land'
import MiniColumn from './MiniColumn.vue'

// The sites as a list, each with its profiles: for many sites, and for a narrow screen.
const props = defineProps<{ sites: Site[]; here?: number | null; movable: boolean }>()
defineEmits<{ addProfile: [site: Site]; open: [site: Site] }>()
const words = useWords()
const trouble = ref('')
const moved = ref('')
const landform = (site: Site) => words.value.landforms.find(({ value }) => value === site.landform)?.name.toLowerCase()

/** Puts a site one place up or down. */
async function move(at: number, by: -1 | 1): Promise<void> {
  const site = props.sites[at]!
  const before = by < 0 ? props.sites[at - 1]!.id : (props.sites[at + 2]?.id ?? null)
  trouble.value = ''
  try {
    await request('POST', `/api/sites/${site.id}/move`, { before })
    moved.value = `${site.name} is ${by < 0 ? 'above' : 'below'} ${props.sites[at + by]!.name} now.`
  } catch (error) {
    trouble.value = (error as Error).message
  }
  forgetLists()
}
</script>

<template>
  <div class="mt-3 grid grid-cols-[minmax(0,1fr)]">
    <p v-if="trouble" role="alert" class="border-l-8 border-iron bg-warn px-3 py-2">{{ trouble }}</p>
    <p role="status" class="sr-only">{{ moved }}</p>
    <section v-for="(site, i) in sites" :key="site.id" class="border-t-2 border-ink pb-2" :aria-label="site.name">
      <div class="flex flex-wrap items-center gap-x-3 py-1">
        <h2 class="min-w-0 grow text-2xl leading-tight">
          <button
            type="button"
            class="named-link max-w-full truncate min-h-11"
            :aria-label="`Site details: ${site.name}`"
            :title="site.name"
            @click="$emit('open', site)"
          >
            {{ site.name }}
          </button>
          <span v-if="landform(site)" class="block text-base font-normal text-pencil">{{ landform(site) }}</span>
        </h2>
        <span v-if="movable" class="for-writers flex gap-1">
          <button
            type="button"
            class="button button-desk"
            :disabled="i === 0"
            :aria-label="`Move ${site.name} up`"
            @click="move(i, -1)"
          >
            ↑
          </button>
          <button
            type="button"
            class="button button-desk"
            :disabled="i === sites.length - 1"
            :aria-label="`Move ${site.name} down`"
            @click="move(i, 1)"
          >
            ↓
          </button>
        </span>
        <button type="button" class="button for-writers button-desk" @click="$emit('addProfile', site)">
          Add profile<span class="sr-only"> at {{ site.name }}</span>
        </button>
      </div>
      <ul class="grid desk:grid-cols-2 gap-x-6">
        <li v-for="p in site.profiles" :key="p.id">
          <RouterLink :to="`/profiles/${p.id}`" class="profile-row" :class="p.id === here ? 'bg-lit text-lit-ink' : ''">
            <MiniColumn :profile="p" :height="52" />
            <span class="min-w-0"
              ><b class="block truncate" :title="p.name">{{ p.name }}</b
              ><span class="block text-base" :class="p.id === here ? '' : 'text-pencil'"
                >{{ standing(p).done }} of {{ standing(p).total }}, {{ p.kind_name.toLowerCase() }},
                {{ standing(p).next }}</span
              ></span
            >
          </RouterLink>
        </li>
      </ul>
      <RouterLink
        v-if="site.profile_count > site.profiles.length"
        :to="`/sites/${site.id}`"
        class="min-h-11 grid content-center font-semibold"
        >all {{ site.profile_count }} profiles</RouterLink
      >
    </section>
  </div>
</template>
