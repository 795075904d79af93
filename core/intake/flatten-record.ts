import type { Cell } from './opened-file'

/** A nested record as one level: names joined by a point, lists of plain values by '|', lists of records by their place. */
export function flattenRecord(record: unknown): Map<string, Cell> {
  const flat = new Map<string, Cell>()
  walk(record, '', flat, 0)
  return flat
}

function walk(value: unknown, name: string, flat: Map<string, Cell>, depth: number): void {
  if (value === null || value === undefined) flat.set(name, null)
  else if (typeof value === 'string' || typeof value === 'number' || typeof value === 'boolean') flat.set(name, value)
  else if (Array.isArray(value)) {
    if (value.every((v) => typeof v !== 'object' || v === null)) flat.set(name, value.map((v) => String(v)).join('|'))
    else value.slice(0, 10).forEach((v, i) => walk(v, join(name, String(i + 1)), flat, depth + 1))
  } else if (depth < 8) {
    for (const [key, inner] of Object.entries(value)) walk(inner, join(name, key), flat, depth + 1)
  }
}

function join(a: string, b: string): string {
  return a === '' ? b : `${a}.${b}`
}
