<script setup lang="ts">
import { computed, useTemplateRef } from 'vue'
import type { LandedAt } from '@sickle/core/margin'
import ChartTable from '@/shared/charts/ChartTable.vue'
import { landedCurve } from '@/shared/charts/landed-curve'
import { amount, count, money, plural } from '@/shared/format'
import { useRoom } from '@/shared/use-room'

/** Landed cost of one sale against the quantity ordered, with my first order on it. */
const { steps, lot, home } = defineProps<{ steps: readonly LandedAt[]; lot: number; home: string }>()
const height = 130
const figure = useTemplateRef<HTMLElement>('figure')
const { width } = useRoom(figure)
const curve = computed(() => landedCurve(steps, { width: width.value || 300, height, lot }))
const rows = computed(() => steps.map((s) => ({ label: plural(s.quantity, 'pack'), value: money(s.landedE4, home) })))
</script>

<template>
  <figure ref="figure">
    <svg v-if="curve" :height="height" width="100%" role="img" aria-label="Landed cost against quantity">
      <g class="axis">
        <g v-for="l in curve.levels" :key="l.e4">
          <line x1="44" x2="100%" :y1="l.y" :y2="l.y" />
          <text x="40" :y="l.y + 4" text-anchor="end">{{ amount(l.e4, home) }}</text>
        </g>
        <text v-for="t in curve.ticks" :key="t.quantity" :x="t.x" :y="height - 5" text-anchor="middle">
          {{ count(t.quantity) }}
        </text>
      </g>
      <path :d="curve.path" />
      <g v-if="curve.lot">
        <line class="lot" :x1="curve.lot.x" :x2="curve.lot.x" :y1="curve.lot.y" :y2="height - 20" />
        <circle :cx="curve.lot.x" :cy="curve.lot.y" r="4" />
        <text class="here" :x="curve.lot.x + 7" :y="curve.lot.y - 5">
          {{ amount(curve.lot.landedE4, home) }} at my {{ count(lot) }}
        </text>
      </g>
    </svg>
    <p v-else class="small quiet">The price is not known, or nothing is to be bought.</p>
    <ChartTable caption="Landed cost of one sale by packs in one order" :rows="rows" />
  </figure>
</template>

<style scoped>
figure {
  margin: 0;
}
svg {
  display: block;
}
.axis line {
  stroke: var(--line);
}
text {
  font-size: 11px;
  fill: var(--quiet);
}
path {
  fill: none;
  stroke: var(--slate);
  stroke-width: 2;
}
circle {
  fill: var(--moss);
}
.lot {
  stroke: var(--moss);
  stroke-dasharray: 3 3;
}
.here {
  fill: var(--ink);
  font-weight: 500;
}
</style>
