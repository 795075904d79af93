<script setup lang="ts">
import { computed, ref, useTemplateRef } from 'vue'
import { minorUnitE4 } from '@sickle/core/money'
import { ladder } from '@/shared/charts/ladder'
import { amount, currencySign, signed } from '@/shared/format'
import { useRoom } from '@/shared/use-room'
import type { Costing } from './use-costing'

const { costing, home, market } = defineProps<{ costing: Costing; home: string; market: string }>()
const emit = defineEmits<{ price: [e4: number] }>()
const box = useTemplateRef('box')
const { height } = useRoom(box)
const width = 264
const marks = computed(() => [
  { label: 'floor', e4: costing.floor.value?.lowestE4 ?? null },
  { label: 'break-even', e4: costing.breakEven.value?.lowestE4 ?? null },
])
const shape = computed(() =>
  ladder(costing.rungs.value, {
    mineE4: costing.price.value,
    marksE4: marks.value.flatMap((m) => m.e4 ?? []),
    height: Math.max(160, height.value),
  }),
)
const mine = computed(() => shape.value.y(costing.price.value))
const profit = computed(() => costing.sheet.value?.profitE4 ?? null)
const dragging = ref(false)
const unit = computed(() => minorUnitE4(home))
function drag(event: PointerEvent) {
  if (event.type === 'pointerdown') {
    dragging.value = true
    ;(event.currentTarget as Element).setPointerCapture(event.pointerId)
  }
  if (!dragging.value || !box.value) return
  const y = event.clientY - box.value.getBoundingClientRect().top
  emit('price', Math.max(unit.value, Math.round(shape.value.priceAt(y) / unit.value) * unit.value))
}
function nudge(event: KeyboardEvent) {
  const steps: Record<string, number> = { ArrowUp: 1, ArrowDown: -1, PageUp: 50, PageDown: -50 }
  const step = steps[event.key]
  if (step === undefined) return
  event.preventDefault()
  emit('price', Math.max(unit.value, costing.price.value + step * unit.value))
}
const tone = (e4: number | null) => (e4 === null ? 'quiet' : e4 < 0 ? 'clay' : 'moss')
</script>

<template>
  <section class="ladder" aria-label="Ladder of competing prices">
    <h3>Ladder on {{ market }}</h3>
    <p class="small quiet">
      delivered price, {{ currencySign(home) }} <span>my profit there, {{ currencySign(home) }}</span>
    </p>
    <div ref="box" class="box">
      <svg :width="width" :height="height" aria-hidden="true">
        <line x1="62" x2="62" y1="0" :y2="height" class="rail" />
        <g v-for="m in marks.filter((x) => x.e4 !== null)" :key="m.label">
          <line
            x1="50"
            :x2="width"
            :y1="shape.y(m.e4!)"
            :y2="shape.y(m.e4!)"
            :class="['mark', m.label === 'floor' ? 'floor' : '']"
          />
          <text :x="width - 2" :y="shape.y(m.e4!) - 3" class="mark-text" text-anchor="end">
            {{ m.label }} {{ amount(m.e4, home) }}
          </text>
        </g>
        <g v-for="r in shape.rungs" :key="r.id">
          <path :d="`M62 ${r.y} L72 ${r.labelY} L76 ${r.labelY}`" class="lead" />
          <circle cx="62" :cy="r.y" r="3.5" class="rung" />
          <text x="54" :y="r.labelY + 4" text-anchor="end">{{ amount(r.priceE4, home) }}</text>
          <text x="80" :y="r.labelY + 4" class="store">
            {{ r.label.length > 17 ? `${r.label.slice(0, 16)}…` : r.label }}
          </text>
          <text :x="width - 2" :y="r.labelY + 4" text-anchor="end" :fill="`var(--${tone(r.profitE4)})`">
            {{ signed(r.profitE4, home) }}
          </text>
        </g>
      </svg>
      <div
        class="mine"
        :class="{ dragging }"
        :style="{ top: `${mine}px` }"
        role="slider"
        tabindex="0"
        aria-label="My price on the ladder"
        aria-orientation="vertical"
        :aria-valuemin="Math.round(shape.low / 100) / 100"
        :aria-valuemax="Math.round(shape.high / 100) / 100"
        :aria-valuenow="costing.price.value / 10000"
        :aria-valuetext="`${amount(costing.price.value, home)}, profit ${signed(profit, home)}`"
        @pointerdown="drag"
        @pointermove="drag"
        @pointerup="dragging = false"
        @keydown="nudge"
      >
        <b>{{ amount(costing.price.value, home) }}</b><span>my price</span
        ><b :style="{ color: `var(--${tone(profit)})` }">{{ signed(profit, home) }}</b>
      </div>
      <table class="sr-only">
        <caption>
          Competing prices
        </caption>
        <tbody>
          <tr v-for="r in shape.rungs" :key="r.id">
            <th>{{ r.label }}</th>
            <td>{{ amount(r.priceE4, home) }}</td>
            <td>{{ signed(r.profitE4, home) }}</td>
          </tr>
        </tbody>
      </table>
      <p v-if="!costing.rungs.value.length" class="small quiet empty">No competing price is known on this market.</p>
    </div>
  </section>
</template>

<style scoped>
.ladder {
  display: flex;
  flex-direction: column;
  padding: 12px 8px 8px;
  min-height: 0;
}
h3,
p {
  padding: 0 4px;
}
p span {
  float: right;
}
.box {
  position: relative;
  flex: 1;
  min-height: 0;
  margin-top: 6px;
}
svg {
  position: absolute;
  overflow: visible;
}
text {
  font-size: 12px;
  fill: var(--ink);
}
.store {
  fill: var(--quiet);
}
.rail {
  stroke: var(--line);
  stroke-width: 2;
}
.rung {
  fill: var(--slate);
}
.lead {
  fill: none;
  stroke: var(--line);
}
.mark {
  stroke: var(--clay);
  stroke-dasharray: 3 3;
}
.mark.floor {
  stroke: var(--wheat);
}
.mark-text {
  font-size: 11px;
  fill: var(--quiet);
}
.mine {
  position: absolute;
  left: 0;
  right: 0;
  transform: translateY(-50%);
  display: grid;
  grid-template-columns: 54px 1fr auto;
  gap: 18px;
  align-items: center;
  padding: 2px 2px 2px 0;
  background: var(--moss-soft);
  border: 1.5px solid var(--moss);
  border-radius: 6px;
  font-size: 12.5px;
  cursor: ns-resize;
  touch-action: none;
  opacity: 0.94;
}
.mine b:first-child {
  text-align: right;
}
.mine.dragging {
  opacity: 1;
}
.empty {
  padding-top: 20px;
}
</style>
