<script setup lang="ts">
import { Camera } from '@lucide/vue'
import { ref, useTemplateRef } from 'vue'
import { served, forgetLists, queryClient, sendFile, type Schemas } from '@/api'
import { useBin } from '@/bin/useBin'
import SheetDialog from './SheetDialog.vue'

// Photographs of one thing: small ones in a row, a large one when pressed, and a key to add more.
type Photo = Schemas['Photo']
const props = defineProps<{
  of: 'site' | 'profile' | 'horizon' | 'reading'
  id: number
  photos: Photo[]
  what: string
  small?: boolean
  /** Takes a file in place of sending it at once. */
  take?: (file: File) => Promise<void>
}>()
const emit = defineEmits<{ changed: [photo: Photo | null] }>()
const picker = useTemplateRef('picker')
const shown = ref<Photo | null>(null)
const busy = ref(false)
const trouble = ref('')

function renew(photo: Photo | null): void {
  forgetLists()
  void queryClient.invalidateQueries({ queryKey: ['reading'] })
  emit('changed', photo)
}
async function add(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement
  busy.value = true
  trouble.value = ''
  try {
    for (const file of input.files ?? [])
      if (props.take) await props.take(file)
      else
        renew(
          await sendFile<Photo>(
            `/api/photos?of=${props.of}&of_id=${props.id}&name=${encodeURIComponent(file.name)}`,
            file,
          ),
        )
  } catch (error) {
    trouble.value = (error as Error).message
  } finally {
    busy.value = false
    input.value = ''
  }
}
const { ask } = useBin()
function remove(photo: Photo): void {
  shown.value = null
  ask('photo', photo.id, () => renew(null))
}
</script>

<template>
  <div class="grid gap-2">
    <ul class="flex flex-wrap gap-2 items-stretch">
      <li v-for="photo in photos" :key="photo.id">
        <button type="button" class="block border-2 border-ink" @click="shown = photo">
          <img
            :src="served(photo.thumb_url)"
            :alt="photo.caption ?? `Photo of ${what}`"
            class="w-auto block"
            :class="small ? 'h-12' : 'h-24'"
          />
        </button>
      </li>
      <li class="print:hidden">
        <button type="button" class="button" :class="small ? '' : 'h-24'" :disabled="busy" @click="picker?.click()">
          <Camera aria-hidden="true" />{{ busy ? 'Adding it' : 'Add a photo' }}
        </button>
        <input
          ref="picker"
          type="file"
          class="sr-only"
          accept="image/jpeg,image/png,image/webp"
          tabindex="-1"
          :aria-label="`Photo of ${what}`"
          @change="add"
        />
      </li>
    </ul>
    <p v-if="!photos.length && !trouble" class="text-pencil">
      No photograph of {{ what }} yet. Where it was taken is not kept with it.
    </p>
    <p v-if="trouble" role="alert" class="border-l-8 border-iron bg-warn px-3 py-1">{{ trouble }}</p>
    <SheetDialog v-if="shown" open wide :title="shown.caption ?? `Photo of ${what}`" @close="shown = null">
      <img
        :src="served(shown.url)"
        :alt="shown.caption ?? `Photo of ${what}`"
        class="w-full max-h-[70vh] object-contain"
      />
      <p class="flex justify-between items-center gap-3 mt-3">
        <span class="text-pencil text-lg">Where it was taken is not kept with it.</span
        ><button type="button" class="button" v-if="shown.id > 0" @click="remove(shown)">Delete</button>
      </p>
    </SheetDialog>
  </div>
</template>
