export interface Line {
  name: string
  ours: number
  unit: string
  /** what it is held against, measured in the same run; null where the target is a plain number */
  peer: number | null
  target: string
  met: boolean
}

/** Prints one line a target and returns whether all are met. */
export function report(lines: readonly Line[]): boolean {
  console.log('name | ours | peer | ratio | target | met')
  for (const { name, ours, unit, peer, target, met } of lines) {
    const number = (x: number) => (x >= 100 ? x.toFixed(0) : x.toPrecision(3))
    const ratio = peer === null ? '–' : (ours / peer).toFixed(2)
    console.log(
      [
        name,
        `${number(ours)} ${unit}`,
        peer === null ? '–' : `${number(peer)} ${unit}`,
        ratio,
        target,
        met ? 'met' : 'short',
      ].join(' | '),
    )
  }
  return lines.every((l) => l.met)
}

export function median(values: readonly number[]): number {
  return quantile(values, 0.5)
}

export function quantile(values: readonly number[], q: number): number {
  const sorted = [...values].sort((a, b) => a - b)
  return sorted[Math.min(sorted.length - 1, Math.floor(q * sorted.length))] ?? NaN
}
