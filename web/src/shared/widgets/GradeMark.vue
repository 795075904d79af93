<script setup lang="ts">
import type { Grade } from '@sickle/core/catalog'

/** How a figure is known, as a sign with the word for those who hover or listen. */
defineProps<{ grade: Grade | null }>()
const signs: Record<Grade, string> = { counted: '●', reported: '◐', estimated: '◔', assumed: '○' }
</script>

<template>
  <span v-if="grade" class="grade" :class="grade" :title="grade" role="img" :aria-label="grade">{{
    signs[grade]
  }}</span>
</template>

<style scoped>
.grade {
  font-family: var(--text);
  font-size: 10px;
  color: var(--slate);
  margin-left: 2px;
}
.estimated,
.assumed {
  color: var(--plum);
}
</style>
