<script setup lang="ts">
import { Upload } from '@lucide/vue'
import { useDropZone, useFileDialog } from '@vueuse/core'

const emit = defineEmits<{ files: [files: File[]] }>()
const { open, onChange, reset } = useFileDialog({ accept: '.csv,.tsv,.txt,.xlsx,.json,.ndjson,.jsonl', multiple: true })
onChange((list) => {
  if (list?.length) emit('files', [...list])
  reset()
})
// Dropping works anywhere on the page, not only on the field.
const { isOverDropZone } = useDropZone(() => document.body, {
  onDrop: (files) => files?.length && emit('files', files),
})
</script>

<template>
  <button class="drop" :class="{ over: isOverDropZone }" @click="open()">
    <Upload :size="22" aria-hidden="true" />
    <span
      ><b>Drop files anywhere, or choose them</b><br /><span class="quiet small"
        >CSV, TSV, XLSX, JSON or NDJSON, with any headings, separators, number and date styles</span
      ></span
    >
  </button>
</template>

<style scoped>
.drop {
  display: flex;
  align-items: center;
  gap: 14px;
  padding: 16px 18px;
  border: 1.5px dashed var(--quiet);
  border-radius: 8px;
  background: var(--panel);
  text-align: left;
  cursor: pointer;
}
.drop:hover,
.drop.over {
  border-color: var(--moss);
  background: var(--moss-soft);
}
</style>
