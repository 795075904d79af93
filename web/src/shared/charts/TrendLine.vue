<script setup lang="ts">
import { computed } from 'vue'
import { sparkPath } from './sparkline'

const {
  values,
  stage,
  width = 84,
  height = 20,
} = defineProps<{ values: (number | null)[]; stage: string; width?: number; height?: number }>()
const path = computed(() => sparkPath(values, width, height))
const tone = computed(() => (stage === 'Fading' || stage === 'Flash' ? 'clay' : stage === 'Unclear' ? 'quiet' : 'moss'))
</script>

<template>
  <svg :width="width" :height="height" :viewBox="`0 0 ${width} ${height}`" aria-hidden="true">
    <path :d="path" fill="none" :stroke="`var(--${tone})`" stroke-width="1.4" stroke-linejoin="round" />
  </svg>
</template>
