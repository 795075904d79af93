<script setup lang="ts">
import { NModal } from 'naive-ui'
import { useReturnFocus } from '../use-return-focus'

/** A dialog in the middle of the page with its title as its name; what had the focus has it again when it closes. */
const { title, width } = defineProps<{ title: string; width: number }>()
const show = defineModel<boolean>('show', { required: true })
useReturnFocus(show)
</script>

<template>
  <NModal
    v-model:show="show"
    preset="card"
    :title="title"
    :style="{ width: `${width}px` }"
    role="dialog"
    :aria-label="title"
  >
    <slot />
  </NModal>
</template>
