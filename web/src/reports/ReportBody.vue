<script setup lang="ts">
import { served } from '@/api'
import type { Schemas } from '@/api'

// What a report says, section by section, as it is printed.
defineProps<{ id: number; content: Schemas['ReportContent']; frozen: string | null; rules: string }>()
const anchor = (title: string) => `part-${title.toLowerCase().replace(/[^a-z0-9]+/g, '-')}`
</script>

<template>
  <article class="report-leaf" data-report>
    <header class="grid gap-1">
      <img
        v-if="content.block.logo"
        :src="`data:image/png;base64,${content.block.logo}`"
        alt="Logo"
        class="max-h-20 max-w-64"
      />
      <p v-if="content.block.name" class="font-extrabold">{{ content.block.name }}</p>
      <p v-for="line in content.block.lines" :key="line">{{ line }}</p>
      <h2 class="text-4xl leading-tight pt-4">{{ content.title }}</h2>
      <p class="text-pencil">{{ frozen ? 'Frozen' : 'Draft: the record may still change' }}; rules {{ rules }}.</p>
      <nav aria-label="Contents" class="pt-3">
        <ol class="desk:columns-2 gap-8">
          <li v-for="s in content.sections" :key="s.title">
            <a :href="`#${anchor(s.title)}`" class="underline decoration-rule underline-offset-4">{{ s.title }}</a>
          </li>
        </ol>
      </nav>
    </header>
    <section
      v-for="s in content.sections"
      :id="anchor(s.title)"
      :key="s.title"
      :aria-label="s.title"
      class="grid grid-cols-[minmax(0,1fr)] gap-2 break-inside-auto"
    >
      <h3 class="text-2xl font-extrabold border-b-2 border-ink pb-1">{{ s.title }}</h3>
      <template v-for="(b, i) in s.blocks" :key="i">
        <h4 v-if="b.kind === 'heading'" class="font-extrabold pt-2">{{ b.text }}</h4>
        <p v-else-if="b.kind === 'text'" class="leading-snug">{{ b.text }}</p>
        <p v-else-if="b.kind === 'caution'" class="font-semibold border-l-8 border-iron pl-3 leading-snug">
          {{ b.text }}
        </p>
        <ul v-else-if="b.kind === 'list'" class="list-disc pl-5 leading-snug grid gap-0.5">
          <li v-for="item in b.items" :key="item">{{ item }}</li>
        </ul>
        <dl v-else-if="b.kind === 'facts'" class="grid desk:grid-cols-[11rem_1fr] gap-x-4 leading-snug">
          <template v-for="[label, value] in b.rows" :key="label">
            <dt class="font-semibold desk:border-t border-feint desk:py-0.5">{{ label }}</dt>
            <dd class="border-b desk:border-b-0 desk:border-t border-feint py-0.5">{{ value }}</dd>
          </template>
        </dl>
        <div v-else-if="b.kind === 'table'" class="overflow-x-auto">
          <table class="w-full border-collapse leading-snug text-base">
            <thead>
              <tr class="text-left border-b-2 border-ink">
                <th v-for="h in b.head" :key="h" scope="col" class="pr-3 py-1">{{ h }}</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="(row, n) in b.rows" :key="n" class="border-b border-feint align-top">
                <td v-for="(cell, c) in row" :key="c" class="pr-3 py-0.5">{{ cell }}</td>
              </tr>
            </tbody>
          </table>
        </div>
        <img
          v-else-if="b.kind === 'column'"
          :src="`data:image/svg+xml;charset=utf-8,${encodeURIComponent(b.svg ?? '')}`"
          :alt="b.alt"
          class="w-full max-w-2xl"
        />
        <div v-else-if="b.kind === 'photos'" class="grid desk:grid-cols-2 gap-4">
          <figure v-for="p in b.photos" :key="p.id" class="break-inside-avoid">
            <img
              :src="served(`/api/reports/${id}/photos/${p.digest}`)"
              :alt="p.caption"
              :width="p.width"
              :height="p.height"
              class="w-full h-auto"
            />
            <figcaption class="text-base text-pencil">{{ p.caption }}</figcaption>
          </figure>
        </div>
        <dl v-else-if="b.kind === 'sign'" class="grid desk:grid-cols-3 gap-6 pt-10">
          <div v-for="[label, name] in b.rows" :key="label" class="border-t-2 border-ink pt-1">
            <dt class="font-semibold">{{ label }}</dt>
            <dd>{{ name }}</dd>
          </div>
        </dl>
      </template>
    </section>
  </article>
</template>
