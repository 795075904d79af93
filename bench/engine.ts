import { DuckDBInstance, type DuckDBConnection } from '@duckdb/node-api'
import { inWorker } from './in-worker'
import { makeMillion, storeCount, type Million } from './million'
import { median, quantile, type Line } from './report'

interface Measured {
  top: { ms: number; limits: Record<string, [number, number]>; rows: number[] }[]
  brush: number[]
  group: number[]
  groups: { rows: Int32Array; sums: Float64Array[]; known: Int32Array[] }
}

/**
 * The engine at a million listings in a worker of headless Chromium, beside DuckDB with one thread; both must give the same
 * answers. Three rounds in turn, and the middle of each figure: a shared machine's speed changes within seconds.
 */
export async function benchEngine(executablePath: string): Promise<Line[]> {
  const rounds: Round[] = []
  const duck = await fill(makeMillion())
  for (let i = 0; i < 3; i++) rounds.push(await oneRound(executablePath, duck))
  const middle = (of: (r: Round) => number) => median(rounds.map(of))
  const line = (name: string, mine: number, peer: number | null, target: string, met: boolean) =>
    ({ name, ours: mine, unit: 'ms', peer, target, met }) satisfies Line
  const [top, topPeer, group, groupPeer] = [
    middle((r) => r.top),
    middle((r) => r.topPeer),
    middle((r) => r.group),
    middle((r) => r.groupPeer),
  ]
  const [moved, slow] = [middle((r) => r.moved), middle((r) => r.slow)]
  return [
    line(
      '1,000,000: five limits and top 200, beside DuckDB',
      top,
      topPeer,
      '<= 12 ms, ratio <= 0.25',
      top <= 12 && top / topPeer <= 0.25,
    ),
    line('1,000,000: one brush moved over 8 strips, median', moved, null, '<= 16 ms', moved <= 16),
    line('1,000,000: one brush moved over 8 strips, 95th percentile', slow, null, '<= 33 ms', slow <= 33),
    line(
      '1,000,000: rolled up by 20,000 stores, beside DuckDB',
      group,
      groupPeer,
      '<= 40 ms, ratio <= 0.8',
      group <= 40 && group / groupPeer <= 0.8,
    ),
  ]
}

/** Medians of one round, ms; `slow` is the 95th percentile of the brush. */
type Round = Record<'top' | 'topPeer' | 'group' | 'groupPeer' | 'moved' | 'slow', number>

async function oneRound(executablePath: string, duck: DuckDBConnection): Promise<Round> {
  const ours = await inWorker<Measured>('engine.worker.ts', executablePath)
  const peerTop: number[] = []
  for (const { limits, rows } of ours.top.slice(-15)) {
    const where = Object.entries(limits)
      .map(([name, [low, high]]) => `${name} BETWEEN ${low} AND ${high}`)
      .join(' AND ')
    const start = performance.now()
    const reader = await duck.runAndReadAll(
      `SELECT id, worth FROM listings WHERE ${where} ORDER BY worth DESC, id DESC LIMIT 200`,
    )
    peerTop.push(performance.now() - start)
    same('top 200', reader.getColumns()[0] as number[], rows)
  }
  const peerGroup: number[] = []
  for (let i = 0; i < 7; i++) {
    const start = performance.now()
    const reader = await duck.runAndReadAll(
      'SELECT store, count(*)::INTEGER, sum(units), sum(profit) FROM listings GROUP BY store ORDER BY store',
    )
    peerGroup.push(performance.now() - start)
    if (i === 0) compareGroups(reader.getColumns() as number[][], ours.groups)
  }
  return {
    top: median(ours.top.map((t) => t.ms)),
    topPeer: median(peerTop),
    group: median(ours.group),
    groupPeer: median(peerGroup),
    moved: median(ours.brush),
    slow: quantile(ours.brush, 0.95),
  }
}

async function fill({ rows, stores, columns }: Million): Promise<DuckDBConnection> {
  const instance = await DuckDBInstance.create(':memory:', { threads: '1' })
  const duck = await instance.connect()
  const names = Object.keys(columns)
  await duck.run(`CREATE TABLE listings (id INTEGER, store INTEGER, ${names.map((n) => `${n} DOUBLE`).join(', ')})`)
  const appender = await duck.createAppender('listings')
  for (let i = 0; i < rows; i++) {
    appender.appendInteger(i)
    appender.appendInteger(stores[i] as number)
    for (const name of names) {
      const v = (columns[name] as Float64Array)[i] as number
      if (Number.isNaN(v)) appender.appendNull()
      else appender.appendDouble(v)
    }
    appender.endRow()
  }
  appender.closeSync()
  return duck
}

function same(what: string, a: readonly number[], b: readonly number[]): void {
  if (a.length !== b.length || a.some((v, i) => v !== b[i])) throw new Error(`${what} differs from DuckDB's`)
}

function compareGroups([store = [], count = [], units = [], profit = []]: number[][], ours: Measured['groups']): void {
  const near = (a: number | null, b: number) => Math.abs((a ?? 0) - b) <= 1e-6 * Math.max(1, Math.abs(b))
  if (store.length !== storeCount) throw new Error(`DuckDB has ${store.length} stores`)
  store.forEach((s, i) => {
    const [u = [], p = []] = ours.sums as unknown as number[][]
    if (count[i] !== ours.rows[s] || !near(units[i] ?? null, u[s] ?? NaN) || !near(profit[i] ?? null, p[s] ?? NaN))
      throw new Error(`the roll-up of store ${s} differs from DuckDB's`)
  })
}
