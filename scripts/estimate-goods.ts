import { judgedPairs, precisionAndRecall, type JudgedPair } from '../core/goods/judged-goods'

const percent = (share: number) => `${(100 * share).toFixed(1)} %`

/** How well titles of goods that the demo does not have are told to be the same: both halves. */
export async function goodsSection(): Promise<string> {
  const halves = await Promise.all([judgedPairs(0), judgedPairs(1)])
  const row = (name: string, isSaid: (pair: JudgedPair) => boolean, part: 'precision' | 'recall') =>
    `| ${name} | ${halves.map((pairs) => percent(precisionAndRecall(pairs, isSaid)[part])).join(' | ')} |`
  const joined = (p: JudgedPair) => p.isJoined
  const same = (p: JudgedPair) => p.verdict === 'same'
  return `### Titles of four other trades

${halves[0].length + halves[1].length} pairs of titles (kitchen, bicycles and cars, desks and phones, pets and babies; six languages; no barcodes), half of them the same goods and half near misses,
labelled by common sense before the likeness was written anew. Every second good was kept aside. Those who wrote the titles wrote the likeness too: titles of real sellers will be found less well.

| | written by | kept aside |
|---|---:|---:|
${row('put together, and the same', joined, 'precision')}
${row('the same, and put together', joined, 'recall')}
${row('an offer called the same, and it is', same, 'precision')}
${row('an offer that is the same, and called so', same, 'recall')}

What is missed: another word for the same thing ("mat", "pad"), a feature that only one title names, an accessory in the place of a thing that is not a
word Sickle knows as one. What goes wrong: a title that says less than two others, which are two goods, stands with one of them.`
}
