<script setup lang="ts">
import { NDrawer, NDrawerContent } from 'naive-ui'
import { useReturnFocus } from '../use-return-focus'

/** A drawer over the page with its title as its name; what had the focus has it again when it closes. */
const {
  show,
  title,
  width,
  bodyStyle = '',
} = defineProps<{ show: boolean; title: string; width: number | string; bodyStyle?: string }>()
const emit = defineEmits<{ close: [] }>()
useReturnFocus(() => show)
</script>

<template>
  <NDrawer :show="show" :width="width" :aria-label="title" @update:show="(s: boolean) => !s && emit('close')">
    <NDrawerContent :title="title" closable :body-content-style="bodyStyle"><slot /></NDrawerContent>
  </NDrawer>
</template>
