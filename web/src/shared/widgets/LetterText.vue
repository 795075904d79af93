<script setup lang="ts">
import { useClipboard } from '@vueuse/core'
import { NButton } from 'naive-ui'
import { downloadText } from '@/shared/download'

/** A message to somebody, to copy or to save. */
const { to, message, file } = defineProps<{
  to: string
  message: string
  /** what the name of its file begins with */
  file: string
}>()
const { copy, copied, isSupported } = useClipboard({ legacy: true })
const save = () => downloadText(`${file}-${to.replace(/[^\p{L}\p{N}]+/gu, '-')}.txt`, message, 'text/plain')
</script>

<template>
  <section :aria-label="`Message to ${to}`">
    <div class="row-gap">
      <h3>{{ to }}</h3>
      <span class="push row-gap">
        <span v-if="copied" class="small profit" role="status">✓ copied</span>
        <NButton size="tiny" :disabled="!isSupported" @click="copy(message)">Copy</NButton>
        <NButton size="tiny" @click="save">Save</NButton>
      </span>
    </div>
    <pre class="small">{{ message }}</pre>
  </section>
</template>

<style scoped>
pre {
  margin: 4px 0 0;
  padding: 8px 10px;
  font-family: var(--text);
  white-space: pre-wrap;
  background: var(--paper);
  border: 1px solid var(--line);
  border-radius: 4px;
}
</style>
