<script setup lang="ts">
import { nextTick, onBeforeUnmount, onMounted, useTemplateRef } from 'vue'

/** What opens takes the focus, its first field before all else, and gives it back to where it was. */
const root = useTemplateRef('root')
let before: Element | null = null
onMounted(async () => {
  before = document.activeElement
  await nextTick()
  const first = ['input:not(:disabled), select, textarea', 'button:not(:disabled), a[href], [tabindex="0"]']
    .map((wanted) => root.value?.querySelector<HTMLElement>(wanted))
    .find((found) => found)
  ;(first ?? root.value)?.focus({ preventScroll: true })
})
onBeforeUnmount(() => {
  const now = document.activeElement
  if (now === document.body || root.value?.contains(now)) (before as HTMLElement | null)?.focus({ preventScroll: true })
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
