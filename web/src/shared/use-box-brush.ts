import { computed, type ComputedRef } from 'vue'
import type { Span } from '@sickle/core/engine'

/** What a brush has to know of a field: its area, and what lies where along both axes. */
export interface BrushedField {
  area: { left: number; right: number; top: number; bottom: number }
  /** values at a point, as finely as a brush needs them */
  spanAt: (x: number, y: number) => { x: number; y: number }
  /** where a value lies, px; @param open where one that is open ends */
  placeOf: Record<'x' | 'y', (value: number | null, open: number) => number>
}

interface BoxBrush {
  /** names of the limits along both axes */
  names: { x: string; y: string }
  shape: Readonly<{ value: BrushedField | null }>
  /** where on the field an event is */
  at: (event: MouseEvent) => readonly [number, number]
  limits: () => Partial<Record<string, readonly [number | null, number | null]>>
  setLimits: (limits: Record<string, Span | null>) => void
  /** a press that moved no further than a hand shakes is no brush; @returns whether it met something */
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

/** A brush over a field: what it covers becomes a span along each axis, as it moves. A press beside it lifts it. */
export function useBoxBrush({ names, shape, at, limits, setLimits, press }: BoxBrush) {
  /** where it began, and what lies there: what lies there stays in it, also where the field gets another size meanwhile */
  let from: { px: readonly [number, number]; span: { x: number; y: number } } | null = null
  let moved = false
  function begin(event: PointerEvent): void {
    const px = at(event)
    if (event.button !== 0 || !shape.value) return
    from = { px, span: shape.value.spanAt(...px) }
    moved = false
    ;(event.target as Element).setPointerCapture?.(event.pointerId)
  }
  function move(event: PointerEvent): void {
    const now = shape.value
    if (!from || !now) return
    const [x, y] = at(event)
    if (!moved && Math.hypot(x - from.px[0], y - from.px[1]) < least) return
    moved = true
    const [a, b] = [from.span, now.spanAt(x, y)]
    setLimits({
      [names.x]: [Math.min(a.x, b.x), Math.max(a.x, b.x)],
      [names.y]: [Math.min(a.y, b.y), Math.max(a.y, b.y)],
    })
  }
  function end(event: PointerEvent): void {
    if (from && !moved && !press(event)) setLimits({ [names.x]: null, [names.y]: null })
    from = null
  }
  /** the brush as it lies on the field; null where neither is limited */
  const box: ComputedRef<Box | null> = computed(() => {
    const now = shape.value
    const { [names.x]: across, [names.y]: up } = limits()
    if (!now || (!across && !up)) return null
    const { left, right, top, bottom } = now.area
    const [x1, x2] = [now.placeOf.x(across?.[0] ?? null, left), now.placeOf.x(across?.[1] ?? null, right)]
    const [y1, y2] = [now.placeOf.y(up?.[1] ?? null, top), now.placeOf.y(up?.[0] ?? null, bottom)]
    return {
      x: Math.min(x1, x2),
      y: Math.min(y1, y2),
      width: Math.abs(x2 - x1),
      height: Math.abs(y2 - y1),
    }
  })
  return { begin, move, end, box }
}
