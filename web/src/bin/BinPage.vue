<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { request, type Schemas } from '@/api'
import PageHead from '@/shared/PageHead.vue'
import PageState from '@/shared/PageState.vue'
import PageTurner from '@/shared/PageTurner.vue'
import SheetDialog from '@/shared/SheetDialog.vue'
import { dayAndTime } from '@/shared/dates'
import { useBin } from './useBin'

// Everything that was deleted, and the files that were imported, each of which can be deleted as a whole.
type Deletion = Schemas['Deletion']
type Deletions = { deletions: Deletion[]; page: number; pages: number; total: number }
type Imports = { imports: Schemas['FileImport'][]; page: number; pages: number; total: number }
const { ask, renew } = useBin()
const page = ref(1)
const importPage = ref(1)
const { data, error, refetch } = useQuery(
  computed(() => ({
    queryKey: ['deletions', page.value],
    queryFn: () => request<Deletions>('GET', `/api/deletions?page=${page.value}`),
  })),
)
const imports = useQuery(
  computed(() => ({
    queryKey: ['imports', importPage.value],
    queryFn: () => request<Imports>('GET', `/api/file-imports?page=${importPage.value}`),
  })),
)
const trouble = ref('')
/** What is to be removed for good, while it is asked about. */
const emptying = ref<Deletion | 'all' | null>(null)

async function attempt(work: () => Promise<unknown>): Promise<void> {
  trouble.value = ''
  try {
    await work()
  } catch (problem) {
    trouble.value = (problem as Error).message
  }
  renew()
}
const restore = ({ id }: Deletion) => attempt(() => request('POST', `/api/deletions/${id}/restore`, {}))
async function empty(): Promise<void> {
  const gone = emptying.value
  emptying.value = null
  if (gone) await attempt(() => request('DELETE', gone === 'all' ? '/api/deletions' : `/api/deletions/${gone.id}`))
}
</script>

<template>
  <PageState v-if="!data" :error="error" @retry="refetch()" />
  <div v-else class="min-h-dvh flex flex-col text-lg">
    <PageHead title="Bin">
      <button v-if="data.total" type="button" class="button for-leads" @click="emptying = 'all'">Empty the bin</button>
    </PageHead>
    <main class="px-4 desk:px-6 py-4 grid grid-cols-[minmax(0,1fr)] gap-6 content-start max-w-5xl">
      <p v-if="trouble" role="alert" class="border-l-8 border-iron bg-warn px-3 py-2">{{ trouble }}</p>
      <p v-if="!data.total" class="py-8 text-2xl font-extrabold">The bin is empty.</p>
      <ol v-else class="grid">
        <li
          v-for="d in data.deletions"
          :key="d.id"
          class="grid desk:grid-cols-[7rem_minmax(0,1fr)_auto] gap-x-4 gap-y-1 items-center border-b border-rule py-2"
        >
          <span class="text-pencil">{{ d.kind_name }}</span>
          <p class="leading-snug min-w-0">
            <b>{{ d.label }}</b><template v-if="d.within">, {{ d.within }}</template>
            <span v-if="d.holds" class="block">With {{ d.holds }}</span>
            <span class="block text-pencil text-base"
              >Deleted {{ dayAndTime(d.deleted_at) }}{{ d.by ? ` by ${d.by}` : '' }}</span
            >
          </p>
          <span class="flex gap-2">
            <button type="button" class="button for-writers button-desk" @click="restore(d)">
              Restore<span class="sr-only"> {{ d.label }}</span>
            </button>
            <button type="button" class="button for-leads button-desk" @click="emptying = d">
              Remove for good<span class="sr-only">: {{ d.label }}</span>
            </button>
          </span>
        </li>
      </ol>
      <PageTurner v-model="page" :pages="data.pages" what="the bin" />
      <section aria-labelledby="imports-title" class="border-t-2 border-ink pt-2">
        <h2 id="imports-title" class="text-2xl">Imported files</h2>
        <p v-if="!imports.data.value?.total" class="text-pencil">None yet.</p>
        <ol v-else class="grid">
          <li
            v-for="i in imports.data.value.imports"
            :key="i.id"
            class="flex flex-wrap items-center gap-x-4 border-b border-rule py-1"
          >
            <p class="grow leading-snug">
              <b>{{ i.name }}</b><template v-if="i.holds">: {{ i.holds }}</template>
              <span class="block text-pencil text-base">{{ dayAndTime(i.imported_at) }}</span>
            </p>
            <button v-if="i.standing" type="button" class="button for-writers button-desk" @click="ask('import', i.id)">
              Delete the whole import<span class="sr-only">: {{ i.name }}</span>
            </button>
            <span v-else class="text-pencil min-h-11 grid content-center">nothing of it is left here</span>
          </li>
        </ol>
        <PageTurner v-if="imports.data.value" v-model="importPage" :pages="imports.data.value.pages" what="imports" />
      </section>
    </main>
    <SheetDialog
      v-if="emptying"
      open
      :title="emptying === 'all' ? 'Empty the bin?' : `Remove ${emptying.label} for good?`"
      @close="emptying = null"
    >
      <div class="grid gap-3">
        <p>
          {{ emptying === 'all' ? `All ${data.total} in it are` : 'It is' }} removed with everything in it, and cannot
          be brought back. An export made before still holds it.
        </p>
        <div class="flex flex-wrap gap-2">
          <button type="button" class="button button-main grow" @click="empty">Remove for good</button>
          <button type="button" class="button" @click="emptying = null">Keep</button>
        </div>
      </div>
    </SheetDialog>
  </div>
</template>
