import { readFileSync } from 'node:fs'
import { joinListings } from './join-listings'
import { titleForms } from './title-forms'
import { TitleIndex } from './title-index'
import { titleSignature } from './title-signature'

/** Two titles, whether they name the same goods by common sense, and whether they are taken for it. */
export interface JudgedPair {
  a: string
  b: string
  truth: boolean
  isJoined: boolean
  /** what a supplier's title would be called beside a listing's */
  verdict: 'same' | 'variant' | 'similar' | 'none'
}

interface Good {
  same: string[]
  near: string[]
}

const files = {
  first: new URL('./fixtures/goods-pairs.txt', import.meta.url),
  later: new URL('./fixtures/goods-pairs-later.txt', import.meta.url),
  third: new URL('./fixtures/goods-pairs-third.txt', import.meta.url),
  fourth: new URL('./fixtures/goods-pairs-fourth.txt', import.meta.url),
  fifth: new URL('./fixtures/goods-pairs-fifth.txt', import.meta.url),
}

/** @param half 0 those the likeness was written by, 1 those kept aside */
export function judgedGoods(half: 0 | 1, set: keyof typeof files = 'first'): Good[] {
  const blocks = readFileSync(files[set], 'utf8').split(/\n{2,}/)
  const titles = (block: string, mark: string) =>
    block.split('\n').flatMap((line) => (line.startsWith(mark) ? [line.slice(1).trim()] : []))
  return blocks
    .map((block) => ({ same: titles(block, '='), near: titles(block, '!') }))
    .filter(({ same }) => same.length > 0)
    .filter((_, i) => i % 2 === half)
}

/** All pairs of one half: as many near misses as true ones. */
export async function judgedPairs(half: 0 | 1, set: keyof typeof files = 'first'): Promise<JudgedPair[]> {
  const goods = judgedGoods(half, set)
  const titles = goods.flatMap(({ same, near }) => [...same, ...near])
  const none = new Int32Array(titles.length).fill(-1)
  const groupOf = await joinListings({ forms: titleForms(titles), gtins: none, brands: none })
  const signatures = titles.map(titleSignature)
  const weights = new TitleIndex(signatures)
  const placeOf = new Map(titles.map((title, at) => [title, at]))
  const pair = (a: string, b: string, truth: boolean): JudgedPair => {
    const [x, y] = [placeOf.get(a) as number, placeOf.get(b) as number]
    const found = new TitleIndex([signatures[y]!], weights).find(signatures[x]!)[0]
    return { a, b, truth, isJoined: groupOf[x] === groupOf[y], verdict: found?.likeness.verdict ?? 'none' }
  }
  return goods.flatMap(({ same, near }) => [
    ...same.flatMap((a, i) => same.slice(i + 1).map((b) => pair(a, b, true))),
    ...near.map((b, i) => pair(same[i % same.length] as string, b, false)),
  ])
}

/** Of the pairs said to be the same those that are, and of those that are the share that is said. */
export function precisionAndRecall(
  pairs: readonly JudgedPair[],
  isSaid: (pair: JudgedPair) => boolean,
): { precision: number; recall: number } {
  const said = pairs.filter(isSaid)
  const right = said.filter((p) => p.truth).length
  return { precision: right / said.length, recall: right / pairs.filter((p) => p.truth).length }
}
