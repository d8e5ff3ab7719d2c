<script setup lang="ts">
import { computed, ref } from 'vue'
import { useWords, type Profile, type Schemas } from '@/api'
import CautionNote from '@/shared/CautionNote.vue'
import ChoiceField from '@/shared/ChoiceField.vue'
import { depthList } from '@/shared/depthList'
import { type Written } from '@/shared/described'
import FieldInput from '@/shared/FieldInput.vue'
import SheetDialog from '@/shared/SheetDialog.vue'
import TextField from '@/shared/TextField.vue'
import { useForm } from '@/shared/useForm'
import FieldGrid from '@/shared/FieldGrid.vue'

// Samples at several depths at once with what was found on each, or one more look at a sample that was taken.
const props = defineProps<{ profile: Profile; sample?: Schemas['Sample'] | null }>()
const emit = defineEmits<{ close: [] }>()
const words = useWords()
const { saving, problem, at, general, send } = useForm<Profile>()
const depths = ref('')
const kind = ref('crumb')
const test = ref(props.sample?.findings[0]?.test ?? 'ph')
const NOTHING = { value: '', name: 'Nothing yet' }
const tests = computed(() => [
  ...(props.sample ? [] : [NOTHING]),
  ...words.value.companion_tests.map(({ name, title }) => ({ value: name, name: title })),
])
const chosen = computed(() => words.value.companion_tests.find(({ name }) => name === test.value))
const asked = computed(() => depthList(depths.value))
const found = ref<Record<string, Written>>({})
const of = (text: string): Written => (found.value[text] ??= {})
// What was the same for all is given once.
const shared = computed(() => chosen.value?.fields.filter(({ name }) => chosen.value!.shared.includes(name)) ?? [])
const single = computed(() => chosen.value?.fields.filter((field) => !shared.value.includes(field)) ?? [])
const common = ref<Written>({ method: 'kit' })
const now = () => new Date().toISOString().slice(0, 19) + 'Z'
const finding = (text: string): { test: string; value: Written; seen_at: string }[] => {
  if (!chosen.value) return []
  const own = Object.fromEntries(single.value.map(({ name }) => [name, of(text)[name] ?? '']))
  if (!Object.values(own).some(Boolean)) return []
  return [
    {
      test: test.value,
      value: { ...own, ...Object.fromEntries(shared.value.map(({ name }) => [name, common.value[name] ?? ''])) },
      seen_at: now(),
    },
  ]
}
const wrong = (index: number, name: string) => at(props.sample ? name : `samples/${index}/${name}`)
const lines = computed(() => (props.sample ? [{ text: props.sample.depth }] : asked.value))
const placed = computed(() =>
  lines.value.some((_, i) =>
    ['upper_cm', 'lower_cm', ...(chosen.value?.fields.map(({ name }) => name) ?? [])].some((name) => wrong(i, name)),
  ),
)

async function save(): Promise<void> {
  const saved = props.sample
    ? await send(
        'POST',
        `/api/samples/${props.sample.id}/findings`,
        finding(props.sample.depth)[0] ?? { test: test.value, value: {} },
      )
    : await send('POST', `/api/profiles/${props.profile.id}/samples`, {
        samples: asked.value.map(({ text, upper_cm, lower_cm }) => ({
          kind: kind.value,
          upper_cm,
          lower_cm,
          findings: finding(text),
        })),
      })
  if (saved) emit('close')
}
</script>

<template>
  <SheetDialog
    open
    wide
    :title="sample ? `${sample.kind_name} from ${sample.depth}` : 'Samples at depths'"
    @close="$emit('close')"
  >
    <form class="grid gap-4" novalidate @submit.prevent="save">
      <template v-if="!sample">
        <TextField v-model="depths" label="Depths" unit="cm" hint="One or several, such as 2, 20, 40, 60-70" />
        <ChoiceField v-model="kind" label="What was taken" :options="words.sample_kinds" />
      </template>
      <ChoiceField v-model="test" label="What was looked at" :options="tests" />
      <p v-if="chosen" class="leading-snug">{{ chosen.how }}</p>
      <CautionNote v-if="chosen?.caution" :name="chosen.caution" />
      <FieldGrid v-if="shared.length" v-model="common" :fields="shared" :error="(name) => wrong(0, name)" />
      <div v-if="single.length === 1" class="grid desk:grid-cols-3 gap-3 items-start">
        <FieldInput
          v-for="(line, i) in lines"
          :key="line.text"
          :model-value="of(line.text)[single[0]!.name] ?? ''"
          :field="{ ...single[0]!, label: sample ? single[0]!.label : `${single[0]!.label} at ${line.text} cm` }"
          :error="wrong(i, single[0]!.name)"
          @update:model-value="found[line.text] = { ...of(line.text), [single[0]!.name]: $event }"
        />
      </div>
      <fieldset
        v-for="(line, i) in single.length > 1 ? lines : []"
        :key="line.text"
        class="border-t-[1.5px] border-ink pt-2"
      >
        <legend class="font-extrabold">{{ line.text }}{{ sample ? '' : ' cm' }}</legend>
        <div class="grid desk:grid-cols-2 gap-3 items-start">
          <FieldInput
            v-for="f in single"
            :key="f.name"
            :model-value="of(line.text)[f.name] ?? ''"
            :field="{ ...f, label: sample ? f.label : `${f.label} at ${line.text} cm` }"
            :error="wrong(i, f.name)"
            @update:model-value="found[line.text] = { ...of(line.text), [f.name]: $event }"
          />
        </div>
      </fieldset>
      <p
        v-for="(line, i) in lines"
        v-show="wrong(i, 'upper_cm') || wrong(i, 'lower_cm')"
        :key="`bad-${line.text}`"
        role="alert"
        class="border-l-8 border-iron bg-warn px-3 py-1"
      >
        {{ line.text }}: {{ wrong(i, 'upper_cm') ?? wrong(i, 'lower_cm') }}
      </p>
      <p v-if="problem && !placed" role="alert" class="border-l-8 border-iron bg-warn px-3 py-2">{{ general([]) }}</p>
      <button class="button button-main" type="submit" :disabled="saving || !lines.length">
        {{ sample ? 'Write it down' : asked.length > 1 ? `Take ${asked.length} samples` : 'Take the sample' }}
      </button>
    </form>
  </SheetDialog>
</template>
