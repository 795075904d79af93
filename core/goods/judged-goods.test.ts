import { judgedPairs, precisionAndRecall } from './judged-goods'
import { toldFigures } from '../../standins/told-figures'

// labelled by common sense before the likeness was written anew; every second good was kept aside until the last measurement
test.each([
  ['written by', 0],
  ['kept aside', 1],
] as const)(
  'titles of four other trades, %s: what is put together is the same, and most of the same is',
  async (_, half) => {
    const pairs = await judgedPairs(half)
    expect(pairs).toHaveLength(420)
    expect(pairs.filter((p) => p.truth)).toHaveLength(210)
    const joined = precisionAndRecall(pairs, (p) => p.isJoined)
    expect(joined.precision).toBeGreaterThanOrEqual(0.97)
    expect(joined.recall).toBeGreaterThanOrEqual(0.75)
    const offered = precisionAndRecall(pairs, (p) => p.verdict === 'same')
    expect(offered.precision).toBeGreaterThanOrEqual(0.95)
    expect(offered.recall).toBeGreaterThanOrEqual(0.85)
    const told = (row: string) => toldFigures('Titles of four other trades', row)[half]
    const percent = (share: number) => `${(100 * share).toFixed(1)} %`
    expect(percent(joined.precision)).toBe(told('put together, and the same'))
    expect(percent(joined.recall)).toBe(told('the same, and put together'))
    expect(percent(offered.precision)).toBe(told('an offer called the same, and it is'))
    expect(percent(offered.recall)).toBe(told('an offer that is the same, and called so'))
  },
)
