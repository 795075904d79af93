<script setup lang="ts">
import { computed, ref, useTemplateRef } from 'vue'
import type { UnitSeries } from '@sickle/core/demand'
import { isoDay } from '@sickle/core/identity'
import { decimal } from '@/shared/format'
import { useRoom } from '@/shared/use-room'
import ChartTable from './ChartTable.vue'
import { salesGeometry } from './sales-geometry'
import ViewChoice from '@/shared/widgets/ViewChoice.vue'

const { series, height = 92 } = defineProps<{ series: UnitSeries; height?: number }>()
const days = defineModel<number>('days', { default: 90 })
const spans = [28, 90, 180].map((n) => ({ value: n, label: String(n) }))
const box = useTemplateRef('box')
const { width } = useRoom(box)
const shape = computed(() => salesGeometry(series, days.value, Math.max(60, width.value || 300), height))
const at = ref<number | null>(null)
const pointed = computed(() =>
  at.value === null ? null : shape.value.points[Math.round(at.value * (shape.value.points.length - 1))],
)
function point(event: MouseEvent) {
  const rect = (event.currentTarget as Element).getBoundingClientRect()
  at.value = Math.min(1, Math.max(0, (event.clientX - rect.left) / rect.width))
}
const rows = computed(() =>
  shape.value.points.map((p) => ({
    label: isoDay(p.day),
    value: p.units === null ? 'not known' : decimal(p.units, 1),
  })),
)
</script>

<template>
  <figure ref="box">
    <div class="head">
      <span class="small quiet">{{
        pointed
          ? `${isoDay(pointed.day)}: ${pointed.units === null ? 'not known' : `${decimal(pointed.units, 1)} a day`}`
          : series.stepDays === 7
            ? 'units a day, by week'
            : 'units a day, 7-day mean over single days'
      }}</span>
      <ViewChoice v-model="days" compact label="Days shown" :options="spans" />
    </div>
    <svg
      :width="width"
      :height="height"
      role="img"
      :aria-label="`Units a day over ${days} days`"
      @mousemove="point"
      @mouseleave="at = null"
    >
      <g v-for="t in shape.ticks" :key="t.label">
        <line x1="0" :x2="width" :y1="t.y" :y2="t.y" class="grid" />
        <text x="1" :y="t.y - 2" class="tick">{{ t.label }}</text>
      </g>
      <rect v-for="(g, i) in shape.gaps" :key="`g${i}`" :x="g.x" y="0" :width="g.width" :height="height" class="gap" />
      <rect v-for="b in shape.bars" :key="b.day" :x="b.x" :y="b.y" :width="b.width" :height="b.height" class="bar" />
      <path :d="shape.area" class="area" />
      <path :d="shape.line" class="line" />
      <line x1="0" :x2="width" :y1="height - 0.5" :y2="height - 0.5" class="base" />
    </svg>
    <ChartTable caption="Units a day" :rows="rows" />
  </figure>
</template>

<style scoped>
figure {
  margin: 0;
}
.head {
  display: flex;
  justify-content: space-between;
}
.bar {
  fill: var(--moss);
  opacity: 0.22;
}
.area {
  fill: var(--moss);
  opacity: 0.1;
}
.line {
  fill: none;
  stroke: var(--moss);
  stroke-width: 1.7;
}
.gap {
  fill: var(--sunk);
}
.grid {
  stroke: var(--line);
}
.base {
  stroke: var(--quiet);
}
.tick {
  font-size: 10px;
  paint-order: stroke;
  stroke: var(--panel);
  stroke-width: 3px;
  fill: var(--quiet);
}
</style>
