/** Spans longer or shorter than a day, by how their names begin in the eight languages. */
const spans: [RegExp, number][] = [
  [
    /(?<!\p{L})(?:weeks?|wks?|wochen?|semaines?|semanas?|settiman\p{L}*|we(?:ek|ken)|tydzie\p{L}*|tygod\p{L}*)(?!\p{L})/iu,
    7,
  ],
  [/(?<!\p{L})(?:months?|monate?n?|mois|mes(?:es|i)?|mese|maand\p{L}*|miesi\p{L}*|m[eê]s)(?!\p{L})/iu, 30],
  [/(?<!\p{L})(?:hours?|hrs?|h|stunden?|heures?|horas?|or[ae]|uur|uren|godzin\p{L}*)(?!\p{L})/iu, 1 / 24],
]

/** Days from order to arrival, soonest and latest; a single figure is both. Null where there is none. */
export function daysIn(text: string): { least: number; most: number } | null {
  const numbers = text.match(/\d+(?:[.,]\d+)?/g)?.map((n) => Number(n.replace(',', '.')))
  if (!numbers) return null
  const factor = spans.find(([name]) => name.test(text))?.[1] ?? 1
  const [least, most] = [Math.min(...numbers), Math.max(...numbers)].map((n) => Math.ceil(n * factor))
  return { least: least as number, most: most as number }
}
