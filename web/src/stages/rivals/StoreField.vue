<script setup lang="ts">
import { watchDebounced } from '@vueuse/core'
import { computed, ref, useTemplateRef, watchEffect } from 'vue'
import { meets } from '@sickle/core/stores'
import { paintDiscs, pixelsOf } from '@/shared/charts/discs'
import FieldAxes from '@/shared/charts/FieldAxes.vue'
import { storeField } from '@/shared/charts/store-field'
import { count, decimal } from '@/shared/format'
import { useSettings } from '@/shared/stores/settings'
import { useRivals } from './rivals-store'
import { useBoxBrush } from '@/shared/use-box-brush'
import { useRoom } from '@/shared/use-room'

/**
 * Stores by age and sales. Up to the left is what teaches most; the corner of the criteria is dragged by its handle, or set in its fields.
 * A brush over the field leaves the stores under it; the spans at the left do the same by keyboard.
 */
const rivals = useRivals()
const settings = useSettings()
const box = useTemplateRef('box')
const canvas = useTemplateRef('canvas')
const { width, height } = useRoom(box)
const size = computed(() => ({ width: Math.max(220, width.value), height: Math.max(160, height.value) }))
// a brush changes the question, and neither the corner nor what stands on the field
const criteria = computed(() => rivals.query.criteria)
// before the room is measured there is nothing to lay out
const shape = computed(() =>
  rivals.list && width.value > 0 ? storeField(rivals.list, rivals.onField, criteria.value, size.value) : null,
)
const pointed = ref<number | null>(null)
const tip = computed(() => {
  const [list, store] = [rivals.list, pointed.value]
  if (!list || store === null) return null
  const point = shape.value?.points.find((p) => p.store === store)
  const sold = count(list.figures.unitsTotal?.[store])
  return (
    point && {
      ...point,
      text: `${list.names[store]} (${list.markets[store]}): ${sold} sold in ${decimal(list.age[store], 0)} months`,
    }
  )
})
const scale = window.devicePixelRatio || 1
const picture = computed(() => ({
  width: Math.round(size.value.width * scale),
  height: Math.round(size.value.height * scale),
}))
/** of the theme that holds now */
const colours = computed(() => {
  const { theme } = settings.value
  const style = getComputedStyle(document.documentElement)
  const of = (name: string) => style.getPropertyValue(name)
  return { theme, moss: of('--moss'), slate: of('--slate'), wheat: of('--wheat') }
})
/** all stores with a place, as they look where a brush leaves them */
const discs = computed(() => {
  const [list, wanted, { moss, slate }] = [rivals.list, criteria.value, colours.value]
  return (shape.value?.points ?? []).map(({ store, x, y, r }) => {
    const colour = list !== null && meets(list, store, wanted) ? moss : slate
    return { store, x: x * scale, y: y * scale, r: r * scale, colour, alpha: 0.45 }
  })
})
/** all of them, faint: what a brush leaves is painted over them */
const faint = computed(() =>
  paintDiscs(
    discs.value.map((d) => ({ ...d, alpha: 0.1 })),
    picture.value,
  ),
)
// Thousands of points are painted, not built.
watchEffect(() => {
  const [{ list, chosenAt }, context] = [rivals, canvas.value?.getContext('2d')]
  if (!list || !context || !shape.value) return
  const isFound = new Uint8Array(list.count)
  for (const store of rivals.found) isFound[store] = 1
  const clear = discs.value.filter((d) => isFound[d.store] === 1)
  const under = clear.length < discs.value.length ? faint.value : null
  const chosen = discs.value.find((d) => d.store === chosenAt)
  // over all others
  if (chosen) clear.push({ ...chosen, r: chosen.r + 2 * scale, colour: colours.value.wheat, alpha: 1 })
  const { width: w, height: h } = picture.value
  Object.assign(canvas.value as HTMLCanvasElement, { width: w, height: h })
  const pixels = pixelsOf(paintDiscs(clear, picture.value, under))
  context.putImageData(new ImageData(pixels, w, h), 0, 0)
})
// What the first brush needs is made while nobody waits for it.
watchDebounced(shape, (now) => now && void (now.nearest(0, 0, 0), faint.value), { debounce: 200 })
function at(event: MouseEvent) {
  const rect = (canvas.value as HTMLCanvasElement).getBoundingClientRect()
  return [event.clientX - rect.left, event.clientY - rect.top] as const
}
const point = (event: MouseEvent) => (pointed.value = shape.value?.nearest(...at(event), 12)?.store ?? null)
function choose(event: MouseEvent): boolean {
  const found = shape.value?.nearest(...at(event), 12)
  if (found) rivals.choose(found.store)
  return found != null
}
const brush = useBoxBrush({
  names: { x: 'age', y: 'unitsTotal' },
  shape,
  at,
  limits: () => rivals.query.limits,
  setLimits: (limits) => rivals.setLimits(limits),
  press: choose,
})
function drag(event: PointerEvent) {
  if (event.buttons === 1 && shape.value) rivals.setCriteria(shape.value.valueAt(...at(event)))
}
const hold = (event: PointerEvent) => (event.target as Element).setPointerCapture(event.pointerId)
const steps: Record<string, [months: number, factor: number]> = {
  ArrowLeft: [-1, 1],
  ArrowRight: [1, 1],
  ArrowUp: [0, 1.1],
  ArrowDown: [0, 1 / 1.1],
}
function step(event: KeyboardEvent) {
  const by = steps[event.key]
  if (!by) return
  event.preventDefault()
  const { leastSales, mostMonths } = rivals.query.criteria
  rivals.setCriteria({
    mostMonths: Math.max(1, mostMonths + by[0]),
    leastSales: Math.max(1, Number((leastSales * by[1]).toPrecision(2))),
  })
}
</script>

<template>
  <div ref="box" class="painted field">
    <canvas
      ref="canvas"
      :style="{ width: `${width}px`, height: `${height}px` }"
      @pointerdown="brush.begin"
      @pointermove="(brush.move($event), point($event))"
      @pointerup="brush.end"
      @pointerleave="pointed = null"
    />
    <svg v-if="shape" :width="width" :height="height" role="group" aria-label="Stores by age and sales">
      <rect
        class="corner"
        :x="shape.area.left"
        :y="shape.area.top"
        :width="Math.max(0, shape.corner.x - shape.area.left)"
        :height="Math.max(0, shape.corner.y - shape.area.top)"
      />
      <FieldAxes :x-ticks="shape.xTicks" :y-ticks="shape.yTicks" :height="height" :brush="brush.box.value" />
      <text v-for="l in shape.labels" :key="l.store" :x="l.x" :y="l.y" :text-anchor="l.anchor" class="label">
        {{ rivals.list?.names[l.store] }}
      </text>
      <text :x="width - 12" :y="height - 8" class="tick" text-anchor="end">months →</text>
      <text x="48" y="11" class="tick">
        ↑ units sold since it opened{{
          shape.without ? `; without ${count(shape.without)} whose age or sales are not known` : ''
        }}
      </text>
      <circle
        class="handle"
        role="slider"
        tabindex="0"
        aria-label="Corner of the criteria"
        :aria-valuetext="`at least ${count(rivals.query.criteria.leastSales)} sold in at most ${rivals.query.criteria.mostMonths} months`"
        :aria-valuenow="rivals.query.criteria.mostMonths"
        :cx="shape.corner.x"
        :cy="shape.corner.y"
        r="7"
        @pointerdown="hold"
        @pointermove="drag"
        @keydown="step"
      />
      <text
        v-if="tip"
        class="tip"
        :x="tip.x"
        :y="Math.max(12, tip.y - tip.r - 6)"
        :text-anchor="tip.x > width / 2 ? 'end' : 'start'"
      >
        {{ tip.text }}
      </text>
    </svg>
  </div>
</template>

<style scoped>
.field {
  min-height: 0;
}
.corner {
  fill: var(--moss);
  opacity: 0.1;
}
.label {
  font-size: 11.5px;
  fill: var(--ink);
  paint-order: stroke;
  stroke: var(--panel);
  stroke-width: 3px;
}
.handle {
  fill: var(--panel);
  stroke: var(--moss);
  stroke-width: 2px;
  cursor: move;
  pointer-events: auto;
  touch-action: none;
}
.handle:focus-visible {
  outline: none;
  stroke: var(--slate);
  stroke-width: 4px;
}
</style>
