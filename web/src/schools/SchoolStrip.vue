<script setup lang="ts">
import { computed } from 'vue'
import type { Reading } from '@/api'
import CurveScale from './CurveScale.vue'
import { otherTiers, schoolsOf, type Stance } from './schools'

// Who agrees with the class at hand, and who would say something else: to be read in five seconds. More lies behind it.
const props = defineProps<{ reading: Reading; short: (test: string | undefined) => string; brief?: boolean }>()
const schools = computed(() => schoolsOf(props.reading))
const by = (stance: Stance) => schools.value.filter((school) => school.stance === stance)
const clay = computed(() => props.reading.assessment.curves.map(({ clay_percent }) => Math.round(clay_percent)))
const tiers = computed(() => otherTiers(props.reading))
const AWAY: [Stance, string][] = [
  ['one_off', 'one class away'],
  ['two_off', 'two or more classes away'],
]
/** Schools that say the same in the same words are named together. */
const gathered = (stance: Stance) => {
  const groups: Record<string, string[]> = {}
  for (const { says, name } of by(stance)) (groups[says] ??= []).push(name)
  return Object.entries(groups).map(([says, names]) => ({ says, names: names.join(', ') }))
}
const asking = computed(() => [...new Set(by('asks').map(({ asks }) => props.short(asks)))])
</script>

<template>
  <div class="leading-tight" data-schools>
    <RouterLink
      v-if="!brief"
      :to="`/readings/${reading.id}/schools`"
      class="flex items-center justify-between min-h-14 no-underline"
    >
      <b
        >Other methods<template v-if="clay.length"
          >: {{ Math.min(...clay) }} to {{ Math.max(...clay) }} % clay</template
        ></b
      ><span aria-hidden="true">›</span>
    </RouterLink>
    <CurveScale v-if="clay.length && !brief" :reading="reading" :width="272" class="mb-1" />
    <ul class="grid gap-0.5">
      <template v-if="!brief"
        ><li v-for="t in tiers" :key="t.name" data-tier>
          {{ t.name }} limits: <b>{{ t.tier }}</b>{{ t.percent < 99.5 ? ` ${t.percent} %` : '' }}
        </li></template
      >
      <li v-if="by('agree').length" data-stance="agree">
        <span aria-hidden="true">●</span>
        <b>{{ by('agree').length }} {{ by('agree').length === 1 ? 'agrees' : 'agree' }}</b
        ><span v-if="!brief" class="text-pencil"
          >:
          {{
            by('agree')
              .map(({ name }) => name)
              .join(', ')
          }}</span
        >
      </li>
      <template v-for="[stance, words] in AWAY" :key="stance">
        <li v-if="by(stance).length" :data-stance="stance">
          <span aria-hidden="true">{{ stance === 'one_off' ? '◐' : '○' }}</span>
          <b>{{ by(stance).length }} {{ by(stance).length === 1 ? 'is' : 'are' }} {{ words }}</b
          ><template v-if="!brief"
            >:
            <template v-for="(g, i) in gathered(stance)" :key="g.says"
              >{{ i ? '; ' : '' }}<b>{{ g.says }}</b> <span class="text-pencil">by {{ g.names }}</span></template
            ></template
          >
        </li>
      </template>
      <li v-if="asking.length" data-stance="asks" class="text-pencil">
        <span aria-hidden="true">?</span> {{ asking.length }}
        {{ asking.length === 1 ? 'method still needs' : 'methods still need'
        }}<template v-if="!brief">: {{ asking.join(', ') }}</template>
      </li>
    </ul>
  </div>
</template>
