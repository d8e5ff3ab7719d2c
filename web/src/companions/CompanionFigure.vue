<script setup lang="ts">
// Each companion test as it looks when it is set up.
defineProps<{ test: string }>()
</script>

<template>
  <svg
    viewBox="0 0 160 110"
    fill="none"
    stroke="var(--ink)"
    stroke-width="2"
    stroke-linejoin="round"
    aria-hidden="true"
  >
    <g v-if="test === 'jar'">
      <path d="M52 14V98H108V14M48 14H112" />
      <rect x="53" y="80" width="54" height="17" fill="var(--ochre)" fill-opacity="0.6" stroke="none" />
      <rect x="53" y="66" width="54" height="14" fill="var(--reed)" fill-opacity="0.6" stroke="none" />
      <rect x="53" y="58" width="54" height="8" fill="var(--iron)" fill-opacity="0.5" stroke="none" />
      <path d="M53 26H107" stroke="var(--water)" />
      <path d="M116 26V97M116 97l-4-5M116 97l4-5" stroke="var(--pencil)" />
    </g>
    <g v-else-if="test === 'percolation'">
      <path d="M4 16H34V96H56V16H70V96H92V16H106V96H128V16H156" />
      <template v-for="(x, i) in [34, 70, 106]" :key="x">
        <rect
          :x="x + 1"
          :y="44 + i * 8"
          width="20"
          :height="44 - i * 8"
          fill="var(--water)"
          fill-opacity="0.5"
          stroke="none"
        />
        <circle v-for="g in 4" :key="g" :cx="x + g * 4.4" cy="92" r="2.4" fill="var(--pencil)" stroke="none" />
      </template>
    </g>
    <g v-else-if="test === 'crumb'">
      <template v-for="(x, i) in [10, 60, 110]" :key="x">
        <path :d="`M${x} 40V84H${x + 42}V40`" />
        <path :d="`M${x} 50H${x + 42}`" stroke="var(--water)" />
        <rect
          v-if="i === 2"
          :x="x + 1"
          y="50"
          width="40"
          height="33"
          fill="var(--ochre)"
          fill-opacity="0.45"
          stroke="none"
        />
        <circle v-if="i === 0" :cx="x + 21" cy="74" r="9" fill="var(--iron)" stroke="none" />
        <circle
          v-for="g in i ? 6 : 0"
          :key="g"
          :cx="x + 4 + g * 5.6"
          :cy="79 - (g % 2) * 3"
          r="3"
          fill="var(--iron)"
          stroke="none"
        />
      </template>
    </g>
    <g v-else-if="test === 'ph'">
      <ellipse cx="80" cy="78" rx="66" ry="20" />
      <template v-for="(x, i) in [36, 66, 96, 124]" :key="x">
        <ellipse
          :cx="x"
          :cy="76 + (i % 2) * 4"
          rx="9"
          ry="5"
          :fill="['var(--iron)', 'var(--ochre)', 'var(--reed)', 'var(--water)'][i]"
          stroke="none"
        />
      </template>
      <path d="M76 12h8l2 26h-12zM80 44c-3 5-3 8 0 9c3-1 3-4 0-9z" />
    </g>
    <g v-else-if="test === 'probe'">
      <path d="M4 42H66M94 42H156" />
      <path d="M58 8H102M80 8V76L76 80L80 92L84 80L80 76" />
      <path
        v-for="y in [52, 62, 72, 82, 92]"
        :key="y"
        :d="`M108 ${y}h${y % 20 === 2 ? 12 : 7}`"
        stroke="var(--pencil)"
      />
    </g>
    <g v-else-if="test === 'rod'">
      <rect x="20" y="34" width="120" height="13" rx="6" fill="var(--iron)" fill-opacity="0.6" />
      <rect x="20" y="64" width="104" height="11" rx="5" fill="var(--ochre)" fill-opacity="0.5" />
      <path d="M20 92H140M20 86v12M124 86v12M140 86v12" stroke="var(--pencil)" />
    </g>
    <g v-else-if="test === 'columns'">
      <template v-for="(x, i) in [16, 64, 112]" :key="x">
        <path :d="`M${x} 8V100H${x + 32}V8`" />
        <rect
          :x="x + 1"
          y="24"
          width="30"
          :height="i === 2 ? 36 : 75"
          :fill="i === 1 ? 'var(--iron)' : 'var(--ochre)'"
          fill-opacity="0.35"
          stroke="none"
        />
        <rect
          v-if="i === 2"
          :x="x + 1"
          y="60"
          width="30"
          height="39"
          fill="var(--iron)"
          fill-opacity="0.35"
          stroke="none"
        />
        <rect
          :x="x + 1"
          y="24"
          width="30"
          :height="[60, 22, 36][i]"
          fill="var(--water)"
          fill-opacity="0.45"
          stroke="none"
        />
        <path :d="`M${x + 1} 18H${x + 31}`" stroke="var(--water)" />
      </template>
    </g>
    <g v-else>
      <!-- A drop of acid. -->
      <path d="M30 92q14-40 50-40t50 40z" fill="var(--ochre)" fill-opacity="0.35" />
      <path d="M80 18c-5 9-5 14 0 15c5-1 5-6 0-15z" fill="var(--water)" />
      <circle
        v-for="g in 9"
        :key="g"
        :cx="62 + ((g * 13) % 38)"
        :cy="50 - ((g * 7) % 17)"
        :r="1.6 + (g % 3)"
        stroke-width="1.4"
      />
    </g>
  </svg>
</template>
