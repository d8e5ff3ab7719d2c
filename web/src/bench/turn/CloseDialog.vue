<script setup lang="ts">
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { queryClient, useWords, type Schemas } from '@/api'
import { keyOf } from '@/practice/keys'
import { forgetSession } from '@/practice/usePractice'
import SheetDialog from '@/shared/SheetDialog.vue'
import TextField from '@/shared/TextField.vue'
import { useForm } from '@/shared/useForm'
import { sampleName } from '@/bench/useGoingOn'
import { useBench } from '@/bench/useReading'

// Closing a sample of a session: what was called is kept as it is now, perhaps with numbers of one's own.
const props = defineProps<{ turn: Schemas['ReadingTurn'] }>()
const emit = defineEmits<{ close: [] }>()
const bench = useBench()
const router = useRouter()
const words = useWords()
const { saving, problem, general, send } = useForm<Schemas['Turn']>(() => keyOf(`session/${props.turn.session_id}`))
const numbers = computed(
  () => words.value.practice.schemes.find(({ value }) => value === props.turn.scheme)?.numbers ?? false,
)
const clay = ref('')
const sand = ref('')
const second = ref('')
const given = computed(() =>
  props.turn.simulated
    ? words.value.practice.classes.find(({ value }) => value === bench.called.value)?.name
    : bench.reading.value!.assigned?.full_name,
)
// What is no number goes as it is, and is answered with a sentence.
function number(text: string): number | string | null {
  const read = Number(text.replace(',', '.'))
  return text.trim() ? (Number.isNaN(read) ? text : read) : null
}
async function save(): Promise<void> {
  const kept = await send('POST', `/api/turns/${props.turn.id}/close`, {
    class: props.turn.simulated ? (bench.called.value ?? null) : null,
    second: second.value || null,
    clay: number(clay.value),
    sand: number(sand.value),
  })
  if (!kept) return
  forgetSession(props.turn.session_id)
  void queryClient.invalidateQueries({ queryKey: ['reading', bench.reading.value!.id] })
  emit('close')
  await router.push(`/practice/sessions/${props.turn.session_id}`)
}
</script>

<template>
  <SheetDialog open :title="`Close ${sampleName(turn)}`" @close="emit('close')">
    <form class="grid gap-4" novalidate @submit.prevent="save">
      <p v-if="given">
        You call it <b>{{ given }}</b>. What is changed after this counts nowhere.
      </p>
      <p v-else class="border-l-8 border-iron bg-warn px-3 py-2">
        {{ turn.simulated ? 'Call a class first.' : 'Assign a class first.' }}
      </p>
      <template v-if="given && !turn.simulated">
        <div v-if="numbers" class="grid grid-cols-2 gap-3">
          <TextField v-model="sand" label="Your sand" unit="%" inputmode="decimal" hint="Blank: the estimate’s" />
          <TextField v-model="clay" label="Your clay" unit="%" inputmode="decimal" hint="Blank: the estimate’s" />
        </div>
        <label class="grid gap-1">
          <span class="font-semibold">A second class, where you cannot choose</span>
          <select v-model="second" class="field">
            <option value="">None</option>
            <option v-for="c in words.practice.classes" :key="c.value" :value="c.value">{{ c.name }}</option>
          </select>
          <span class="text-pencil text-lg">Of two, the mean of their credits</span>
        </label>
      </template>
      <p v-if="problem" role="alert" class="border-l-8 border-iron bg-warn px-3 py-2">{{ general([]) }}</p>
      <button class="button button-main" type="submit" :disabled="saving || !given" data-first>Close it</button>
    </form>
  </SheetDialog>
</template>
