import type { Variant } from './things'
import type { Chance } from './random'

const praise = ['NEW', 'lovely', 'great gift', 'top quality', 'free delivery', 'handy', 'ideal gift', 'premium', 'best']

/** A title as sellers write them: parts in any order, sizes spaced anyhow, packs said in a dozen ways, some shouting. */
export function sloppyTitle(goods: Variant, random: Chance, sloppiness = 1): string {
  const { archetype, size, colour, motif } = goods
  const noun = random.happens(0.3 * sloppiness) ? random.pick(archetype.also) : archetype.noun
  const named =
    motif === null
      ? noun
      : archetype.kind === 'print on demand'
        ? `${motif} ${noun.replace(/\bbird /, '')}`
        : `${noun} ${motif}`
  const parts = [size === null ? null : spaced(size, random), colour, packWords(goods.pack, random)].filter(
    (p) => p !== null,
  )
  if (random.happens(0.3 * sloppiness)) parts.reverse()
  const extra = random.happens(0.22 * sloppiness) ? [random.pick(praise)] : []
  const title = random.happens(0.25 * sloppiness)
    ? [...extra, named, ...parts].join(' ')
    : [named, ...parts, ...extra].join(', ')
  const capital = title.charAt(0).toUpperCase() + title.slice(1)
  if (random.happens(0.06 * sloppiness)) return capital.toUpperCase()
  return random.happens(0.02 * sloppiness) ? misspelt(capital, random) : capital
}

function spaced(size: string, random: Chance): string {
  return random.happens(0.4) ? size.replace(/(\d) ([a-z]+)$/, '$1$2') : size
}

/** The pack in words; a single piece is mostly not mentioned. */
export function packWords(pack: number, random: Chance): string | null {
  if (pack === 1) return null
  const ways = [
    `pack of ${pack}`,
    `${pack}-pack`,
    `${pack} pack`,
    `set of ${pack}`,
    `${pack}pk`,
    `${pack} pcs`,
    `x${pack}`,
    `lot of ${pack}`,
    `${pack} pieces`,
  ]
  if (pack === 12) ways.push('dozen')
  if (pack === 2) ways.push('twin pack', 'pair')
  return random.pick(ways)
}

function misspelt(text: string, random: Chance): string {
  const at = random.whole(2, text.length - 3)
  return text.slice(0, at) + text.charAt(at + 1) + text.charAt(at) + text.slice(at + 2)
}
