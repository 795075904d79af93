import { isSmall, rememberedStems, stemsOf, wordsOf } from './title-words'

/** A phrase that buyers search for. */
export interface Searched {
  phrase: string
  /** a month */
  searches: number
}

/** A title made of words that buyers search for. */
export interface CoveringTitle {
  title: string
  /** searches a month of the phrases whose words it has all of, and of all phrases that name these goods */
  covered: number
  of: number
  /** the phrases it covers, most searched first */
  phrases: Searched[]
}

/**
 * A title of the words under which most buyers search for these goods, within the limit: phrase after phrase, each time the one that
 * adds most searches for each letter it takes (the usual greedy way to the budgeted maximum coverage problem: Khuller, Moss & Naor
 * 1999); then, while there is room, what most of the goods' titles say. Only words of those titles are taken, so that it says nothing
 * false; none twice; in the order the titles have them.
 *
 * @param titles of listings of the same goods @param limit letters @returns null where no searched phrase names the goods
 */
export function titleBySearches(
  titles: readonly string[],
  searched: readonly Searched[],
  limit: number,
): CoveringTitle | null {
  const order = wordsInOrder(titles)
  const fitting = merged(searched).filter((p) => p.stems.length > 0 && p.stems.every((s) => order.has(s)))
  if (fitting.length === 0) return null
  const taken = new Set<string>()
  const lengthOf = (stems: Iterable<string>) =>
    [...stems].reduce((sum, s) => sum + (order.get(s)?.written.length ?? 0) + 1, -1)
  for (;;) {
    let best: { stems: string[]; gain: number } | null = null
    for (const { stems } of fitting) {
      const added = stems.filter((s) => !taken.has(s))
      const next = new Set([...taken, ...added])
      if (added.length === 0 || lengthOf(next) > limit) continue
      const gain = coveredBy(fitting, next) - coveredBy(fitting, taken)
      const perLetter = gain / (lengthOf(added) + 1)
      if (gain > 0 && perLetter > (best?.gain ?? 0)) best = { stems: added, gain: perLetter }
    }
    if (!best) break
    for (const s of best.stems) taken.add(s)
  }
  if (taken.size === 0) return null
  const usual = [...order]
    .filter(([s, w]) => !taken.has(s) && w.uses * 2 > titles.length)
    .sort((a, b) => b[1].uses - a[1].uses)
  for (const [s] of usual) if (lengthOf([...taken, s]) <= limit) taken.add(s)
  const words = [...taken].map((s) => order.get(s) as Word).sort((a, b) => a.place - b.place)
  const title = words.map((w) => w.written).join(' ')
  return {
    title: title.charAt(0).toUpperCase() + title.slice(1),
    covered: coveredBy(fitting, taken),
    of: fitting.reduce((sum, p) => sum + p.searches, 0),
    phrases: fitting
      .filter((p) => p.stems.every((s) => taken.has(s)))
      .map(({ phrase, searches }) => ({ phrase, searches }))
      .sort((a, b) => b.searches - a.searches),
  }
}

interface Word {
  written: string
  /** titles that have it */
  uses: number
  /** mean place in the titles that have it, 0 at the beginning, 1 at the end */
  place: number
}

/** Every word of the titles by its stem, in its commonest form, with where it mostly stands. */
function wordsInOrder(titles: readonly string[]): Map<string, Word> {
  const met = new Map<string, { forms: Map<string, number>; places: number[]; titles: Set<string> }>()
  const stemOf = rememberedStems()
  for (const title of titles) {
    const words = wordsOf(title)
    words.forEach((w, i) => {
      if (isSmall(w)) return
      const stem = stemOf(w)
      const known = met.get(stem) ?? { forms: new Map<string, number>(), places: [], titles: new Set<string>() }
      known.forms.set(w, (known.forms.get(w) ?? 0) + 1)
      known.places.push(i / words.length)
      known.titles.add(title)
      met.set(stem, known)
    })
  }
  return new Map(
    [...met].map(([stem, { forms, places, titles: saying }]) => {
      const [written] = [...forms].reduce((best, form) => (form[1] > best[1] ? form : best))
      return [stem, { written, uses: saying.size, place: places.reduce((a, b) => a + b, 0) / places.length }]
    }),
  )
}

/** Phrases with their stems; one searched for on several markets counts once, with all its searches. */
function merged(searched: readonly Searched[]): (Searched & { stems: string[] })[] {
  const byPhrase = new Map<string, Searched & { stems: string[] }>()
  const stem = rememberedStems()
  for (const { phrase, searches } of searched) {
    const stems = stemsOf(phrase, stem)
    const key = [...stems].sort().join(' ')
    const known = byPhrase.get(key)
    if (known) known.searches += searches
    else byPhrase.set(key, { phrase, searches, stems })
  }
  return [...byPhrase.values()]
}

function coveredBy(phrases: readonly (Searched & { stems: string[] })[], words: ReadonlySet<string>): number {
  return phrases.reduce((sum, p) => sum + (p.stems.every((s) => words.has(s)) ? p.searches : 0), 0)
}
