<script setup lang="ts">
import { NButton, NProgress } from 'naive-ui'
import { useGather } from './gather-store'

/** A file that is being opened: how far, and a way to stop it. */
const gather = useGather()
</script>

<template>
  <section v-if="gather.opening" class="opening" role="status" aria-label="Reading a file">
    <span class="name">Reading {{ gather.opening.file }} …</span>
    <NProgress
      class="bar"
      :percentage="Math.round((gather.opening.done ?? 0) * 100)"
      :show-indicator="gather.opening.done !== null"
      :processing="gather.opening.done === null"
    />
    <NButton size="small" @click="gather.stopOpening()">Cancel</NButton>
  </section>
</template>

<style scoped>
.opening {
  display: flex;
  align-items: center;
  gap: 14px;
  padding: 12px 14px;
}
.name {
  overflow-wrap: anywhere;
}
.bar {
  flex: 1;
  min-width: 80px;
}
</style>
