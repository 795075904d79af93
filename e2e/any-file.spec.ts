import { expect, test, type Page } from '@playwright/test'
import { zipSync, strToU8 } from 'fflate'
import { parquetWriteBuffer } from 'hyparquet-writer'
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { bringIn, chooseFiles, chooseOption, ledgerRow, textFile } from './steps'

const folder = mkdtempSync(join(tmpdir(), 'sickle-e2e-'))
test.afterAll(() => rmSync(folder, { recursive: true }))

/** A file on disk: what is handed over as bytes may not be large. */
function onDisk(name: string, content: string | Uint8Array): string {
  const path = join(folder, name)
  writeFileSync(path, content)
  return path
}

const headings = ['Item ID', 'Title', 'Seller', 'Price (EUR)', 'Units sold last 30 days']
const cells = (i: number): (string | number)[] => [
  `A${i}`,
  `Cow bell no ${i}, brass`,
  `Store ${i % 40}`,
  (i % 90) + 0.5,
  i % 37,
]
const names = ['item_id', 'title', 'seller', 'price_eur', 'units_30d']
const record = (i: number) => Object.fromEntries(names.map((name, c) => [name, cells(i)[c]]))
const lines = (n: number, mark: string) =>
  [headings, ...Array.from({ length: n }, (_, i) => cells(i).map((c) => (String(c).includes(mark) ? `"${c}"` : c)))]
    .map((r) => r.join(mark))
    .join('\n')

function book(rows: number): Uint8Array {
  const text = (place: string, t: string) => `<c r="${place}" t="inlineStr"><is><t>${t}</t></is></c>`
  const row = (values: (string | number)[], at: number) =>
    `<row r="${at}">${values.map((v, c) => (typeof v === 'number' ? `<c r="${'ABCDE'[c]}${at}"><v>${v}</v></c>` : text(`${'ABCDE'[c]}${at}`, v))).join('')}</row>`
  const sheet = [
    '<worksheet><sheetData>',
    row(headings, 1),
    ...Array.from({ length: rows }, (_, i) => row(cells(i), i + 2)),
    '</sheetData></worksheet>',
  ]
  return zipSync(
    {
      'xl/workbook.xml': strToU8('<workbook><sheets><sheet name="Sheet1" r:id="r1"/></sheets></workbook>'),
      'xl/_rels/workbook.xml.rels': strToU8(
        '<Relationships><Relationship Id="r1" Target="worksheets/sheet1.xml"/></Relationships>',
      ),
      'xl/worksheets/sheet1.xml': strToU8(sheet.join('')),
    },
    { level: 1 },
  )
}

const formats: Record<string, (rows: number) => string | Uint8Array> = {
  csv: (n) => lines(n, ','),
  tsv: (n) => lines(n, '\t'),
  xlsx: book,
  json: (n) => JSON.stringify({ items: Array.from({ length: n }, (_, i) => record(i)) }),
  ndjson: (n) => Array.from({ length: n }, (_, i) => JSON.stringify(record(i))).join('\n'),
  parquet: (n) =>
    new Uint8Array(
      parquetWriteBuffer({
        columnData: names.map((name, c) => ({
          name,
          data: Array.from({ length: n }, (_, i) => cells(i)[c]),
          type: c < 3 ? ('STRING' as const) : ('DOUBLE' as const),
        })),
      }),
    ),
}

for (const [format, make] of Object.entries(formats))
  test(`${format} of 10, 3,000 and 100,000 rows comes in whole`, async ({ page }) => {
    await page.goto('/gather')
    for (const rows of [10, 3000, 100_000]) {
      const name = `size-${rows}.${format}`
      await chooseFiles(page, onDisk(name, make(rows)))
      await expect(page.getByRole('heading', { name })).toBeVisible({ timeout: 20_000 })
      await bringIn(page, { market: 'Marrowgate' })
      const row = ledgerRow(page, name).getByRole('cell')
      await expect(row.nth(3)).toHaveText(rows.toLocaleString('en'), { timeout: 120_000 })
      await expect(row.nth(4)).toHaveText('0')
    }
  })

test('reading a file can be cancelled, and so can bringing it in', async ({ page }) => {
  const long = `[${Array.from({ length: 400_000 }, (_, i) => JSON.stringify({ ...record(i), words: 'x'.repeat(120) })).join(',')}]`
  const path = onDisk('long.json', long)
  await page.goto('/gather')
  await chooseFiles(page, path)
  await page.getByRole('status', { name: 'Reading a file' }).getByRole('button', { name: 'Cancel' }).click()
  await expect(page.getByRole('button', { name: /Drop files anywhere/ })).toBeVisible({ timeout: 5000 })
  await expect(page.getByRole('alert')).toHaveCount(0)
  // another file opens all the same
  await chooseFiles(page, path)
  await expect(page.getByRole('heading', { name: 'long.json' })).toBeVisible({ timeout: 20_000 })
  await bringIn(page, { market: 'Marrowgate' })
  await page.getByRole('button', { name: /^1 job/ }).click()
  await page.getByRole('button', { name: 'Cancel', exact: true }).click()
  await expect(page.getByText('cancelled', { exact: true })).toBeVisible({ timeout: 10_000 })
  await expect(ledgerRow(page, 'long.json')).toHaveCount(0)
})

const review = (page: Page) => page.getByRole('region', { name: 'Import' })

test('a correction is learned from the seller alone, counts for files of another shape, is shown and can be taken back', async ({
  page,
}) => {
  await page.goto('/gather')
  const first = 'Item ID,Title,Price (EUR),Gizmo\nA1,Bell,3.50,4\nA2,Lead,9.00,17\nA3,Mat,12.00,0\n'
  await chooseFiles(page, textFile('first.csv', first))
  await chooseOption(review(page).getByRole('combobox', { name: 'Gizmo is' }), 'Stock')
  await bringIn(page, { market: 'Marrowgate' })
  await expect(ledgerRow(page, 'first.csv').getByRole('cell').nth(3)).toHaveText('3')
  const second = 'Name;Gizmo;Listing number;Price EUR;Store\nBell;4;A1;3,50;Wren\nLead;17;A2;9,00;Wren\n'
  await chooseFiles(page, textFile('second.csv', second))
  await expect(review(page)).toContainText('read as you set it before')
  await expect(review(page).getByRole('combobox', { name: 'Gizmo is' })).toHaveText('Stock')
  await expect(review(page).getByRole('row', { name: /Gizmo/ })).toContainText('as you said')
  await page.getByRole('button', { name: 'Leave out' }).click()
  await page.goto('/settings')
  const taught = page.getByRole('region', { name: 'What files taught' })
  await expect(taught.getByRole('row', { name: /Gizmo/ })).toContainText('Stock')
  await taught.getByRole('button', { name: 'Forget Gizmo' }).click()
  await expect(taught.getByRole('row', { name: /Gizmo/ })).toHaveCount(0)
  await page.goto('/gather')
  await chooseFiles(page, textFile('third.csv', second))
  await expect(review(page).getByRole('combobox', { name: 'Gizmo is' })).toHaveText('not used')
})

test('a figure that was left out is taken with one press; without it the page says what will not be known', async ({
  page,
}) => {
  await page.goto('/gather')
  await chooseFiles(
    page,
    textFile('hint.csv', 'Item ID,Title,Price (EUR),Gizmo\nA1,Bell,3.50,4\nA2,Lead,9.00,17\nA3,Mat,12.00,0\n'),
  )
  const hints = page.getByRole('region', { name: 'What is left out' })
  await expect(hints).toContainText(
    /Is 'Gizmo' the units in window\? Without it, Sickle will not know how much it sells/,
  )
  await expect(hints).toContainText('Without store, Sickle will not know who sells it')
  await hints.getByRole('button', { name: 'Yes, take it' }).click()
  await expect(review(page).getByRole('combobox', { name: 'Gizmo is' })).toHaveText('Units in window')
  await expect(hints).not.toContainText('Gizmo')
})

test('days to come and doubtful shares are asked about, and the answer is what comes in', async ({ page }) => {
  await page.goto('/gather')
  await chooseFiles(
    page,
    textFile('days.csv', 'Listing ID,Date,Units\nA,2026-05-01,1\nA,2206-05-01,2\nB,2026-05-03,4\n'),
  )
  const days = page.getByRole('radiogroup', { name: /row 3 says 2206-05-01, which is still to come/ })
  await days.getByText('A mistake: not known').click()
  await bringIn(page, { market: 'Marrowgate' })
  await expect(ledgerRow(page, 'days.csv').getByRole('cell').nth(3)).toHaveText('2')
  await expect(ledgerRow(page, 'days.csv')).toContainText('2026-05-03')
  await chooseFiles(page, textFile('terms.csv', 'Search term,Searches,Change\nmug,10,1.5\nbell,20,0.2\nmat,4,2.5\n'))
  const share = page.getByRole('radiogroup', { name: /Under 'Change', does 1.5 mean/ })
  await share.getByText('150 %', { exact: true }).click()
  await expect(review(page).getByRole('region', { name: 'As it will be read' })).toContainText('150.0 %')
  await share.getByText('1.5 %', { exact: true }).click()
  await expect(review(page).getByRole('region', { name: 'As it will be read' })).toContainText('1.5 %')
})

test('figures are typed as the seller writes them; what can be read in two ways is refused with both', async ({
  page,
}) => {
  await page.goto('/settings')
  const profit = page.getByLabel('Least profit')
  await profit.fill('1,200')
  await profit.press('Enter')
  await expect(profit).toHaveValue('1200.00')
  await profit.fill('1.200')
  await profit.press('Enter')
  await expect(page.getByRole('alert')).toContainText('can be read as 1.2 or as 1200')
  await profit.fill('2')
  await profit.press('Enter')
  await page.getByText('1.234,50', { exact: true }).click()
  await expect(profit).toHaveValue('2,00')
  await profit.fill('1.200,50')
  await profit.press('Enter')
  await expect(profit).toHaveValue('1200,50')
})

test('when no row can be taken, the page says so with the first reason', async ({ page }) => {
  await page.goto('/gather')
  await chooseFiles(
    page,
    textFile('none.csv', 'Item ID,Title,Seller,Price (EUR)\nA,Bell,Wren,0.00\nB,Mat,Wren,0.00\nC,Clock,Tern,0.00\n'),
  )
  await bringIn(page, { market: 'Marrowgate' })
  await expect(page.getByRole('alert')).toContainText(
    'No row of none.csv could be read (3 refused; the first: no usable price: not above zero)',
  )
})
