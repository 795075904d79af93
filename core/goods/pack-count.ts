export interface PackCount {
  count: number
  /** the words it was read from */
  from: string
}

const words: Record<string, number> = {
  two: 2,
  three: 3,
  four: 4,
  five: 5,
  six: 6,
  seven: 7,
  eight: 8,
  nine: 9,
  ten: 10,
  twelve: 12,
  twenty: 20,
}
const number = '(\\d{1,4}|two|three|four|five|six|seven|eight|nine|ten|twelve|twenty)'
const container = '(?:pack|pk|packs|set|sets|lot|box|bundle|bag|case|multipack|job lot|joblot|bulk)'
const piece = '(?:pcs|pc|pieces|piece|count|ct|units|packs|pack|pk|pks|pkt|stk|pairs)'

/** Things that come in twos and are sold as one. */
const pairwise = /\b(?:gloves|socks|scissors|shears|secateurs|snips|loppers|boots|clogs)\b/i
/** What a leading figure may count within one thing, so that it is no pack: 3 tier stand, 5 in 1 tester. */
const within =
  '(?:tier|in|inch|cell|pocket|compartment|port|head|way|arm|ply|drawer|shelf|seater|cup|step|layer|hole|leg|wick|tube|section|hour|litre|gallon|foot|panel|prong|tine|speed|watt|volt|(?:day|week|month|year|colour|page|card|minute)s?)'
/** A word or a few, the last of them in the plural. */
const plural = '(?:[\\p{L}-]+ ){0,3}[\\p{L}-]*[^s\\P{L}]s\\b'

/** In order: the first that is found counts. What they must not be taken for: sizes such as 12 inch, 30 x 40 cm, 500 ml. */
const patterns: { re: RegExp; count: (m: RegExpExecArray) => number }[] = [
  { re: new RegExp(`\\b${container} (?:of|à|a) ${number}\\b(?! ?x)`, 'i'), count: (m) => toNumber(m[1]) },
  { re: new RegExp(`\\b${number}[ -]?(?:pack|pk|pks|pkt|multipack)s?\\b`, 'i'), count: (m) => toNumber(m[1]) },
  {
    re: new RegExp(
      `\\b(?:pack|pk|set|lot|qty|quantity|multipack)[ :x]{1,2}${number}\\b(?! ?(?:x|×|cm|mm|m|ml|l|g|kg|inch|in|ft|"))`,
      'i',
    ),
    count: (m) => toNumber(m[1]),
  },
  {
    re: new RegExp(`\\b(\\d{1,3}) ?[x×] ?\\d+(?:[.,]\\d+)? ?(?:ml|cl|l|g|kg|oz|litre|litres)\\b`, 'i'),
    count: (m) => toNumber(m[1]),
  },
  { re: /\b(half[ -]?dozen)\b/i, count: () => 6 },
  { re: /\b(?:(\d{1,2}|two|three) )?dozen\b/i, count: (m) => 12 * (m[1] ? toNumber(m[1]) : 1) },
  { re: /\b(?:twin|double|duo)[ -]?(?:pack|set)\b/i, count: () => 2 },
  { re: /\btrio of\b/i, count: () => 3 },
  { re: /\b(?:set|pack)\/(\d{1,3})\b/i, count: (m) => toNumber(m[1]) },
  { re: /\b(\d{1,3})\/(?:pack|pk|set)\b/i, count: (m) => toNumber(m[1]) },
  { re: /\btriple[ -]?pack\b/i, count: () => 3 },
  {
    re: new RegExp(`\\b${number}[ -]?(?:pairs?|prs)\\b`, 'i'),
    count: (m) => toNumber(m[1]) * (pairwise.test(m.input) ? 1 : 2),
  },
  { re: /\b(?:a |1 )?pair\b/i, count: (m) => (pairwise.test(m.input) ? 0 : 2) },
  { re: new RegExp(`\\b${number}[ -]?(?:x )?${piece}\\b`, 'i'), count: (m) => toNumber(m[1]) },
  {
    re: /(?:^|[\s(])[x×] ?(\d{1,3})(?=$|[\s),.;!])(?! ?(?:cm|mm|m|ml|l|g|kg|inch|in|ft)\b)/i,
    count: (m) => toNumber(m[1]),
  },
  { re: /\((\d{1,3})\)$/, count: (m) => toNumber(m[1]) },
  { re: new RegExp(`^${number} (?!${within}\\b)(?=${plural})`, 'iu'), count: (m) => toNumber(m[1]) },
  { re: /(?:^|[\s(])(\d{1,3}) ?[x×] (?=\p{L}{3,}|A[3-6]\b)(?!(?:cm|mm|inch|litre))/iu, count: (m) => toNumber(m[1]) },
]

/**
 * How many pieces a title says are in the pack, and the words that say so; null where it says nothing (then it is taken as
 * one, which is an assumption, not a finding). Sizes are not packs.
 *
 * @example findPackCount('Fat balls, 6 pcs, 90 g') // { count: 6, from: '6 pcs' }
 */
export function findPackCount(title: string): PackCount | null {
  if (!quantity.test(title) || !mayCount.test(title)) return null
  const text = title.replace(/[\s_]+/g, ' ')
  const first = countFirst.exec(text)
  if (first) return { count: toNumber(first[1]), from: first[0].trim() }
  const spared = withoutSizes(text)
  for (const { re, count } of patterns) {
    const m = re.exec(spared)
    if (!m) continue
    const found = count(m)
    if (found >= 1 && found <= 5000) return { count: found, from: text.slice(m.index, m.index + m[0].length).trim() }
  }
  return null
}

/** What every pattern needs of each: most titles have one or neither, and are asked no further. */
const quantity = /\d|two|three|four|five|six|seven|eight|nine|ten|twelve|twenty|dozen|pair|twin|double|duo|trio|triple/i
const mayCount =
  /pack|pk|set|lot|box|bundle|bag|case|bulk|pc|piece|count|ct|unit|stk|pair|prs|dozen|twin|double|duo|trio|triple|qty|quantity|\d ?[x×]|[x×] ?\d|\(\d|^\d|^(?:two|three|four|five|six|seven|eight|nine|ten|twelve|twenty)/i

/** '100 x 9cm square pots': who begins with a size does not name several. */
const countFirst = new RegExp(`^(\\d{1,3}) ?[x×] (?=\\d+(?:[.,]\\d+)? ?(?:cm|mm|inch|in|ft) ${plural})`, 'iu')
const lengthUnit = '(?:cm|mm|m|inch|inches|in|ft|")'
const side = '\\d{1,9}(?:[.,]\\d{1,9})?'
const sidesWithUnit = new RegExp(
  `(?<!\\d)${side} ?(?:${lengthUnit})? ?[x×] ?${side} ?(?:${lengthUnit})?(?: ?[x×] ?${side})? ?${lengthUnit}(?![\\p{L}])`,
  'giu',
)
const sidesAlone = new RegExp(
  `(?<![\\d.,])${side} ?[x×] ?${side}(?: ?[x×] ?${side})?(?! ?(?:ml|cl|l|g|kg|oz)\\b)(?=$|[\\s,;)])`,
  'giu',
)
const blank = (found: string) => ' '.repeat(found.length)

/** Sizes of several sides ('30 x 40 cm') blanked out, at the same length so that places still agree. */
function withoutSizes(text: string): string {
  return /\d ?(?:cm|mm|m|inch|inches|in|ft|")? ?[x×]/i.test(text)
    ? text.replace(sidesWithUnit, blank).replace(sidesAlone, blank)
    : text
}

function toNumber(text: string | undefined): number {
  return words[(text ?? '').toLowerCase()] ?? Number(text)
}
