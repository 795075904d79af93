<script setup lang="ts">
import { computed } from 'vue'
import { monthNames } from '@/shared/answers'
import { decimal } from '@/shared/format'
import ChartTable from './ChartTable.vue'
import { seasonRing } from './season-ring'

const { months, size = 150 } = defineProps<{ months: (number | null)[]; size?: number }>()
const shape = computed(() => seasonRing(months, size / 2))
const rows = computed(() =>
  shape.value.months.map((m) => ({
    label: monthNames[m.month] ?? '',
    value: m.index === null ? 'not known' : decimal(m.index, 2),
  })),
)
</script>

<template>
  <figure>
    <svg :width="size" :height="size" role="img" aria-label="Searches by month, 1 is the mean month">
      <g :transform="`translate(${size / 2} ${size / 2})`">
        <g v-for="m in shape.months" :key="m.month">
          <path :d="m.path" :class="{ strong: (m.index ?? 0) >= 1.2, weak: (m.index ?? 1) <= 0.8 }">
            <title>{{ monthNames[m.month] }}: {{ m.index === null ? 'not known' : decimal(m.index, 2) }}</title>
          </path>
          <text :x="m.labelX" :y="m.labelY">{{ monthNames[m.month]?.charAt(0) }}</text>
        </g>
        <circle :r="shape.usual" class="usual" />
      </g>
    </svg>
    <ChartTable caption="Searches by month, 1 is the mean month" :rows="rows" />
  </figure>
</template>

<style scoped>
figure {
  margin: 0;
}
path {
  fill: var(--slate);
  opacity: 0.55;
}
path.strong {
  fill: var(--moss);
  opacity: 1;
}
path.weak {
  opacity: 0.3;
}
text {
  font-size: 10.5px;
  text-anchor: middle;
  fill: var(--quiet);
}
.usual {
  fill: none;
  stroke: var(--quiet);
  stroke-dasharray: 2 3;
}
</style>
