import { DuckDBInstance } from '@duckdb/node-api'
import { inWorker } from './in-worker'
import { makeMillion } from './million'
import { median, type Line } from './report'

/** The sums of stores as Rivals has them, in a worker of headless Chromium, beside the same query of DuckDB with one thread: both must say the same. */
export async function benchRollUp(executablePath: string): Promise<Line[]> {
  const { stores, columns } = makeMillion()
  const instance = await DuckDBInstance.create(':memory:', { threads: '1' })
  const duck = await instance.connect()
  await duck.run('CREATE TABLE listings (store INTEGER, price BIGINT, units DOUBLE, total DOUBLE)')
  const appender = await duck.createAppender('listings')
  for (let i = 0; i < stores.length; i++) {
    appender.appendInteger(stores[i] as number)
    appender.appendBigInt(BigInt(Math.round((columns.price?.[i] as number) * 10_000)))
    const units = columns.units?.[i] as number
    if (Number.isNaN(units)) appender.appendNull()
    else appender.appendDouble(units)
    appender.appendDouble(columns.reviews?.[i] as number)
    appender.endRow()
  }
  appender.closeSync()
  const ratios: number[] = []
  const [ours, peers]: [number[], number[]] = [[], []]
  for (let round = 0; round < 3; round++) {
    const mine = await inWorker<{ times: number[]; columns: Float64Array[] }>('roll-up.worker.ts', executablePath)
    const times: number[] = []
    for (let i = 0; i < 7; i++) {
      const start = performance.now()
      const reader = await duck.runAndReadAll(
        'SELECT store, count(*)::DOUBLE, count(units)::DOUBLE, count(*) FILTER (units > 0)::DOUBLE, sum(units), sum(units * price)::DOUBLE, sum(total) FROM listings GROUP BY store ORDER BY store',
      )
      times.push(performance.now() - start)
      if (round === 0 && i === 0) compare(reader.getColumns() as number[][], mine.columns)
    }
    ours.push(median(mine.times))
    peers.push(median(times))
    ratios.push(median(mine.times) / median(times))
  }
  const ratio = median(ratios)
  return [
    {
      name: '1,000,000: sums of 20,000 stores, beside DuckDB',
      ours: median(ours),
      unit: 'ms',
      peer: median(peers),
      target: 'ratio <= 0.8',
      met: ratio <= 0.8,
    },
  ]
}

function compare([stores = [], ...theirs]: number[][], mine: Float64Array[]): void {
  stores.forEach((store, i) =>
    theirs.forEach((column, c) => {
      const [a, b] = [column[i] ?? 0, mine[c]?.[store] ?? 0]
      if (Math.abs(a - b) > 1e-9 * Math.max(1, Math.abs(a))) throw new Error(`store ${store}, sum ${c}: ${a} and ${b}`)
    }),
  )
}
