import { limits } from '../opened-file'
import type { Cell } from '../../../notation'

/** names of a record beyond which it is no row of any table */
const mostNames = limits.columns + 1

/**
 * A nested record as one level: names joined by a point, lists of plain values by '|', lists of records by their place. A record of
 * very many names is cut off one name after the most columns that a table may have, so that it is seen to be too wide.
 */
export function flattenRecord(record: unknown): Map<string, Cell> {
  const flat = new Map<string, Cell>()
  walk(record, '', flat, 0)
  return flat
}

function walk(value: unknown, name: string, flat: Map<string, Cell>, depth: number): void {
  if (flat.size >= mostNames) return
  if (value === null || value === undefined) flat.set(name, null)
  else if (typeof value === 'string' || typeof value === 'number' || typeof value === 'boolean') flat.set(name, value)
  else if (Array.isArray(value)) {
    if (value.every((v) => typeof v !== 'object' || v === null))
      flat.set(
        name,
        value
          .slice(0, 1000)
          .map((v) => String(v))
          .join('|'),
      )
    else value.slice(0, 10).forEach((v, i) => walk(v, join(name, String(i + 1)), flat, depth + 1))
  } else if (depth < 8) {
    for (const key in value)
      if (Object.hasOwn(value, key)) {
        walk((value as Record<string, unknown>)[key], join(name, key.slice(0, 200)), flat, depth + 1)
        if (flat.size >= mostNames) return
      }
  }
}

function join(a: string, b: string): string {
  return a === '' ? b : `${a}.${b}`
}
