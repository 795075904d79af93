import { isoDay } from '@sickle/core/identity'
import { pictureName } from './pictures'
import type { World } from './world'
import type { StandinListing } from './things'

export type Row = (string | number | null)[]

export function delimited(rows: Row[], delimiter: string): string {
  return rows.map((row) => row.map((c) => quoted(c, delimiter)).join(delimiter)).join('\r\n') + '\r\n'
}

function quoted(cell: string | number | null, delimiter: string): string {
  const s = cell === null ? '' : String(cell)
  return s.includes(delimiter) || /["\n]/.test(s) ? `"${s.replaceAll('"', '""')}"` : s
}

export function units30(l: StandinListing): number {
  return l.daily.slice(-30).reduce<number>((a, b) => a + (b ?? 0), 0)
}

export function image(l: StandinListing): string {
  return `/demo/pictures/${pictureName(l.goods.archetype.shape, l.goods.colour)}`
}

export function path(l: StandinListing, separator: string): string {
  return l.goods.archetype.category.split('/').join(separator)
}

/** Some sellers leave the barcode out, some the category: which is settled by the listing's number, so that files do not change. */
export function sometimes(l: StandinListing, n: number): boolean {
  return Number(l.id) % n !== 0
}

export function lastDay(world: World): string {
  return isoDay(world.firstDay + world.days - 1)
}

export function dayInWords(world: World): string {
  const date = new Date((world.firstDay + world.days - 1) * 86_400_000)
  return `${date.getUTCDate()} ${date.toLocaleString('en', { month: 'long', timeZone: 'UTC' })} ${date.getUTCFullYear()}`
}
