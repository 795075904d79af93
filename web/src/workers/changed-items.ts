import type { Corrections, ItemMaker } from '@sickle/core/catalog'

/** The items that corrections touch which one maker has and another has not; null where the rules differ, which touches all. */
export function changedItems(old: ItemMaker, after: ItemMaker): number[] | null {
  if (JSON.stringify(old.rules) !== JSON.stringify(after.rules)) return null
  const keys = (['packs', 'offers', 'costs'] as const).flatMap((part) =>
    differing(old.corrections[part], after.corrections[part]),
  )
  // A supplier's pack may decide about any item that the offer fits.
  if (keys.some((key) => key.startsWith('offer:'))) return null
  return [...new Set(keys.flatMap((key) => after.find(key) ?? []))]
}

function differing(a: Corrections[keyof Corrections], b: Corrections[keyof Corrections]): string[] {
  const all = new Set([...Object.keys(a), ...Object.keys(b)])
  return [...all].filter((key) => JSON.stringify(a[key]) !== JSON.stringify(b[key]))
}
