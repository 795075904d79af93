<script setup lang="ts">
import { nextTick, onMounted, useTemplateRef } from 'vue'

/** What opens takes the focus: its first field before all else. */
const root = useTemplateRef('root')
onMounted(async () => {
  await nextTick()
  const first = ['input:not(:disabled), select, textarea', 'button:not(:disabled), a[href], [tabindex="0"]']
    .map((wanted) => root.value?.querySelector<HTMLElement>(wanted))
    .find((found) => found)
  ;(first ?? root.value)?.focus({ preventScroll: true })
})
</script>

<template>
  <div ref="root" tabindex="-1"><slot /></div>
</template>

<style scoped>
div:focus {
  outline: none;
}
</style>
