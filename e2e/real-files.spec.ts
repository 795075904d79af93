import { readFileSync } from 'node:fs'
import Papa from 'papaparse'
import { expect, test, type Page } from '@playwright/test'
import { bringIn, chooseFiles, chooseView, findRow, fixture, ledgerRow, sample, textOf } from './steps'

test('files that no generator of ours made: read right, or asked about', async ({ page }) => {
  await page.goto('/')
  const review = page.getByRole('region', { name: 'Import' })
  await chooseFiles(
    page,
    ['market-export.csv', 'shop-sales.tsv', 'rival-listings.json', 'supplier-prices.xlsx', 'daily-units.ndjson'].map(
      sample,
    ),
  )

  await expect(review).toContainText('WINDOWS-1252 · semicolons')
  await expect(review.getByRole('combobox', { name: 'Price (EUR) is' })).toHaveText('Price *')
  await expect(review).toContainText("no usable price ('n/a')")
  await bringIn(page, { market: 'Marrowgate' })
  await expect(page.getByRole('heading', { name: 'shop-sales.tsv' })).toBeVisible()
  await expect(review).toContainText('UTF-16LE · tabs')
  await bringIn(page, { market: 'Gavelhop' })
  await expect(page.getByRole('heading', { name: 'rival-listings.json' })).toBeVisible()
  await bringIn(page, { market: 'Loopreel' })
  await expect(page.getByRole('heading', { name: 'supplier-prices.xlsx' })).toBeVisible()
  await expect(review.getByRole('combobox', { name: '10-49 is' })).toHaveText('Price from 10')
  await bringIn(page, { supplier: 'Quaymaster' })
  await expect(page.getByRole('heading', { name: 'daily-units.ndjson' })).toBeVisible()
  await bringIn(page)

  const expected: [string, string, string][] = [
    ['market-export.csv', '60', '2'],
    ['shop-sales.tsv', '45', '1'],
    ['rival-listings.json', '50', '1'],
    ['supplier-prices.xlsx', '40', '0'],
    ['daily-units.ndjson', '1,032', '0'],
  ]
  for (const [file, taken, rejected] of expected) {
    await expect(ledgerRow(page, file).getByRole('cell').nth(3)).toHaveText(taken)
    await expect(ledgerRow(page, file).getByRole('cell').nth(4)).toHaveText(rejected)
  }

  // The two rows that could not be taken: shown, downloaded, corrected, brought again.
  await ledgerRow(page, 'market-export.csv').getByRole('button', { name: '2', exact: true }).click()
  await expect(page.getByText('repeats', { exact: false }).or(page.getByText('no usable price (empty)'))).toBeVisible()
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Download' }).click()
  const mended = (await textOf(await download)).replace(',"n/a",', ',"5,99",')
  await page.keyboard.press('Escape')
  await chooseFiles(page, { name: 'mended.csv', mimeType: 'text/csv', buffer: Buffer.from(mended) })
  await expect(review).toContainText('read as you set it')
  await bringIn(page)
  await expect(ledgerRow(page, 'mended.csv').getByRole('cell').nth(3)).toHaveText('1')

  // An import can be removed.
  await ledgerRow(page, 'mended.csv').getByRole('button', { name: 'Remove' }).click()
  await page.getByRole('dialog').getByRole('button', { name: 'Remove' }).click()
  await expect(ledgerRow(page, 'mended.csv')).toHaveCount(0)
})

interface TunaItem {
  id: string
  title: string
  /** units of the last four weeks */
  last4: number[]
  units30: number
  growth: number
  price: number
  wholesale: number
  profit: number
  margin: number
}

interface TunaCourse {
  months: number
  fs: number
  change: { day: number }
}

async function atHomeInDollars(page: Page): Promise<void> {
  await page.goto('/settings')
  await page.getByLabel('Home currency').click()
  await page.keyboard.type('USD')
  await page.keyboard.press('Enter')
  await expect(page.getByText('Least profit a price may leave, $')).toBeVisible()
  // Cents are earned on a tin: the least profit is set to nothing.
  await page.getByLabel('Least profit').fill('0')
  await page.getByLabel('Least profit').press('Enter')
}

async function agreesWithR(page: Page, item: TunaItem, { months, fs, change }: TunaCourse): Promise<void> {
  const inWords = new Intl.DateTimeFormat('en-IE', { day: 'numeric', month: 'long', year: 'numeric', timeZone: 'UTC' })
  const look = page.getByRole('region', { name: 'Close look' })
  const row = findRow(page, item.title)
  await expect(row.locator('[role=gridcell]').nth(2)).toContainText(Math.round(item.units30).toLocaleString('en'))
  await expect(row).toContainText(`+${item.profit.toFixed(2)}`)
  await expect(row).toContainText(`${Math.round(item.margin * 100)} %`)
  await row.click()
  await expect(look.getByRole('heading', { name: item.title })).toBeVisible()
  await expect(look).toContainText(`${item.growth > 0 ? '+' : '−'}${Math.abs(Math.round(item.growth * 100))} %`)
  await expect(look).toContainText(new RegExp(`(Little|No) season.*: strength ${fs.toFixed(2)} over ${months} months`))
  // real weeks pull on each other: a change that they could make by themselves is not told
  const day = inWords.format(change.day * 86_400_000)
  await expect(look).toContainText(new RegExp(`changed most around ${day}|Its level shows no clear change`))
  await expect(look).toContainText('it takes daily figures of eight weeks')
  await chooseView(page, 'Days shown', '28')
  // The chart's table says units a day, week by week.
  const weeks = await look.getByRole('table', { name: 'Units a day' }).getByRole('cell').allTextContents()
  expect(weeks.map((t) => Number(t.replaceAll(',', '')))).toEqual(item.last4.map((u) => Math.round((u / 7) * 10) / 10))
}

async function exportsAsR(page: Page, items: readonly TunaItem[]): Promise<void> {
  const csv = page.waitForEvent('download')
  await page.getByRole('button', { name: /^Export 7 as CSV/ }).click()
  const rows = Papa.parse<Record<string, string>>(await textOf(await csv), { header: true, skipEmptyLines: true }).data
  for (const item of items) {
    const row = rows.find((x) => x.item === `Openstall/${item.id}`)
    const [price, goods] = [Math.round(item.price * 100) - 1, Math.round(item.wholesale * 100)]
    expect(row?.currency).toBe('USD')
    expect(Math.round(Number(row?.price) * 100)).toBe(price)
    expect(Math.round(Number(row?.['expected profit']) * 100)).toBe(price - goods)
    expect(Number(row?.margin)).toBeCloseTo((price - goods) / price, 9)
  }
}

test('338 weeks of real sales, walked to a listing file; units, margins and ranking agree with R', async ({ page }) => {
  const r = JSON.parse(readFileSync(fixture('tuna-expected.json'), 'utf8')) as {
    ranking: string[]
    items: TunaItem[]
    lastDay: string
  }
  const course = JSON.parse(readFileSync(new URL('../core/demand/fixtures/r-tuna.json', import.meta.url), 'utf8')) as {
    items: TunaCourse[]
  }
  await atHomeInDollars(page)
  await page.goto('/gather')
  await chooseFiles(page, [fixture('tuna-sales.csv'), fixture('tuna-wholesale.csv')])
  await bringIn(page, { market: 'Openstall' })
  await expect(page.getByRole('heading', { name: 'tuna-wholesale.csv' })).toBeVisible()
  await bringIn(page, { supplier: 'Wholesale' })
  await expect(ledgerRow(page, 'tuna-sales.csv').getByRole('cell').nth(3)).toHaveText('2,366')
  await expect(ledgerRow(page, 'tuna-sales.csv')).toContainText(r.lastDay)
  // R knows no fees: the shop takes none, and says so.
  await page.goto('/margin?fees=Openstall')
  await page.getByRole('button', { name: 'It takes none' }).click()
  await expect(page.getByText('Openstall takes no fees, as you said.')).toBeVisible()
  await page.keyboard.press('Escape')

  await page.getByRole('link', { name: /^Finds/ }).click()
  await expect(page.getByText('7 of 7 items')).toBeVisible()
  await page.getByRole('button', { name: /Units/, exact: false }).filter({ hasText: '30 d' }).last().click()
  await expect(page.locator('[role=columnheader].c-units')).toHaveAttribute('aria-sort', 'descending')
  const title = (id: string) => r.items.find((i) => i.id === id)?.title ?? ''
  await expect(page.locator('.find .title')).toHaveText(r.ranking.map(title))

  const look = page.getByRole('region', { name: 'Close look' })
  for (const item of r.items) {
    await agreesWithR(page, item, course.items[r.items.indexOf(item)] as TunaCourse)
    await look.getByRole('button', { name: /^Keep/ }).click()
  }

  // Price against units and the lift of display, as R's lm has them.
  const { both } = JSON.parse(
    readFileSync(new URL('../core/demand/fixtures/r-tuna-response.json', import.meta.url), 'utf8'),
  ).items[0] as { both: { value: [number, number, number] } } // eslint-disable-line @typescript-eslint/no-unsafe-member-access
  const change = (v: number) => `${v > 0 ? '+' : '−'}${Math.round(Math.abs(v) * 100).toLocaleString('en')} %`
  await findRow(page, r.items[0]?.title ?? '').dblclick()
  const answers = page.getByRole('region', { name: 'Answers' })
  await expect(answers).toContainText(`10 % off the price went with ${change(0.9 ** both.value[1] - 1)} units`)
  await expect(answers).toContainText(`promoted, at the same price, with ${change(Math.expm1(both.value[2]))}`)

  await page.getByRole('button', { name: 'Draft listings' }).click()
  await page.getByRole('button', { name: /^Draft 7 kept items/ }).click()
  await exportsAsR(page, r.items)
})
