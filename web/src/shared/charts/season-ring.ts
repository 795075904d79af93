import { arc, scaleRadial } from 'd3'

export interface RingMonth {
  month: number
  /** the month against the mean of those that are known; null where it is not */
  index: number | null
  path: string
  labelX: number
  labelY: number
}

/** A year as twelve months around, January at the top: how far a month reaches out is its searches against the mean month. */
export function seasonRing(months: readonly (number | null)[], radius: number): { months: RingMonth[]; usual: number } {
  const known = months.flatMap((m) => m ?? [])
  const mean = known.reduce((a, b) => a + b, 0) / Math.max(1, known.length)
  const index = months.map((m) => (m === null || mean === 0 ? null : m / mean))
  const inner = radius * 0.26
  // The area of a sector, not its length, is what is compared.
  const out = scaleRadial([0, Math.max(1.2, ...index.flatMap((v) => v ?? []))], [inner, radius - 12])
  const sector = arc<number>()
  return {
    usual: out(1),
    months: index.map((value, month) => {
      const [start, end] = [(month / 12) * 2 * Math.PI, ((month + 1) / 12) * 2 * Math.PI]
      const middle = (start + end) / 2
      return {
        month,
        index: value,
        path:
          sector
            .innerRadius(inner)
            .outerRadius(out(value ?? 0))
            .startAngle(start)
            .endAngle(end)
            .padAngle(0.03)(0) ?? '',
        labelX: Math.sin(middle) * (radius - 5),
        labelY: -Math.cos(middle) * (radius - 5) + 3.5,
      }
    }),
  }
}
