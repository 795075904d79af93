import { line } from 'd3'

/** A small trend as an SVG path; a gap breaks the line. The scale starts at zero. */
export function sparkPath(values: readonly (number | null)[], width: number, height: number): string {
  const most = Math.max(1e-9, ...values.map((v) => v ?? 0))
  const path = line<number | null>()
    .defined((v) => v !== null)
    .x((_, i) => (values.length < 2 ? width / 2 : (i / (values.length - 1)) * width))
    .y((v) => height - 1 - ((v as number) / most) * (height - 2))
  return path(values) ?? ''
}
