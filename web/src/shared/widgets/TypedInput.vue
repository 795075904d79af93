<script setup lang="ts">
import { NInput } from 'naive-ui'
defineOptions({ inheritAttrs: false })
/** The box of a typed number, and under it why what stands there cannot be taken. */
const text = defineModel<string>({ required: true })
const { fault, label, placeholder = '' } = defineProps<{ fault: string | null; label: string; placeholder?: string }>()
const emit = defineEmits<{ typed: [] }>()
</script>

<template>
  <span class="typed">
    <NInput
      v-model:value="text"
      size="tiny"
      class="figure"
      :status="fault === null ? undefined : 'error'"
      :placeholder="placeholder"
      :title="fault ?? label"
      v-bind="$attrs"
      :input-props="{ inputmode: 'decimal', 'aria-label': label, 'aria-invalid': fault !== null }"
      @change="emit('typed')"
      @keydown.enter="emit('typed')"
    />
    <span v-if="fault" class="fault" role="alert">{{ fault }}</span>
  </span>
</template>

<style scoped>
.typed {
  position: relative;
  display: inline-block;
}
.fault {
  position: absolute;
  z-index: 5;
  top: 100%;
  right: 0;
  width: max-content;
  max-width: 240px;
  margin-top: 2px;
  padding: 4px 8px;
  border: 1px solid var(--clay);
  border-radius: 6px;
  background: var(--clay-soft);
  color: var(--ink);
  font-size: 12px;
  font-weight: 400;
  text-align: left;
  white-space: normal;
}
</style>
