<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { NPopover, type PopoverPlacement } from 'naive-ui'
import { useReturnFocus } from '../use-return-focus'
import FocusFirst from './FocusFirst.vue'

/** A small pane at the button that opens it: it takes the focus, Escape closes it wherever the focus went, and the button has it again. */
const { label, placement = 'bottom' } = defineProps<{ label: string; placement?: PopoverPlacement }>()
const show = defineModel<boolean>('show', { default: false })
const close = () => void (show.value = false)
useReturnFocus(show)
useEventListener(
  document,
  'keydown',
  (event) => {
    if (!show.value || event.key !== 'Escape') return
    event.stopPropagation()
    event.preventDefault()
    close()
  },
  { capture: true },
)
</script>

<template>
  <NPopover v-model:show="show" trigger="click" :placement="placement">
    <template #trigger><slot name="trigger" :open="show" /></template>
    <FocusFirst role="dialog" :aria-label="label">
      <slot :close="close" />
    </FocusFirst>
  </NPopover>
</template>
