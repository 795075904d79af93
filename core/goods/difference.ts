import { covers, kindOf, markOf } from './telling-words'

/** What the words of two titles have in common and apart, by weight. */
export interface Difference {
  shared: number
  /** what only either has */
  alone: [number, number]
  /** words by which they name two goods: 'oak / walnut' */
  clashes: string[]
}

/**
 * Compares words of two titles. Words that are written in one or in two ('sun shade', 'sunshade'), that mean the same, or that have
 * one root are taken for shared; words of one sort that mean different things set the goods apart.
 *
 * @param weightOf how much a word says: rare ones more
 */
export function differenceOf(
  a: readonly string[],
  b: readonly string[],
  weightOf: (word: string) => number,
): Difference {
  const [inA, inB] = [new Set(a), new Set(b)]
  const sum = (words: Iterable<string>) => [...words].reduce((total, w) => total + weightOf(w), 0)
  const [onlyA, onlyB] = [[...inA].filter((w) => !inB.has(w)), [...inB].filter((w) => !inA.has(w))]
  const before = sum(onlyA)
  const { left, clashes } = saidByOneAlone(onlyA, onlyB)
  const alone: [number, number] = [sum(left[0]), sum(left[1])]
  return { shared: sum(inA) - before + (before - alone[0]), alone, clashes }
}

/** What is left of words that only either title has, and those of one sort that are left in both. */
export interface SaidAlone {
  left: [string[], string[]]
  clashes: string[]
}

/** Whether all of either was only written otherwise. */
export const isNothingLeft = ({ left, clashes }: SaidAlone): boolean =>
  clashes.length === 0 && left.some((words) => words.length === 0)

/** Whether all words of either list are words of the other written otherwise. */
export function isSaidOtherwise(a: readonly string[], b: readonly string[]): boolean {
  return isNothingLeft(saidByOneAlone(a, b))
}

/** What is left of words that only either title has, once what is only written otherwise is taken out of both; and those of one sort that are left in both. */
export function saidByOneAlone(onlyA: readonly string[], onlyB: readonly string[]): SaidAlone {
  const [a, b] = [[...onlyA], [...onlyB]]
  matchCompounds(a, b)
  matchCompounds(b, a)
  matchAlike(a, b)
  const clashes = clashesOf(a, b)
  // what marks goods must agree anyway, however it is called and however often
  const unmarked = (list: readonly string[]) => list.filter((word) => !markOf(bare(word)))
  return { left: [unmarked(a), unmarked(b)], clashes }
}

/** Takes 'sunshade' of one list and 'sun', 'shade' of the other out of both. */
function matchCompounds(whole: string[], parts: string[]): void {
  for (const word of [...whole]) {
    if (word.length < 6) continue
    const first = parts.find((w) => w.length > 2 && word.startsWith(w))
    const rest = first === undefined ? '' : word.slice(first.length)
    const second = rest.length > 2 ? parts.find((w) => isOneRoot(w, rest)) : undefined
    if (first !== undefined && second !== undefined) take(whole, word, parts, first, second)
  }
}

/** Takes words that mean the same, or have one root, out of both. */
function matchAlike(a: string[], b: string[]): void {
  for (const word of [...a]) {
    const other = b.find((w) => isOneRoot(word, w) || meansSame(word, w))
    if (other !== undefined) take(a, word, b, other)
  }
}

function take(list: string[], word: string, others: string[], ...theirs: string[]): void {
  list.splice(list.indexOf(word), 1)
  for (const w of theirs) others.splice(others.indexOf(w), 1)
}

/** share of the longer of two words that they begin with together, where they have one root: 'poacher' and 'poach' */
const sharedRoot = 0.65

/** Whether two words begin so much alike that they are one word with two endings. */
export function isOneRoot(a: string, b: string): boolean {
  const most = Math.max(a.length, b.length)
  let at = 0
  while (at < most && a[at] === b[at]) at++
  return at >= 4 && at >= sharedRoot * most && !hasDigit.test(a) && !hasDigit.test(b)
}
const hasDigit = /\d/

/** '+lid' and 'lid': said of a title that one comes with it, and not of the other what it is to it. */
const bare = (word: string) => (word.startsWith('+') || word.startsWith('!') ? word.slice(1) : word)

/** Whether a word means something that other words mean too, or that must agree. */
export const tells = (word: string) => markOf(bare(word)) !== null || kindOf(bare(word)) !== null

function meansSame(a: string, b: string): boolean {
  const [mine, theirs] = [bare(a), bare(b)]
  if (mine !== a && theirs !== b && a[0] !== b[0]) return false
  const mark = markOf(mine)?.mark
  if (covers(mine, theirs) || covers(theirs, mine)) return true
  if (mine === theirs || (mark !== undefined && mark === markOf(theirs)?.mark)) return true
  const [x, y] = [kindOf(mine), kindOf(theirs)]
  return x !== null && y !== null && x.sort === y.sort && x.kind === y.kind
}

/** words of so many letters are found in compounds: 'Halterung' in 'Handyhalterung' */
const leastInCompound = 5

/** Whether a title names none of what another says to be for something: a 'cushion for a bench' is no bench. */
export function lacksHead(heads: readonly string[], words: readonly string[]): boolean {
  const names = (head: string, word: string) =>
    head === word ||
    isOneRoot(head, word) ||
    meansSame(head, word) ||
    (head.length >= leastInCompound && word.includes(head))
  return heads.length > 0 && !heads.some((head) => words.some((word) => names(bare(head), bare(word))))
}

/** A name with figures in it: 'k7', 'ipx7', '1080p'. */
const isModel = (word: string) => hasDigit.test(word) && /\p{L}/u.test(word)

function clashesOf(onlyA: readonly string[], onlyB: readonly string[]): string[] {
  const clashing = (word: string) =>
    onlyB.find((w) => {
      const [mine, theirs] = [kindOf(word), kindOf(w)]
      return (mine !== null && mine.sort === theirs?.sort) || bare(w) === bare(word) || (isModel(word) && isModel(w))
    })
  return onlyA.flatMap((word) => {
    const other = clashing(word)
    return other === undefined ? [] : [`${word} / ${other}`]
  })
}

/**
 * What two titles of the same goods share at least, by weight, and word for word. One of them may say more; where each says something
 * that the other does not, they are not surely the same. Measured in docs/estimates.md.
 */
export const leastShared = 0.5
/** What they share word for word at least to be compared at all: words that are written otherwise in one of them come to it. */
export const leastCompared = 0.3

/** Words that half of all titles have say nothing: ln(1 + 2). */
const nothing = Math.log(3)

/** Whether what only either title has, by weight, leaves them one: the one says no more than the other, or neither anything. */
export const saysNoOther = (a: number, b: number) => Math.min(a, b) === 0 || Math.max(a, b) <= nothing

/** 0–1: weight of what is shared / weight of all. */
export const likenessOf = ({ shared, alone: [a, b] }: Difference) => shared / (shared + a + b || 1)

export const areSame = (difference: Difference): boolean =>
  difference.clashes.length === 0 && saysNoOther(...difference.alone) && likenessOf(difference) >= leastShared
