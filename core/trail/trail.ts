/** A place on the way from one good item to the next. */
export interface Place {
  kind: 'branch' | 'term' | 'finds' | 'store' | 'item'
  /** tells it from other places of its kind: a path, a phrase, a store's or an item's key */
  key: string
  /** what a person calls it */
  label: string
}

export interface Stop<P extends Place = Place> {
  id: number
  /** the stop it was reached from; null where a walk began */
  parent: number | null
  place: P
}

/** Where a seller has been, as a tree: every stop can be returned to, and another way taken from it. */
export interface Trail<P extends Place = Place> {
  stops: Stop<P>[]
  /** the stop that one stands at */
  here: number | null
}

export const emptyTrail: Trail<never> = { stops: [], here: null }

/** more stops than a sitting has; the oldest that nothing hangs on are forgotten */
const most = 400

const same = (a: Place, b: Place) => a.kind === b.kind && a.key === b.key

/**
 * One step on. Back to the stop one came from, or on to one that was reached from here before, is no new stop; anything else is,
 * and hangs on the stop one stands at.
 */
export function stepTo<P extends Place>(trail: Trail<P>, place: P): Trail<P> {
  const here = trail.stops.find((s) => s.id === trail.here) ?? null
  const near = trail.stops.find(
    (s) => same(s.place, place) && (s.id === here?.id || s.id === here?.parent || s.parent === (here?.id ?? null)),
  )
  if (near) return { stops: trail.stops.map((s) => (s === near ? { ...s, place } : s)), here: near.id }
  const id = Math.max(0, ...trail.stops.map((s) => s.id)) + 1
  return { stops: shortened([...trail.stops, { id, parent: here?.id ?? null, place }], id), here: id }
}

/** Back to a stop, whatever hangs on it. An unknown one changes nothing. */
export function returnTo<P extends Place>(trail: Trail<P>, id: number): Trail<P> {
  return trail.stops.some((s) => s.id === id) ? { ...trail, here: id } : trail
}

function shortened<P extends Place>(stops: Stop<P>[], here: number): Stop<P>[] {
  if (stops.length <= most) return stops
  const parents = new Set(stops.map((s) => s.parent))
  const oldest = stops.find((s) => s.id !== here && !parents.has(s.id)) ?? stops[0]
  return stops.filter((s) => s !== oldest)
}

/** A line of the Trail as it is drawn. */
export interface TrailLine<P extends Place> extends Stop<P> {
  /** how far in: a way that goes straight on stays in its lane, one that leaves a stop as the second or later moves one in */
  lane: number
  /** lane of the stop it hangs on; null for a beginning */
  from: number | null
}

/** The tree as lines from top to bottom: the way that was taken first goes on last, so that side ways stand where they leave it. */
export function trailLines<P extends Place>(trail: Trail<P>): TrailLine<P>[] {
  const lines: TrailLine<P>[] = []
  const children = new Map<number | null, Stop<P>[]>()
  const known = new Set(trail.stops.map((s) => s.id))
  for (const s of trail.stops) {
    const parent = s.parent !== null && known.has(s.parent) ? s.parent : null
    children.set(parent, [...(children.get(parent) ?? []), s])
  }
  const walk = (stop: Stop<P>, lane: number, from: number | null) => {
    lines.push({ ...stop, lane, from })
    const ways = children.get(stop.id) ?? []
    for (const side of ways.slice(1)) walk(side, lane + 1, lane)
    if (ways[0]) walk(ways[0], lane, lane)
  }
  for (const start of children.get(null) ?? []) walk(start, 0, null)
  return lines
}
