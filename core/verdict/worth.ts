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
  /** 0–100; null where too little is known: less than half of what the rules weigh, or not every must */
  value: number | null
  /** share of the weights whose measure is known */
  coverage: number
  failed: string[]
  /** musts that are not known */
  lacking: string[]
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

/** share of the weights that must be known for Worth to be told */
export const leastCoverage = 0.5

/** A desirability is never quite 0 unless the measure is a must: one weak part lowers Worth, it does not end it. */
const least = 0.02

/**
 * Worth: 100 × weighted geometric mean of the desirabilities of what is known. A missing measure is left out and lowers the
 * coverage; a failed must gives 0 and is named. Of less than half of the weights, or without a must, there is none.
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
  const coverage = all === 0 ? 0 : weights / all
  const lacking = rules.parts.flatMap((part, i) => (part.must && parts[i]?.value === null ? part.label : []))
  const isTold = coverage >= leastCoverage && lacking.length === 0
  const value = failed.length > 0 ? 0 : isTold ? 100 * Math.exp(logs / weights) : null
  return { value, coverage, failed, lacking, parts }
}
