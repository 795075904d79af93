/** One step of a supplier's price list: this price each from this quantity on. */
export interface Tier {
  from: number
  priceE4: number
}

/** The quantity a heading like '1-9', '10 – 49', '50+', 'from 100' or '≥ 20 pcs' begins at; null where it is no such heading. */
export function tierStart(heading: string): number | null {
  const m =
    /^(?:qty|price|from|≥|>=)?\s*(\d{1,6})\s*(?:(?:-|–|to|…|\.\.)\s*\d{1,7}|\+|and over|or more|and more)\s*(?:pcs|pieces|units)?$/i.exec(
      heading.trim(),
    ) ?? /^(?:qty|price from|price at|from|≥|>=)\s*(\d{1,6})\s*(?:pcs|pieces|units)?$/i.exec(heading.trim())
  return m ? Number(m[1]) : null
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
  let price = tiers[0]?.priceE4 ?? null
  for (const tier of tiers) if (tier.from <= quantity) price = tier.priceE4
  return price
}
