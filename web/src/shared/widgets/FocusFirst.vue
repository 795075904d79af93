<script setup lang="ts">
import { nextTick, onMounted, useTemplateRef } from 'vue'

/** What opens takes the focus: its first field before all else. */
const root = useTemplateRef('root')
async function take() {
  await nextTick()
  const first = [
    'input:not(:disabled, [tabindex="-1"]), textarea, [role="combobox"]',
    'button:not(:disabled), a[href], [tabindex="0"]',
  ]
    .map((wanted) => root.value?.querySelector<HTMLElement>(wanted))
    .find((found) => found)
  // a checkbox of Naive UI is turned by Enter let go: by the very press that opened this
  const isTurned = first?.getAttribute('role') === 'checkbox'
  ;(isTurned ? root.value : (first ?? root.value))?.focus({ preventScroll: true })
}
onMounted(take)
defineExpose({ take })
</script>

<template>
  <div ref="root" tabindex="-1"><slot /></div>
</template>

<style scoped>
div:focus {
  outline: none;
}
</style>
