<script setup lang="ts">
import { Upload } from '@lucide/vue'
import { useGather } from './gather-store'
import BareButton from '@/shared/widgets/BareButton.vue'

const gather = useGather()
</script>

<template>
  <BareButton class="drop" @click="gather.choose">
    <Upload :size="22" aria-hidden="true" />
    <span
      ><b>Drop files anywhere, or choose them</b><br /><span class="quiet small"
        >CSV, TSV, XLSX, JSON, NDJSON or Parquet, with any headings, separators, number and date styles</span
      ></span
    >
  </BareButton>
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
.drop svg {
  flex: none;
}
.drop:hover {
  border-color: var(--moss);
  background: var(--moss-soft);
}
</style>
