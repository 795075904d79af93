<script setup lang="ts">
import { computed } from 'vue'
import { useServices } from '@/services/services'
import { ageWords } from '../age-words'
import { dayInWords } from '../format'

/** A warning where figures end so long ago that things may stand otherwise by now; nothing where they are fresh. */
const { day } = defineProps<{ day: number | null }>()
const services = useServices()
const words = computed(() => ageWords(day, Math.floor(services.now() / 86_400_000)))
</script>

<template>
  <span
    v-if="words && day !== null"
    class="age small"
    :title="`Its figures end with ${dayInWords(day)}: bring in fresh ones to be sure.`"
    >{{ words }}</span
  >
</template>

<style scoped>
.age {
  color: var(--wheat-ink);
  white-space: nowrap;
}
</style>
