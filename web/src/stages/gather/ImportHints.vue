<script setup lang="ts">
import { NButton } from 'naive-ui'
import { useGather } from './gather-store'

/** Above the columns: what the file leaves open, each with one press, and what will not be known without it. */
const gather = useGather()
</script>

<template>
  <section v-if="gather.hints.length" class="hints" aria-label="What is left out">
    <p v-for="h in gather.hints" :key="h.key" class="small" :class="{ ask: h.take }">
      <span>{{ h.text }}</span>
      <template v-if="h.take">
        <NButton size="tiny" type="primary" @click="h.take()">Yes, take it</NButton>
        <NButton size="tiny" @click="gather.leave(h.key)">No</NButton>
      </template>
    </p>
  </section>
</template>

<style scoped>
.hints {
  display: grid;
  gap: 4px;
}
p {
  display: flex;
  align-items: center;
  gap: 10px;
  color: var(--quiet);
}
p.ask {
  color: var(--wheat-ink);
}
</style>
