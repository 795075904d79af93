import { chromium, type Browser } from '@playwright/test'
import { DuckDBInstance } from '@duckdb/node-api'
import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { openIntakeWorker, type IntakeCall } from './intake-worker'
import { median, type Line } from './report'

/** A million rows in one row group, as common writers make them, beside groups of 50,000: both written by DuckDB. */
export async function benchParquet(base: string, executablePath: string, rows = 1_000_000): Promise<Line[]> {
  const folder = mkdtempSync(join(tmpdir(), 'sickle-parquet-'))
  const browser = await chromium.launch({ executablePath, args: ['--no-sandbox', '--disable-gpu'] })
  try {
    const connection = await (await DuckDBInstance.create()).connect()
    await connection.run('select setseed(0.5)')
    await connection.run(
      `create table t as select 'A'||i as item_id, 'Hook set '||(i%5000)||' brass, '||(i%17)||' cm' as title, 'Store '||(i%300) as seller, round(2+random()*50,2) as price_eur, (random()*random()*100)::int as units_30d, date '2025-01-01' + (i%300)::int as listed_on from range(${rows}) r(i)`,
    )
    const files = { one: join(folder, 'one.parquet'), many: join(folder, 'many.parquet') }
    await connection.run(`copy t to '${files.one}' (format parquet, row_group_size ${rows})`)
    await connection.run(`copy t to '${files.many}' (format parquet, row_group_size 50000)`)
    const [one, many]: [number[], number[]] = [[], []]
    for (let i = 0; i < 3; i++) {
      one.push(await bring(browser, base, files.one, rows))
      many.push(await bring(browser, base, files.many, rows))
    }
    const [ours, peer] = [median(one), median(many)]
    return [
      {
        name: `Parquet: ${rows} rows in one group brought in, beside groups of 50,000`,
        ours,
        unit: 'ms',
        peer,
        target: 'ratio <= 1.2',
        met: ours / peer <= 1.2,
      },
    ]
  } finally {
    await browser.close()
    rmSync(folder, { recursive: true })
  }
}

async function bring(browser: Browser, base: string, path: string, rows: number): Promise<number> {
  const context = await browser.newContext()
  const page = await context.newPage()
  try {
    await page.goto(`${base}/gather`)
    await page.getByRole('button', { name: 'Load the demo' }).waitFor()
    await openIntakeWorker(page)
    await page.route('**/bench.parquet', (route) => route.fulfill({ body: readFileSync(path) }))
    const { ms, taken } = await page.evaluate(async () => {
      const call = (window as unknown as { callIntake: (m: string, a: unknown[]) => IntakeCall }).callIntake
      const file = new File([await (await fetch('/bench.parquet')).blob()], 'bench.parquet')
      const start = performance.now()
      const plan = (await call('plan', [file, null, Date.now(), null]).answer).value as {
        proposal: { mapping: object }
      }
      const mapping = { ...plan.proposal.mapping, market: 'X' }
      const about = { id: crypto.randomUUID(), now: Date.now(), demo: false }
      const run = (await call('run', [file, null, mapping, about]).answer).value as { entry: { taken: number } }
      return { ms: performance.now() - start, taken: run.entry.taken }
    })
    if (taken !== rows) throw new Error(`only ${taken} rows came in`)
    return ms
  } finally {
    await context.close()
  }
}
