/** The most typical title: the one whose words most of the others have too; the shorter of equals. Shouting counts only where all do. */
export function clearestTitle(titles: readonly string[]): string {
  const [first = '', ...others] = titles
  if (others.every((t) => t === first)) return first
  const calm = titles.filter((t) => t !== t.toUpperCase())
  const list = calm.length > 0 ? calm : titles
  const split = list.map((t) => new Set(t.toLowerCase().match(/[\p{L}\p{N}]+/gu)))
  const counts = new Map<string, number>()
  for (const words of split) for (const w of words) counts.set(w, (counts.get(w) ?? 0) + 1)
  let [best, most] = ['', -1]
  list.forEach((title, i) => {
    const typical = meanOf(split[i] as Set<string>, counts)
    const isBetter = typical > most + 1e-9 || (typical > most - 1e-9 && title.length < best.length)
    if (isBetter) [best, most] = [title, typical]
  })
  return best
}

function meanOf(words: ReadonlySet<string>, counts: ReadonlyMap<string, number>): number {
  let sum = 0
  for (const w of words) sum += counts.get(w) ?? 0
  return words.size === 0 ? 0 : sum / words.size
}
