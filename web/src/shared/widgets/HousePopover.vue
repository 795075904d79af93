<script setup lang="ts">
import { NPopover, type PopoverPlacement } from 'naive-ui'
import FocusFirst from './FocusFirst.vue'

/** A small pane at the button that opens it: it takes the focus, Escape closes it, and the focus returns to the button. */
const { label, placement = 'bottom' } = defineProps<{ label: string; placement?: PopoverPlacement }>()
const show = defineModel<boolean>('show', { default: false })
const close = () => void (show.value = false)
</script>

<template>
  <NPopover v-model:show="show" trigger="click" :placement="placement">
    <template #trigger><slot name="trigger" :open="show" /></template>
    <FocusFirst role="dialog" :aria-label="label" @keydown.esc.stop.prevent="close">
      <slot :close="close" />
    </FocusFirst>
  </NPopover>
</template>
