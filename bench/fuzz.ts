import { chromium, type Page } from '@playwright/test'
import { exportedColumns, writeExport } from '@sickle/core/exports'
import { importRows, openFile, proposeMapping } from '@sickle/core/intake'
import { demoFiles, makeWorld } from '@sickle/standins'
import { demoBytes } from '../server/src/demo-bytes'
import { damaged } from './damage'
import { openIntakeWorker, type IntakeCall } from './intake-worker'
import { orphans } from './left-behind'
import type { Line } from './report'

/** What came of one file: taken, refused with a clear word, or what must not be. */
interface Outcome {
  result: string
  ms: number
}

/** Damaged and hostile files through the built intake in headless Chromium: nothing unforeseen, nothing slow, nothing left behind. */
export async function benchFuzz(base: string, executablePath: string, count = 2000): Promise<Line[]> {
  const browser = await chromium.launch({
    executablePath,
    args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
  })
  try {
    const page = await browser.newPage()
    await page.goto(`${base}/gather`)
    await page.getByRole('button', { name: 'Load the demo' }).waitFor()
    await openIntakeWorker(page)
    const seeds = await seedFiles()
    await send(page, seeds.slice(0, 2))
    seeds.push({ name: 'workspace.sickle', bytes: await backup(page) })
    const outcomes: Outcome[] = []
    const failures: string[] = []
    let batch: { name: string; bytes: Uint8Array }[] = []
    for (const file of damaged(seeds, count, 20_261_125)) {
      batch.push(file)
      if (batch.length < 25) continue
      const got = await send(page, batch)
      got.forEach((o, i) => {
        if (o.result !== 'taken' && o.result !== 'refused') failures.push(`${batch[i]?.name}: ${o.result}`)
      })
      outcomes.push(...got)
      batch = []
    }
    const left = await orphans(page)
    const slowest = Math.max(...outcomes.map((o) => o.ms))
    const refused = outcomes.filter((o) => o.result === 'refused').length
    for (const f of [...new Set(failures)].slice(0, 20)) console.error(`fuzz: ${f}`)
    const line = (name: string, ours: number, unit: string, target: string, met: boolean) =>
      ({ name, ours, unit, peer: null, target, met }) satisfies Line
    return [
      line(
        `fuzz: of ${outcomes.length} damaged files (${refused} refused, the rest taken in part or whole), unforeseen`,
        failures.length,
        'files',
        '0',
        failures.length === 0,
      ),
      line('fuzz: slowest file', slowest, 'ms', '<= 5000 ms', slowest <= 5000),
      line('fuzz: columns left behind without an import', left, 'columns', '0', left === 0),
    ]
  } finally {
    await browser.close()
  }
}

async function seedFiles(): Promise<{ name: string; bytes: Uint8Array }[]> {
  const world = makeWorld({ goods: 60, listings: 150, stores: 60, offers: 60, days: 90 })
  const wanted = [
    'marrowgate-listings.csv',
    'quaymaster-prices.xlsx',
    'fernhand-listings.json',
    'loopreel-listings.ndjson',
    'gavelhop-daily.csv',
    'gavelhop-listings.csv',
  ]
  const files = (await demoBytes(demoFiles(world))).filter((f) => wanted.includes(f.name))
  const csv = files.find((f) => f.name === 'marrowgate-listings.csv') as (typeof files)[number]
  const opened = await openFile(new File([csv.bytes as Uint8Array<ArrayBuffer>], csv.name))
  const { table } = await importRows(opened, {
    ...proposeMapping(opened, Date.UTC(2026, 11, 1)).mapping,
    market: 'Marrowgate',
  })
  const parquet = await writeExport('parquet', exportedColumns([table], 'listings'), 'Listings')
  return [...files.map(({ name, bytes }) => ({ name, bytes })), { name: 'listings.parquet', bytes: parquet }]
}

async function send(page: Page, files: { name: string; bytes: Uint8Array }[]): Promise<Outcome[]> {
  const packed = files.map(({ name, bytes }) => ({ name, text: Buffer.from(bytes).toString('base64') }))
  return page.evaluate(async (list) => {
    type Answer = Awaited<IntakeCall['answer']>
    const call = (window as unknown as { callIntake: (m: string, a: unknown[]) => IntakeCall }).callIntake
    const limited = (promise: Promise<Answer>) =>
      Promise.race([
        promise,
        new Promise<Answer>((r) => setTimeout(() => r({ type: 'failed', problem: { code: 'hang' } }), 20_000)),
      ])
    const out: { result: string; ms: number }[] = []
    for (const { name, text } of list) {
      const bytes = Uint8Array.from(atob(text), (c) => c.charCodeAt(0))
      const file = new File([bytes], name)
      const start = performance.now()
      let answer: Answer
      if (name.endsWith('.sickle')) answer = await limited(call('restore', [file]).answer)
      else {
        answer = await limited(call('plan', [file, null, Date.now(), null]).answer)
        if (answer.type === 'done') {
          const { proposal } = answer.value as { proposal: { mapping: Record<string, unknown> } }
          const mapping = { market: 'X', supplier: 'Y', ...proposal.mapping }
          const whole = {
            ...mapping,
            market: mapping.market ?? 'X',
            supplier: mapping.supplier ?? 'Y',
            currency: (mapping as { currency?: string }).currency ?? 'EUR',
          }
          answer = await limited(
            call('run', [file, null, whole, { id: crypto.randomUUID(), now: Date.now(), demo: false }]).answer,
          )
        }
      }
      const code = answer.problem?.code
      const result =
        answer.type === 'done'
          ? 'taken'
          : code === 'unexpected' || code === 'crash' || code === 'hang'
            ? `${code} ${answer.problem?.details?.text ?? ''}`
            : 'refused'
      out.push({ result, ms: performance.now() - start })
    }
    return out
  }, packed)
}

async function backup(page: Page): Promise<Uint8Array> {
  const text = await page.evaluate(async () => {
    const call = (window as unknown as { callIntake: (m: string, a: unknown[]) => IntakeCall }).callIntake
    const value = (await call('backup', []).answer).value as Uint8Array
    let out = ''
    for (const b of value) out += String.fromCharCode(b)
    return btoa(out)
  })
  return Buffer.from(text, 'base64')
}
