<script setup lang="ts">
import { NButton } from 'naive-ui'
import { useWriteLock } from '@/shared/stores/write-lock'

/** In place of the sheaf strip while another tab has the workspace. */
const writeLock = useWriteLock()
</script>

<template>
  <footer class="follow" role="status">
    <b>Another tab has this workspace.</b>
    <span>This one follows along: you can look, not change.</span>
    <NButton size="small" type="primary" @click="writeLock.takeOver()">Work here</NButton>
  </footer>
</template>

<style scoped>
.follow {
  grid-column: 1 / -1;
  display: flex;
  align-items: center;
  gap: 12px;
  padding: 0 16px;
  border-top: 1px solid var(--line);
  background: var(--wheat-soft);
  white-space: nowrap;
}
</style>
