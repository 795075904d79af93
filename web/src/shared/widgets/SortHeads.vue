<script setup lang="ts" generic="T extends string">
import BareButton from './BareButton.vue'

/** Headings of figures that a table is sorted by, each with the way it is. */
const { by, descending } = defineProps<{
  heads: readonly { name: T; label: string; title?: string }[]
  by: T
  descending: boolean
}>()
defineEmits<{ sort: [by: T] }>()
const sorted = (name: T) => (name === by ? (descending ? 'descending' : 'ascending') : ('none' as const))
const mark = (name: T) => (name === by ? (descending ? ' ▾' : ' ▴') : '')
</script>

<template>
  <th v-for="h in heads" :key="h.name" class="num" :title="h.title" :aria-sort="sorted(h.name)">
    <BareButton @click="$emit('sort', h.name)">{{ h.label }}{{ mark(h.name) }}</BareButton>
  </th>
</template>
