<script setup lang="ts">
import { mainKey } from '@/api'
import { computed, toRef } from 'vue'
import type { Reading } from '@/api'
import { linear } from '@/drawing/scale'
import { useUnits } from '@/shared/useUnits'

// The ribbon set in one line: each ribbon a mark, the mean, the 90 % interval, and the key's limits.
const props = defineProps<{ reading: Reading; unit: string }>()
const { show } = useUnits(toRef(props, 'unit'))
const WIDTH = 272
const set = computed(() => props.reading.assessment.ribbon_set!)
const limits = computed(() => props.reading.ruler.tiers.slice(1).map(({ from_mm }) => from_mm))
const max = computed(() => Math.max(80, set.value.interval_mm![1]!, ...limits.value.map((mm) => mm * 1.2)))
const x = computed(() => linear(0, max.value, 6, WIDTH - 6))
const from = computed(() => Math.max(x.value(set.value.interval_mm![0]!), 6))
const to = computed(() => x.value(set.value.interval_mm![1]!))
const label = computed(
  () =>
    `Ribbons on the key's scale: mean ${show(set.value.mean_mm!)} ${props.unit}, ` +
    `90 % interval ${set.value.interval_mm!.map(show).join(' to ')}, limits ${limits.value.map(show).join(', ')}.`,
)
const odds = computed(() => mainKey(props.reading).tiers.filter(({ odds: share }) => share >= 0.01))
</script>

<template>
  <div class="leading-tight">
    <p>
      <b>{{ show(set.mean_mm!) }} {{ unit }}</b
      ><span v-if="set.sd_mm">, spread {{ show(set.sd_mm) }}</span>
    </p>
    <svg :viewBox="`0 0 ${WIDTH} 58`" class="w-full my-1" role="img" :aria-label="label">
      <rect class="wash" :x="from" y="6" :width="to - from" height="24" />
      <path class="wash-edge" :d="`M${from} 6v24M${to} 6v24`" />
      <path class="hair" :d="`M6 30H${WIDTH - 6}`" style="stroke-width: 2" />
      <path
        v-for="r in reading.ribbons.filter((one) => one.ended !== 'torn')"
        :key="r.id"
        :d="`M${x(r.length_mm)} 30v-14`"
        style="stroke: var(--ink); stroke-width: 3"
      />
      <path :d="`M${x(set.mean_mm!) - 7} 4h14l-7 11z`" style="fill: var(--ink)" />
      <g v-for="mm in limits" :key="mm">
        <path :d="`M${x(mm)} 24v12`" style="stroke: var(--iron); stroke-width: 3" />
        <text v-if="mm > 10" text-anchor="middle" font-size="20" class="pencil" :x="x(mm)" y="55">{{ show(mm) }}</text>
      </g>
    </svg>
    <p v-if="odds.length > 1 || limits.length" class="text-pencil">
      <template v-for="(t, i) in odds" :key="t.tier"
        >{{ i ? ', ' : '' }}{{ t.tier === 'none' ? 'no ribbon' : t.tier }} {{ t.percent }} %</template
      >
    </p>
  </div>
</template>
