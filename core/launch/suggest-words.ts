import { praise } from '../words'

export interface TitleOfListing {
  title: string
  units: number | null
  tags: string | null
}

const filler = new Set([...praise, 'of', 'for', 'with', 'the', 'and', 'a', 'in', 'to'])

/** The title of the listing that sells most, cut at a word to the limit; praise and shouting taken out. */
export function suggestTitle(listings: readonly TitleOfListing[], limit: number): string {
  const best = [...listings].sort((a, b) => (b.units ?? -1) - (a.units ?? -1) || a.title.length - b.title.length)
  const source = best.find((l) => l.title !== l.title.toUpperCase())?.title ?? sentence(best[0]?.title ?? '')
  const praise =
    /(?:^|(?<=[\s,]))(?:new|lovely|great gift|top quality|free delivery|handy|ideal gift|premium|best)(?=$|[\s,])/gi
  const plain = source
    .replace(praise, '')
    .replace(/\s+/g, ' ')
    .split(',')
    .map((part) => part.trim())
    .filter((part) => part !== '')
    .join(', ')
  const words = sentence(plain).split(' ')
  while ([...words.join(' ')].length > limit && words.length > 1) words.pop()
  return [...words.join(' ')].slice(0, limit).join('').replace(/,$/, '')
}

function sentence(text: string): string {
  const lower = text === text.toUpperCase() ? text.toLowerCase() : text
  return lower.charAt(0).toUpperCase() + lower.slice(1)
}

/** Tags: those that the selling listings use, the most sold first, then words of their titles; within the limits, none twice. */
export function suggestTags(listings: readonly TitleOfListing[], most: number, longest: number): string[] {
  const weights = new Map<string, number>()
  const add = (tag: string, weight: number) => {
    const t = tag.trim().toLowerCase()
    if (t !== '' && [...t].length <= longest) weights.set(t, (weights.get(t) ?? 0) + weight)
  }
  for (const l of listings) for (const tag of l.tags?.split('|') ?? []) add(tag, 1000 + (l.units ?? 0))
  for (const l of listings) {
    const words = (l.title.toLowerCase().match(/\p{L}[\p{L}-]+/gu) ?? []).filter(
      (w) => w.length > 2 && !filler.has(w) && !/^(pack|pcs|pieces|set|lot|dozen|pair)$/.test(w),
    )
    for (const word of words) add(word, 1 + (l.units ?? 0) / 1000)
  }
  return [...weights]
    .sort((a, b) => b[1] - a[1] || (a[0] < b[0] ? -1 : 1))
    .slice(0, most)
    .map(([tag]) => tag)
}
