<script setup lang="ts">
// What is saved and what is not, line by line: whenever somebody else saved meanwhile.
defineProps<{ lines: { key: string; label: string; theirs: string; mine: string }[]; what?: string }>()
</script>

<template>
  <table class="w-full text-left">
    <thead>
      <tr class="border-b-2 border-ink">
        <th class="py-1 pr-3">
          <span :class="what ? '' : 'sr-only'">{{ what ?? 'Field' }}</span>
        </th>
        <th class="pr-3">Saved there</th>
        <th>Yours, not saved</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="l in lines" :key="l.key" class="border-b border-rule">
        <th scope="row" class="py-1.5 pr-3 font-normal">{{ l.label }}</th>
        <td class="pr-3 font-semibold" data-theirs>{{ l.theirs || 'Not recorded' }}</td>
        <td class="font-semibold" data-yours>{{ l.mine || 'Not recorded' }}</td>
      </tr>
    </tbody>
  </table>
</template>
