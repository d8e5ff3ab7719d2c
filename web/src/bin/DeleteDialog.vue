<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { request, type Schemas } from '@/api'
import SheetDialog from '@/shared/SheetDialog.vue'
import { useBin } from './useBin'

// Asks before something is deleted, and tells what goes along and whose it is.
const { asked, trouble, remove } = useBin()
const { data, error } = useQuery(
  computed(() => ({
    queryKey: ['deletions', 'preview', asked.value?.of, asked.value?.id],
    queryFn: () =>
      request<Schemas['DeletionPreview']>(
        'GET',
        `/api/deletions/preview?of=${asked.value!.of}&of_id=${asked.value!.id}`,
      ),
    enabled: asked.value !== null,
    gcTime: 0,
  })),
)
const close = () => (asked.value = null)
</script>

<template>
  <SheetDialog v-if="asked" open :title="data ? `Delete ${data.label}?` : 'Delete'" @close="close">
    <div class="grid gap-3">
      <p v-if="data?.within" class="text-pencil">{{ data.within }}</p>
      <p v-if="data?.holds">
        With it: <b>{{ data.holds }}</b>.
      </p>
      <p v-if="data?.people.length">Textured by {{ data.people.join(', ') }}.</p>
      <p v-if="data?.measured">Ribbons were measured on its photographs. Their lengths stay.</p>
      <p>It lies in the bin, from where it can be restored, until you empty the bin.</p>
      <p v-if="error || trouble" role="alert" class="border-l-8 border-iron bg-warn px-3 py-2">
        {{ trouble || error?.message }}
      </p>
      <div class="flex flex-wrap gap-2">
        <button type="button" class="button button-main grow" :disabled="!data" @click="remove(asked)">Delete</button>
        <button type="button" class="button" @click="close">Keep</button>
      </div>
    </div>
  </SheetDialog>
</template>
