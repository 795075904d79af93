<script setup lang="ts">
import { computed } from 'vue'
import ChartTable from './ChartTable.vue'

/** Bars of even width from zero, in the colour of the text around; where a part of each is given it is the darker. */
const { bars, height, caption } = defineProps<{
  bars: readonly { label: string; value: string; size: number; part?: number }[]
  height: number
  caption: string
}>()
const gap = 2
const most = computed(() => Math.max(1, ...bars.map((b) => b.size)))
const laid = computed(() =>
  bars.map((b, i) => ({
    ...b,
    x: `${(i * 100) / bars.length}%`,
    parts: [b.size, b.part ?? 0].map((n) => (n / most.value) * height).filter((h) => h > 0),
  })),
)
const width = computed(() => `calc(${100 / bars.length}% - ${gap}px)`)
</script>

<template>
  <figure>
    <svg :height="height" width="100%" role="img" :aria-label="caption">
      <g v-for="(b, place) in laid" :key="place">
        <title>{{ b.label }}: {{ b.value }}</title>
        <rect v-for="(h, i) in b.parts" :key="i" :x="b.x" :y="height - h" :width="width" :height="h" />
      </g>
    </svg>
    <figcaption class="small quiet"><slot /></figcaption>
    <ChartTable :caption="caption" :rows="bars" />
  </figure>
</template>

<style scoped>
figure {
  margin: 0;
}
svg {
  display: block;
  border-bottom: 1px solid var(--quiet);
}
rect {
  fill: currentcolor;
  opacity: 0.4;
}
rect + rect {
  opacity: 1;
}
figcaption {
  display: flex;
  justify-content: space-between;
}
</style>
