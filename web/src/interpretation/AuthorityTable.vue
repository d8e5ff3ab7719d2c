<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { request, type Schemas } from '@/api'
import { useBin } from '@/bin/useBin'
import TextField from '@/shared/TextField.vue'
import { useDepths } from '@/shared/useDepths'
import TableDialog from './TableDialog.vue'
import type { Assumed } from './useInterpretation'

// The assessor's own table, looked up by horizon: all rows that may hold, the most limiting first.
const props = defineProps<{ assumed: Assumed; found: Schemas['TableFound'] }>()
const { range } = useDepths()
const { ask } = useBin()
const { data } = useQuery({
  queryKey: ['tables'],
  queryFn: () => request<{ tables: Schemas['AssessorTable'][] }>('GET', '/api/assessor-tables'),
})
const tables = computed(() => data.value?.tables ?? [])
const adding = ref(false)
const assumed = props.assumed
const value = (one: NonNullable<Schemas['TableFound']>['rows'][number]) =>
  one.value === null || one.value === undefined ? (one.says ?? '') : [one.value, one.unit].filter(Boolean).join(' ')
const chosen = computed(() => tables.value.find(({ id }) => String(id) === assumed.table_id))
</script>

<template>
  <section
    aria-labelledby="table-title"
    class="grid grid-cols-[minmax(0,1fr)] gap-2 border-t-2 border-ink pt-2"
    data-table
  >
    <div class="flex flex-wrap gap-3 items-center">
      <h2 id="table-title" class="text-2xl grow">Your authority's table</h2>
      <button type="button" class="button button-desk print:hidden" @click="adding = true">Add a table</button>
    </div>
    <p v-if="!tables.length" class="text-pencil">
      None yet. A table of your authority, as CSV, is looked up by texture and structure here; Grittle has no value of
      its own in it.
    </p>
    <form v-else class="flex flex-wrap items-start gap-3 print:hidden" @submit.prevent>
      <label class="grid gap-1 font-semibold min-w-0 max-w-full">
        Table
        <select v-model="assumed.table_id" class="field desk:!w-auto">
          <option value="">None</option>
          <option v-for="t in tables" :key="t.id" :value="String(t.id)">{{ t.name }}, {{ t.authority }}</option>
        </select>
      </label>
      <TextField v-model="assumed.base_cm" class="w-44" label="Intended base, cm" inputmode="decimal" />
      <TextField v-model="assumed.interest_cm" class="w-44" label="Depth of interest, cm" inputmode="decimal" />
      <button v-if="chosen" type="button" class="button button-desk self-end" @click="ask('assessor_table', chosen.id)">
        Delete this table
      </button>
    </form>
    <template v-if="found">
      <p class="text-pencil">
        {{ found.name }}, {{ found.authority }}, {{ found.dated_on }}. The rows are the authority's, the most limiting
        first.
      </p>
      <table class="w-full border-collapse leading-snug">
        <thead>
          <tr class="text-left border-b-2 border-ink">
            <th scope="col" class="py-1 pr-3">Layer</th>
            <th scope="col" class="pr-3">Texture</th>
            <th scope="col" class="pr-3 text-right">Odds</th>
            <th scope="col">Value</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(r, i) in found.rows" :key="i" class="border-b border-feint align-top">
            <th scope="row" class="text-left py-1 pr-3">{{ r.horizon }} {{ range(r.upper_cm, r.lower_cm) }}</th>
            <td class="pr-3">{{ r.what }}</td>
            <td class="pr-3 text-right">{{ r.odds === null ? '' : `${Math.round(100 * r.odds!)} %` }}</td>
            <td>
              <b v-if="r.row">{{ value(r) }}</b><span v-else class="text-pencil">{{ value(r) }}</span>
              <span v-if="r.row && (r.note || r.says)" class="block text-pencil">{{
                [r.note, r.says].filter(Boolean).join('; ')
              }}</span>
            </td>
          </tr>
        </tbody>
      </table>
    </template>
    <TableDialog
      v-if="adding"
      @close="adding = false"
      @made="((assumed.table_id = String($event)), (adding = false))"
    />
  </section>
</template>
