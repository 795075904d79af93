<script setup lang="ts">
import { ExternalLink } from '@lucide/vue'

/** The way to a listing's own page, in a new tab that knows nothing of this one. Its address has been checked: http or https. */
const { address, title, words = '' } = defineProps<{ address: string | null; title: string; words?: string }>()
</script>

<template>
  <a
    v-if="address"
    :href="address"
    target="_blank"
    rel="noopener noreferrer"
    :title="address"
    :aria-label="`${words || 'Open'}: ${title}`"
    @click.stop
    ><span v-if="words">{{ words }}</span
    ><ExternalLink :size="12" aria-hidden="true"
  /></a>
</template>

<style scoped>
a {
  display: inline-flex;
  align-items: center;
  gap: 3px;
  min-width: 24px;
  min-height: 24px;
  color: var(--slate);
  vertical-align: middle;
}
</style>
