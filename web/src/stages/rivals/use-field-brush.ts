import { computed, shallowRef, type ComputedRef } from 'vue'
import type { Span } from '@sickle/core/engine'
import type { StoreFieldShape } from '@/shared/charts/store-field'

interface FieldBrush {
  shape: Readonly<{ value: StoreFieldShape | null }>
  /** where on the field an event is */
  at: (event: MouseEvent) => readonly [number, number]
  limits: () => Record<string, Span>
  setLimits: (limits: Record<string, Span | null>) => void
  /** a press that moved no further than a hand shakes is no brush; @returns whether it met a store */
  press: (event: PointerEvent) => boolean
}

/** way that a pointer must go before it brushes, px */
const least = 5

interface Box {
  x: number
  y: number
  width: number
  height: number
}

/** A brush over the field of stores: what it covers becomes a span of age and a span of sales, as it moves. A press beside it lifts it. */
export function useFieldBrush({ shape, at, limits, setLimits, press }: FieldBrush) {
  const from = shallowRef<readonly [number, number] | null>(null)
  let moved = false
  function begin(event: PointerEvent): void {
    if (event.button !== 0) return
    from.value = at(event)
    moved = false
    ;(event.target as Element).setPointerCapture?.(event.pointerId)
  }
  function move(event: PointerEvent): void {
    const [start, now] = [from.value, shape.value]
    if (!start || !now) return
    const [x, y] = at(event)
    if (!moved && Math.hypot(x - start[0], y - start[1]) < least) return
    moved = true
    const [a, b] = [now.spanAt(...start), now.spanAt(x, y)]
    setLimits({
      age: [Math.min(a.age, b.age), Math.max(a.age, b.age)],
      unitsTotal: [Math.min(a.sales, b.sales), Math.max(a.sales, b.sales)],
    })
  }
  function end(event: PointerEvent): void {
    if (from.value && !moved && !press(event)) setLimits({ age: null, unitsTotal: null })
    from.value = null
  }
  /** the brush as it lies on the field; null where neither is limited */
  const box: ComputedRef<Box | null> = computed(() => {
    const now = shape.value
    const { age, unitsTotal } = limits()
    if (!now || (!age && !unitsTotal)) return null
    const { left, right, top, bottom } = now.area
    const [x1, x2] = [now.placeOf.age(age?.[0] ?? null, left), now.placeOf.age(age?.[1] ?? null, right)]
    const [y1, y2] = [
      now.placeOf.sales(unitsTotal?.[1] ?? null, top),
      now.placeOf.sales(unitsTotal?.[0] ?? null, bottom),
    ]
    return { x: x1, y: y1, width: Math.max(0, x2 - x1), height: Math.max(0, y2 - y1) }
  })
  return { begin, move, end, box }
}
