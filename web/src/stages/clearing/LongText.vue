<script setup lang="ts">
import { NInput } from 'naive-ui'

/** Many lines that are pasted or typed. */
defineProps<{ label: string; placeholder: string }>()
const text = defineModel<string>({ required: true })
</script>

<template>
  <NInput
    v-model:value="text"
    type="textarea"
    size="small"
    :rows="10"
    :placeholder="placeholder"
    :input-props="{ 'aria-label': label }"
  />
</template>
