/** How a measure becomes a desirability between 0 and 1 (Derringer & Suich 1980). */
export interface WorthPart {
  measure: string
  label: string
  /** value at which desirability is 0, and at which it is 1; `one` < `zero` where smaller is better */
  zero: number
  one: number
  weight: number
  /** a failed must (desirability 0) makes the whole 0 */
  must?: boolean
}

export interface WorthRules {
  name: string
  parts: WorthPart[]
}

export interface Worth {
  /** 0–100; null where no part is known */
  value: number | null
  /** share of the weights whose measure is known */
  coverage: number
  failed: string[]
  parts: { label: string; value: number | null; desirability: number | null; weight: number }[]
}

export const worthRules: WorthRules = {
  name: 'Small shop, low-priced goods',
  parts: [
    { measure: 'profit', label: 'Profit per sale', zero: 0, one: 5, weight: 3, must: true },
    { measure: 'margin', label: 'Margin', zero: 0, one: 0.3, weight: 2 },
    { measure: 'sellThroughLow', label: 'Listings sold, at least', zero: 0.1, one: 0.85, weight: 2 },
    { measure: 'unitsPerListing', label: 'Units per listing', zero: 0, one: 4, weight: 2 },
    { measure: 'growth', label: 'Growth', zero: -0.5, one: 0.4, weight: 1 },
    { measure: 'openness', label: 'Room', zero: 0, one: 0.9, weight: 2 },
    { measure: 'rating', label: 'Rating', zero: 2.5, one: 4.6, weight: 1 },
  ],
}

/** A desirability is never quite 0 unless the measure is a must: one weak part lowers Worth, it does not end it. */
const least = 0.02

/**
 * Worth: 100 × weighted geometric mean of the desirabilities of what is known. A missing measure is left out and lowers the
 * coverage; a failed must gives 0 and is named.
 */
export function worthOf(
  measures: Readonly<Record<string, number | null | undefined>>,
  rules: WorthRules = worthRules,
): Worth {
  let logs = 0
  let weights = 0
  let all = 0
  const failed: string[] = []
  const parts = rules.parts.map((part) => {
    const value = measures[part.measure] ?? null
    all += part.weight
    if (value === null || Number.isNaN(value))
      return { label: part.label, value: null, desirability: null, weight: part.weight }
    const d = Math.max(0, Math.min(1, (value - part.zero) / (part.one - part.zero)))
    if (part.must && d === 0) failed.push(part.label)
    logs += part.weight * Math.log(Math.max(d, least))
    weights += part.weight
    return { label: part.label, value, desirability: d, weight: part.weight }
  })
  const value = weights === 0 ? null : failed.length > 0 ? 0 : 100 * Math.exp(logs / weights)
  return { value, coverage: all === 0 ? 0 : weights / all, failed, parts }
}
