<script setup lang="ts">
import { NInput } from 'naive-ui'

/** Many lines that are pasted or typed. */
withDefaults(defineProps<{ label: string; placeholder: string; rows?: number }>(), { rows: 10 })
const text = defineModel<string>({ required: true })
</script>

<template>
  <NInput
    v-model:value="text"
    type="textarea"
    size="small"
    :rows="rows"
    :placeholder="placeholder"
    :input-props="{ 'aria-label': label }"
  />
</template>
