<script setup lang="ts">
import { NCheckbox } from 'naive-ui'

/** Things of which some are marked. */
defineProps<{ ticks: readonly { key: string; label: string; note?: string }[] }>()
const marked = defineModel<string[]>({ required: true })
const toggle = (key: string) =>
  (marked.value = marked.value.includes(key) ? marked.value.filter((k) => k !== key) : [...marked.value, key])
</script>

<template>
  <NCheckbox
    v-for="t in ticks"
    :key="t.key"
    size="small"
    :checked="marked.includes(t.key)"
    @update:checked="toggle(t.key)"
    >{{ t.label }} <span v-if="t.note" class="quiet small">{{ t.note }}</span></NCheckbox
  >
</template>
