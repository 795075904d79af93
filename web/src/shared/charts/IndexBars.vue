<script setup lang="ts">
import { scaleBand, scaleLinear } from 'd3'
import { computed, useTemplateRef } from 'vue'
import { decimal } from '@/shared/format'
import { useRoom } from '@/shared/use-room'
import ChartTable from './ChartTable.vue'

/** Bars of an index by weekday or month: 1 is as usual. What is certain stands out; the rest is pale. */
const { bars, of } = defineProps<{
  /** what the index is of, for those who cannot see the bars */
  of: string
  bars: { label: string; short: string; index: number; isCertain: boolean }[]
}>()
const height = 64
const box = useTemplateRef('box')
const { width } = useRoom(box)
const x = computed(() =>
  scaleBand(
    bars.map((b) => b.label),
    [0, Math.max(60, width.value || 300)],
  ).padding(0.22),
)
const y = computed(() => scaleLinear([0, Math.max(1.1, ...bars.map((b) => b.index))], [height - 14, 12]))
const rows = computed(() =>
  bars.map((b) => ({ label: b.label, value: `${decimal(b.index, 2)}${b.isCertain ? '' : ', within chance'}` })),
)
</script>

<template>
  <figure ref="box">
    <svg :width="width" :height="height" role="img" :aria-label="`${of}, 1 is as usual`">
      <g v-for="b in bars" :key="b.label">
        <rect
          :x="x(b.label)"
          :y="y(b.index)"
          :width="x.bandwidth()"
          :height="Math.max(0, y(0) - y(b.index))"
          :class="{ certain: b.isCertain }"
        />
        <text v-if="b.isCertain" :x="(x(b.label) ?? 0) + x.bandwidth() / 2" :y="y(b.index) - 3">
          {{ decimal(b.index, 2) }}
        </text>
        <text :x="(x(b.label) ?? 0) + x.bandwidth() / 2" :y="height - 2" class="tick">{{ b.short }}</text>
      </g>
      <line x1="0" :x2="width" :y1="y(1)" :y2="y(1)" class="usual" />
    </svg>
    <ChartTable :caption="`${of}, 1 is as usual`" :rows="rows" />
  </figure>
</template>

<style scoped>
figure {
  margin: 0;
}
rect {
  fill: var(--slate);
  opacity: 0.3;
}
rect.certain {
  opacity: 1;
}
text {
  font-size: 11px;
  text-anchor: middle;
  fill: var(--ink);
}
.tick {
  fill: var(--quiet);
}
.usual {
  stroke: var(--quiet);
  stroke-dasharray: 2 3;
}
</style>
