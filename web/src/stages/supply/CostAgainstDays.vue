<script setup lang="ts">
import { computed } from 'vue'
import { costAgainstDays, type OfferChoice } from '@sickle/core/supply'
import { money, plural } from '@/shared/format'

/** Money against days among the offers of the same goods: those that no other beats in both. */
const { choice, home } = defineProps<{ choice: OfferChoice; home: string }>()
const best = computed(() => costAgainstDays(choice.candidates))
</script>

<template>
  <p v-if="best.length > 1" class="small frontier">
    <span class="quiet">Money against days:</span>
    <span v-for="c in best" :key="c.key" class="way" :class="{ on: c.key === choice.chosen?.key }">
      {{ money(c.landedE4, home) }} in {{ plural(c.days ?? 0, 'day') }} <span class="quiet">{{ c.supplier }}</span>
    </span>
  </p>
</template>

<style scoped>
.frontier {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 8px;
  align-items: baseline;
}
.way {
  border: 1px solid var(--line);
  border-radius: 9px;
  padding: 0 7px;
}
.way.on {
  border-color: var(--moss);
  background: var(--moss-soft);
}
</style>
