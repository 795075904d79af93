import { spawn, type ChildProcess } from 'node:child_process'
import { once } from 'node:events'
import { fileURLToPath } from 'node:url'
import { expect, test, type BrowserContext, type Page } from '@playwright/test'
import { FarLists, FarMarket } from '@sickle/standins'
import { chooseOption, ledgerRow, textOf, settledText } from './steps'

const port = 4392
const base = `http://127.0.0.1:${port}`
const root = fileURLToPath(new URL('..', import.meta.url))
const size = 51_100
const knobs = { size, stores: 1, latencyMs: 60, perSecond: 100, faultShare: 0.02 }
let server: ChildProcess

async function startServer(): Promise<void> {
  server = spawn(process.execPath, ['server/dist/main.js'], {
    cwd: root,
    env: { ...process.env, SICKLE_PORT: String(port) },
    stdio: ['ignore', 'pipe', 'inherit'],
  })
  await once(server.stdout as NodeJS.ReadableStream, 'data')
  const response = await fetch(`${base}/api/standins/farholt`, {
    method: 'PUT',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(knobs),
  })
  expect(response.status).toBe(200)
}
test.afterEach(() => server.kill('SIGKILL'))

/** How many records have come in, as the list of scans says. */
async function taken(page: Page): Promise<number> {
  const text = await page
    .getByRole('region', { name: 'Scans' })
    .getByText(/ taken/)
    .innerText()
  return Number(/^([\d,]+) of/.exec(text)?.[1]?.replaceAll(',', ''))
}
async function open(context: BrowserContext): Promise<Page> {
  const page = await context.newPage()
  await page.goto(`${base}/gather`)
  return page
}

/** Listings of which the records say something else. */
function otherThan(truth: ReturnType<FarMarket['listing']>[], records: Record<string, unknown>[]) {
  const byId = new Map(records.map((r) => [r.id, r]))
  return truth.filter((l) => {
    const r = byId.get(l.id)
    return (
      !r ||
      r.title !== l.title.replace(/\s+/g, ' ') ||
      r.price !== l.price ||
      r.units !== l.units30 ||
      r.store !== l.store ||
      r.listedOn !== l.listedOn
    )
  })
}

test('a scan of 50,000 listings through faults, a killed server and a closed tab: complete, no loss, no doubles', async ({
  context,
}) => {
  await startServer()
  const market = new FarMarket(knobs)
  const store = market.stores[0] as string
  let page = await open(context)
  await chooseOption(page.getByRole('combobox', { name: 'What to scan' }), 'Store')
  await page.getByLabel('What to look for').fill(store)
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: 'Scan', exact: true }).click()

  await expect.poll(() => taken(page)).toBeGreaterThan(8_000)
  server.kill('SIGKILL')
  await once(server, 'exit')
  // it asks again and again, and nothing more comes in
  const answers = () =>
    page.evaluate(() =>
      fetch('/api/sources').then(
        () => true,
        () => false,
      ),
    )
  await expect.poll(answers).toBe(false)
  await settledText(page.getByRole('region', { name: 'Scans' }))
  const stuck = await taken(page)
  await startServer()
  await expect.poll(() => taken(page)).toBeGreaterThan(stuck + 4_000)

  await page.close()
  page = await open(context)
  await expect(page.getByRole('region', { name: 'Scans' }).getByText('running')).toBeVisible()
  await page.getByRole('button', { name: 'Pause', exact: true }).click()
  await expect(page.getByRole('region', { name: 'Scans' }).getByText('paused')).toBeVisible()
  await page.getByRole('button', { name: 'Resume' }).click()
  await expect(ledgerRow(page, 'Scan: store')).toBeVisible({ timeout: 300_000 })

  await page.getByRole('button', { name: `Scan: store ${store}`, exact: true }).click()
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'NDJSON', exact: true }).click()
  const records = (await textOf(await download))
    .trimEnd()
    .split('\n')
    .map((line) => JSON.parse(line) as Record<string, unknown>)
  const truth = market.ofStore(store).map((k) => market.listing(k))
  expect(records.length).toBeGreaterThan(50_000)
  expect(records.length).toBe(truth.length)
  expect(new Set(records.map((r) => r.id)).size).toBe(truth.length)
  expect(otherThan(truth, records)).toEqual([])
})

test('terms, supplier offers, clips and advertisements are scanned as listings are, each into its own kind', async ({
  context,
}) => {
  await startServer()
  const page = await open(context)
  const scan = async (list: string, total: number) => {
    await chooseOption(page.getByRole('combobox', { name: 'What to bring' }), list)
    await page.getByLabel('What to look for').fill('bird bath')
    await page.keyboard.press('Escape')
    await page.getByRole('button', { name: 'Scan', exact: true }).click()
    const row = ledgerRow(page, `${list.toLowerCase()} for term bird bath`)
    await expect(row.getByRole('cell').nth(1)).toHaveText(list)
    await expect(row.getByRole('cell').nth(3)).toHaveText(total.toLocaleString('en'))
  }
  const market = new FarMarket(knobs)
  const more = new FarLists(market)
  const numbers = market.ofTerm('bird bath')
  await scan('Search terms', more.of('terms', numbers).length)
  await scan('Supplier offers', more.of('offers', numbers).length)
  await scan('Clips and lives', more.of('clips', numbers).length)
  await scan('Advertisements', more.of('ads', numbers).length)
  await expect(
    page.getByRole('combobox', { name: 'What to scan' }).getByRole('option', { name: 'Identifiers' }),
  ).toHaveCount(0)
})
