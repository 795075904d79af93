import { anyText, listOf, oneOf, record, text, whole } from '../schema'

/** How far it has come with a creator who is to be written to. */
export const personStates = ['to write', 'written', 'answered', 'agreed', 'no'] as const
export type PersonState = (typeof personStates)[number]

/** A creator on the list of a sheaf. */
export interface Person {
  id: string
  /** of the sheaf that she is to show goods of */
  sheaf: string
  market: string
  name: string
  state: PersonState
  /** day on which the state became what it is, since 1970 */
  on: number
  note: string
}

/** What is written around the goods of a message to a creator. */
export interface CreatorLetter {
  opening: string
  closing: string
}

/** Everybody to write to, and how. */
export interface People {
  letter: CreatorLetter
  list: Person[]
}

export const noPeople: People = {
  letter: {
    opening:
      'Hello {name},\n\nyour clips about things like ours show them well. We would like you to try one of these:',
    closing: 'May we send you a piece? Tell us where to, and what you ask for.\n\nKind regards',
  },
  list: [],
}

export const peopleSchema = record({
  letter: record({ opening: anyText(4000), closing: anyText(4000) }),
  list: listOf(
    record({
      id: text(100),
      sheaf: text(100),
      market: anyText(500),
      name: text(500),
      state: oneOf(...personStates),
      on: whole(-1e6, 1e6),
      note: anyText(4000),
    }),
    1e4,
  ),
})

/** Goods as a creator is told of them. */
export interface ShownGoods {
  title: string
  /** of the price that she would get; null where it is not known */
  commission: number | null
}

/** A message to one creator about some goods. `{name}` in its opening is her name. */
export function creatorMessage(
  name: string,
  goods: readonly ShownGoods[],
  { opening, closing }: CreatorLetter,
): string {
  const lines = goods.map(({ title, commission }) =>
    commission === null ? `- ${title}` : `- ${title} (commission ${Math.round(commission * 100)} %)`,
  )
  const parts = [opening.replaceAll('{name}', name.replace(/^@/, '')), lines.join('\n'), closing]
  return `${parts
    .map((p) => p.trim())
    .filter((p) => p !== '')
    .join('\n\n')}\n`
}
