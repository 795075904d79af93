<script setup lang="ts">
import { computed, ref } from 'vue'
import { percent } from '@/shared/format'
import ChartTable from '@/shared/charts/ChartTable.vue'
import { useFollow } from '@/shared/use-follow'
import type { OpenedStore } from '@/workers/store-methods'

/** Cumulative share of the units over its listings, best first: each step is an item, which can be pointed at and followed. */
const { store, height = 110 } = defineProps<{ store: OpenedStore; height?: number }>()
const follow = useFollow()
const at = ref<number | null>(null)
const step = computed(() => (at.value === null ? null : (store.curve[at.value] ?? null)))
const path = computed(() => {
  let [x, y] = [0, 100]
  const parts = store.curve.map((c) => {
    const [toX, toY] = [c.listings * 100, 100 - c.units * 100]
    const line = `M${x},${y} L${toX},${toY}`
    ;[x, y] = [toX, toY]
    return line
  })
  return parts.join(' ')
})
function point(event: MouseEvent) {
  const rect = (event.currentTarget as Element).getBoundingClientRect()
  const share = (event.clientX - rect.left) / rect.width
  const found = store.curve.findIndex((c) => c.listings >= share)
  at.value = found < 0 ? store.curve.length - 1 : found
}
const open = () => step.value && void follow.item(store.itemKeys[step.value.at.key] ?? '', step.value.at.title)
const moves: Record<string, (now: number) => number> = {
  ArrowLeft: (now) => Math.max(0, now - 1),
  ArrowRight: (now) => Math.min(store.curve.length - 1, now + 1),
  Home: () => 0,
  End: () => store.curve.length - 1,
}
function press(event: KeyboardEvent) {
  if (event.key === 'Enter') return open()
  const move = moves[event.key]
  if (!move) return
  event.preventDefault()
  at.value = at.value === null ? 0 : move(at.value)
}
const rows = computed(() => store.curve.map((c) => ({ label: c.at.title, value: percent(c.units) })))
const told = computed(() =>
  step.value
    ? `up to “${step.value.at.title}”: ${percent(step.value.units)} of the units`
    : 'best-selling listings first →',
)
</script>

<template>
  <figure v-if="store.topFifth !== null">
    <div
      class="chart"
      :style="{ height: `${height}px` }"
      role="slider"
      tabindex="0"
      aria-label="Cumulative share of the units over its listings, best first"
      :aria-valuenow="at ?? 0"
      aria-valuemin="0"
      :aria-valuemax="store.curve.length - 1"
      :aria-valuetext="told"
      @mousemove="point"
      @mouseleave="at = null"
      @click="open"
      @keydown="press"
    >
      <svg viewBox="0 0 100 100" preserveAspectRatio="none" aria-hidden="true">
        <path d="M0,100 L100,0" class="even" />
        <path d="M20,0 V100" class="fifth" />
        <path :d="path" class="curve" />
        <path v-if="step" :d="`M${step.listings * 100},0 V100`" class="at" />
      </svg>
      <span class="fifth-label">best fifth</span>
    </div>
    <figcaption class="small quiet">{{ told }}</figcaption>
    <ChartTable caption="Cumulative share of units" :rows="rows" />
  </figure>
</template>

<style scoped>
figure {
  margin: 0;
}
.chart {
  position: relative;
  cursor: pointer;
  border-left: 1px solid var(--line);
  border-bottom: 1px solid var(--line);
}
svg {
  width: 100%;
  height: 100%;
  display: block;
}
path {
  fill: none;
  vector-effect: non-scaling-stroke;
}
.even {
  stroke: var(--line);
}
.curve {
  stroke: var(--moss);
  stroke-width: 2px;
}
.fifth {
  stroke: var(--wheat);
  stroke-dasharray: 3 3;
}
.at {
  stroke: var(--slate);
}
.fifth-label {
  position: absolute;
  left: calc(20% + 4px);
  bottom: 2px;
  font-size: 10.5px;
  color: var(--wheat-ink);
}
figcaption {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
</style>
