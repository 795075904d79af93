import { areOfferLessonsSame, type ItemMaker } from '@sickle/core/catalog'

/**
 * Items whose figures other rules or corrections change are to be worked out anew.
 *
 * @param sameAs item → item of before with the same figures; those that are touched become -1, all of them where the rules differ
 */
export function touchedInPlace(sameAs: Int32Array, before: ItemMaker, now: ItemMaker): void {
  const keys = (['packs', 'offers', 'costs', 'judged', 'cleared'] as const).flatMap((part) =>
    differing(before.corrections[part], now.corrections[part]),
  )
  // A supplier's pack may decide about any item that the offer fits.
  const ofSuppliers = differing(before.corrections.suppliers, now.corrections.suppliers)
  const isAll =
    JSON.stringify(before.rules) !== JSON.stringify(now.rules) ||
    ofSuppliers.length > 0 ||
    !areOfferLessonsSame(before.offerLessons, now.offerLessons) ||
    keys.some((key) => key.startsWith('offer:'))
  if (isAll) sameAs.fill(-1)
  else for (const key of keys) touchIn(sameAs, now.find(key))
}

type ByKey = Readonly<Record<string, unknown>>

function differing(a: ByKey, b: ByKey): string[] {
  const all = new Set([...Object.keys(a), ...Object.keys(b)])
  return [...all].filter((key) => JSON.stringify(a[key]) !== JSON.stringify(b[key]))
}

function touchIn(sameAs: Int32Array, item: number | null): void {
  if (item !== null) sameAs[item] = -1
}
