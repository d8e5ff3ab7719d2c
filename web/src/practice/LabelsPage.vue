<script setup lang="ts">
import { computed } from 'vue'
import PageHead from '@/shared/PageHead.vue'
import PageState from '@/shared/PageState.vue'
import { useSession } from './usePractice'

// Codes to cut out, and on a page of its own the list that says which tub has which: for who fills the tubs alone.
const props = defineProps<{ id: number }>()
const { data, error, refetch } = useSession(() => props.id, 'keeper')
const codes = computed(() => [...(data.value?.codes ?? [])].sort((a, b) => a.label.localeCompare(b.label)))
const print = () => window.print()
</script>

<template>
  <PageState v-if="!data" :error="error" @retry="refetch()" />
  <div v-else class="min-h-dvh flex flex-col text-lg">
    <PageHead
      title="Code labels"
      :line="data.set ?? ''"
      :back="`/practice/sessions/${id}/keeper`"
      back-name="The session"
    >
      <button v-if="codes.length" type="button" class="button button-main" @click="print">Print</button>
    </PageHead>
    <main class="px-4 desk:px-6 py-4 grid grid-cols-[minmax(0,1fr)] gap-6 content-start">
      <p v-if="!codes.length">Only who fills the tubs sees this: the key of the set is not on this device.</p>
      <section
        v-else
        aria-labelledby="list-title"
        class="grid grid-cols-[minmax(0,1fr)] gap-2 max-w-xl print:break-after-page"
      >
        <h2 id="list-title" class="text-2xl border-b-2 border-ink pb-1">For who fills the tubs</h2>
        <p class="text-pencil">A tub with two codes is filled twice.</p>
        <table class="w-full tabular-nums">
          <thead>
            <tr class="border-b border-ink text-left">
              <th scope="col">Tub</th>
              <th scope="col">Code</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="c in codes" :key="c.code" class="border-b border-rule">
              <td>{{ c.label }}</td>
              <td class="font-bold">{{ c.code }}</td>
            </tr>
          </tbody>
        </table>
      </section>
      <section v-if="codes.length" aria-labelledby="cut-title" class="grid grid-cols-[minmax(0,1fr)] gap-2">
        <h2 id="cut-title" class="text-2xl border-b-2 border-ink pb-1 print:hidden">To cut out</h2>
        <ul class="grid grid-cols-2 desk:grid-cols-4 print:grid-cols-4" aria-label="Labels">
          <li
            v-for="c in [...codes].sort((a, b) => a.code - b.code)"
            :key="c.code"
            class="border border-dashed border-ink h-28 grid place-content-center text-5xl font-extrabold tabular-nums"
          >
            {{ c.code }}
          </li>
        </ul>
      </section>
    </main>
  </div>
</template>
