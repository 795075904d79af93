<script setup lang="ts">
import { shortCount } from '../format'

/** What is written along the edges of a field, and the brush that lies over it. */
defineProps<{
  xTicks: readonly { at: number; value: number }[]
  yTicks: readonly { at: number; value: number }[]
  /** of the field, px */
  height: number
  brush: { x: number; y: number; width: number; height: number } | null
}>()
</script>

<template>
  <rect v-if="brush" class="brush-box" v-bind="brush" />
  <text v-for="t in xTicks" :key="`x${t.value}`" :x="t.at" :y="height - 8" class="tick" text-anchor="middle">
    {{ t.value }}
  </text>
  <text v-for="t in yTicks" :key="`y${t.value}`" x="38" :y="t.at + 3" class="tick" text-anchor="end">
    {{ shortCount(t.value) }}
  </text>
</template>
