import type { Archetype } from '../archetypes'
import type { Chance } from '../random'
import type { Variant } from '../things'

/** What a trade's goods have in common. */
interface Trade extends Pick<Archetype, 'cost' | 'shape'> {
  /** the category that all of them lie in */
  branch: string
  /** packs they come in where nothing else is said */
  packs: number[]
}

type Sort = [
  noun: string,
  also: string[],
  where: [group: string, price: number],
  sizes: string[],
  colours: string[],
  packs?: number[],
]

/** The sorts of goods of a trade, one row each. */
export const goodsOf = ({ branch, packs: usual, ...trade }: Trade, sorts: readonly Sort[]): Archetype[] =>
  sorts.map(([noun, also, [group, price], sizes, colours, packs = usual]) => ({
    ...trade,
    noun,
    also,
    category: `${branch}/${group}`,
    kind: 'physical',
    price,
    season: 'even',
    sizes,
    colours,
    packs,
  }))

/** What a title calls the goods: mostly the usual word. */
export const nounOf = ({ archetype }: Variant, random: Chance, sloppiness: number): string =>
  random.happens(0.3 * sloppiness) ? random.pick(archetype.also) : archetype.noun

/** A size as a title writes it, its unit now and then without the space before. @param share of titles that leave it out */
export function sizeOf({ size }: Variant, random: Chance, share: number): string | null {
  if (size === null) return null
  return random.happens(share) ? size.replace(/(\d) (\p{L}+)$/u, '$1$2') : size
}

/** A promise now and then. */
export const promiseOf = (promises: readonly string[], random: Chance, sloppiness: number): string[] =>
  random.happens(0.25 * sloppiness) ? [random.pick(promises)] : []

/** How many pieces a pack has, in one of the ways a trade says it; one piece is not mentioned. @param ways '#' for the number */
export const packSaid = (ways: readonly string[]) => (pieces: number, random: Chance) =>
  pieces === 1 ? null : random.pick(ways).replace('#', String(pieces))

export const said = (parts: readonly (string | null)[]): string[] => parts.filter((p) => p !== null)

export const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1)
