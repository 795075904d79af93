import { groupRows, inOrder, Screen, sortedPlaces } from '@sickle/core/engine'
import { fiveLimits, makeMillion, randomOf, storeCount, stripNames } from './million'

/** The engine's kernels over a million rows, in a worker of the browser: times in ms, and answers to be compared. */
const bins = 40
const { rows, stores, columns } = makeMillion()
const column = (name: string) => columns[name] as Float64Array
const ranges = stripNames.map((n) => {
  const known = column(n).filter((v) => !Number.isNaN(v))
  const sorted = known.sort()
  return [
    sorted[Math.floor(sorted.length * 0.01)] as number,
    sorted[Math.floor(sorted.length * 0.99)] as number,
  ] as const
})
const screen = new Screen(
  rows,
  stripNames.map((n, s) => {
    const [low, high] = ranges[s] as readonly [number, number]
    return {
      values: column(n),
      binOf: (v: number) =>
        Number.isNaN(v) ? bins : Math.max(0, Math.min(bins - 1, Math.floor(((v - low) / (high - low)) * bins))),
    }
  }),
  bins,
  [],
  [],
)
stripNames.forEach((_, s) => screen.prepare(s))
const byWorth = sortedPlaces(column('worth'))
const place = (name: string) => stripNames.indexOf(name as (typeof stripNames)[number])

function limitsAndTop(limits: Record<string, [number, number]>): number[] {
  for (const [name, span] of Object.entries(limits)) screen.setSpan(place(name), span)
  const top: number[] = []
  for (const row of inOrder(screen.mask, byWorth, true)) if (top.push(row) === 200) break
  return top
}

function time<T>(work: () => T): [number, T] {
  const start = performance.now()
  const result = work()
  return [performance.now() - start, result]
}

const random = randomOf(11)
const top: { ms: number; limits: Record<string, [number, number]>; rows: number[] }[] = []
for (let i = 0; i < 40; i++) {
  const limits = fiveLimits(random)
  const [ms, found] = time(() => limitsAndTop(limits))
  top.push({ ms, limits, rows: found })
}
const brush: number[] = []
screen.counts()
for (let i = 0; i < 200; i++) {
  // a drag to and fro, with a leap now and then
  const [low, high] = [i % 12 === 0 ? 4 + 40 * random() : 4 + Math.abs((i % 100) - 50) * 0.5, 60]
  const [ms] = time(() => {
    screen.setSpan(place('price'), [low, high])
    return screen.counts().matching
  })
  brush.push(ms)
}
const group: number[] = []
let groups = groupRows(stores, storeCount, [column('units'), column('profit')], null)
for (let i = 0; i < 15; i++) {
  const [ms, got] = time(() => groupRows(stores, storeCount, [column('units'), column('profit')], null))
  group.push(ms)
  groups = got
}
self.postMessage({ top, brush, group, groups })
