/** One step of a supplier's price list: this price each from this quantity on. */
export interface Tier {
  from: number
  priceE4: number
}

/** What stands before and behind the quantity in a heading of a price step, in the languages that are read. */
const before = new Set(
  'from ab des a partir de desde da vanaf od qty price prix preis precio prezzo prijs cena preco at for ≥ >= > x menge qte cant q moq min'.split(
    ' ',
  ),
)
const behind = new Set(
  'pcs pc pieces piece units unit stk st stuck stuck. pieces pzas pz pezzi uds unidades unid stuks szt sztuk un und up over more and or plus et mais o mas oder mehr i wiecej e oltre en meer lub ou plus x'.split(
    ' ',
  ),
)

/**
 * The quantity a heading like '1-9', '10 – 49', '50+', 'from 100', 'ab 10 Stk.', 'dès 12' or '≥ 20 pcs' begins at; null where it is
 * no such heading.
 */
export function tierStart(heading: string): number | null {
  if (heading.length > 40) return null
  const plain = heading
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/\([^()]{0,40}\)|[€$£]|\b(?:eur|usd|gbp|pln)\b/g, ' ')
  const m = /^([^\d]{0,24})(\d{1,6})\s?(\+|(?:-|–|—|to|bis|a|tot|do|…|\.\.)\s?\d{1,7})?([^\d]{0,20})$/.exec(
    plain.trim(),
  )
  if (!m) return null
  const words = (text: string | undefined) => (text ?? '').split(/[\s.:/]+/).filter((w) => w !== '')
  const [first, last] = [words(m[1]), words(m[4])]
  if (!first.every((w) => before.has(w)) || !last.every((w) => behind.has(w) || w === '+')) return null
  const isRange = m[3] !== undefined
  const says =
    isRange ||
    last.includes('+') ||
    last.some((w) => ['up', 'over', 'more', 'plus', 'mais', 'mehr', 'wiecej', 'oltre', 'meer'].includes(w))
  return says || first.some((w) => !['qty', 'x', 'min', 'q'].includes(w)) || (first.length > 0 && last.length > 0)
    ? Number(m[2])
    : null
}

/** Tiers as one text, lowest quantity first. */
export function tiersToText(tiers: readonly Tier[]): string {
  return [...tiers]
    .sort((a, b) => a.from - b.from)
    .map((t) => `${t.from}:${t.priceE4}`)
    .join(';')
}

/** The other way round. */
export function tiersFromText(text: string): Tier[] {
  return text.split(';').map((part) => {
    const [from, priceE4] = part.split(':').map(Number)
    return { from: from ?? 1, priceE4: priceE4 ?? 0 }
  })
}

/** Tiers as people write them in one cell, '1:4.71; 10:4.20', as a table leaves Sickle; null where it is no such text. */
export function tiersFromCell(text: string): Tier[] | null {
  const parts = text.split(';').map((p) => /^\s*(\d{1,7})\s*:\s*(\d{1,9}(?:\.\d{1,4})?)\s*$/.exec(p))
  if (parts.some((m) => m === null)) return null
  return parts.map((m) => ({ from: Number(m?.[1]), priceE4: Math.round(Number(m?.[2]) * 1e4) }))
}

/** The unit price at a quantity: the last step at or below it; below the first step, the first. */
export function tierPrice(tiers: readonly Tier[], quantity: number): number | null {
  let [reached, lowest]: (Tier | null)[] = [null, null]
  for (const tier of tiers) {
    if (tier.from <= quantity && tier.from >= (reached?.from ?? -Infinity)) reached = tier
    if (tier.from < (lowest?.from ?? Infinity)) lowest = tier
  }
  return (reached ?? lowest)?.priceE4 ?? null
}
