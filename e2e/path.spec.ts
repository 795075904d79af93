import Papa from 'papaparse'
import { expect, test, type Download, type Page } from '@playwright/test'
import {
  bringIn,
  byHand,
  chooseFiles,
  findRow,
  ledgerRow,
  listingsCsv,
  offersCsv,
  tabTo,
  textFile,
  textOf,
} from './steps'

/** What the exported files must say, whichever way they were reached. */
async function checkExport(csv: Download, jsonld: Download | null): Promise<string> {
  const text = await textOf(csv)
  const rows = Papa.parse<Record<string, string>>(text, { header: true, skipEmptyLines: true }).data
  const row = (words: RegExp) => rows.find((r) => words.test(r.title ?? '')) as Record<string, string>
  expect(rows).toHaveLength(2)
  for (const [words, hand] of [
    [/hook/i, byHand.hooks],
    [/bird bath/i, byHand.bath],
  ] as const) {
    expect(row(words)).toMatchObject({
      market: 'Marrowgate',
      price: hand.price,
      currency: 'EUR',
      'expected profit': hand.profit,
    })
    expect(Number(row(words).margin)).toBeCloseTo(hand.margin, 9)
  }
  if (jsonld) {
    const graph = (
      JSON.parse(await textOf(jsonld)) as {
        '@graph': { name: string; offers: { price: string; priceCurrency: string } }[]
      }
    )['@graph']
    expect(graph.map((p) => p.offers.price).sort()).toEqual([byHand.hooks.price, byHand.bath.price].sort())
  }
  return text
}

/**
 * Presses a button until another is there. Of thirty presses within 70 ms after a page opened Chromium loses one: the page gets the
 * pointer event, and neither it nor anything else holds the mouse event back that does not follow. No hand is that fast.
 */
async function pressUntil(page: Page, pressed: RegExp, wanted: RegExp): Promise<void> {
  await expect(async () => {
    await page.getByRole('button', { name: pressed }).click({ timeout: 2000 })
    await expect(page.getByRole('button', { name: wanted })).toBeVisible({ timeout: 3000 })
  }).toPass()
}

/** The same file brought back gives the same drafts. */
async function comesBackTheSame(page: Page, text: string): Promise<void> {
  await page.getByRole('button', { name: 'Remove', exact: true }).waitFor()
  await page.getByLabel('Choose all drafts').check()
  await page.getByRole('button', { name: 'Remove', exact: true }).click()
  await page.getByRole('dialog').getByRole('button', { name: 'Remove' }).click()
  await expect(page.getByText('No drafts yet')).toBeVisible()
  const chooser = page.waitForEvent('filechooser')
  await page.getByRole('button', { name: 'Bring drafts from a file' }).click()
  await (await chooser).setFiles(textFile('listings.csv', text))
  await expect(page.locator('#stage').getByText('2 drafts', { exact: true })).toBeVisible()
  const again = page.waitForEvent('download')
  await page.getByRole('button', { name: /^Export 2 as CSV/ }).click()
  expect(await textOf(await again)).toBe(text)
}

test('the whole path with the mouse, from first run to an exported file', async ({ page }) => {
  await page.goto('/')
  await chooseFiles(page, [textFile('market.csv', listingsCsv), textFile('supplier.csv', offersCsv)])
  await expect(page.getByText('1 question to answer')).toBeVisible()
  await bringIn(page, { market: 'Marrowgate' })
  await expect(page.getByRole('heading', { name: 'supplier.csv' })).toBeVisible()
  await bringIn(page, { supplier: 'Sill Mill' })
  await expect(ledgerRow(page, 'market.csv')).toContainText('5')
  await expect(ledgerRow(page, 'supplier.csv')).toContainText('2')

  await page.getByRole('link', { name: /^Finds/ }).click()
  await expect(page.getByRole('status').filter({ hasText: 'of 3 items' })).toBeVisible()
  await findRow(page, 'Balcony hook').click()
  const look = page.getByRole('region', { name: 'Close look' })
  await expect(look).toContainText('62 units in 30 days')
  await expect(look).toContainText('Landed € 3.20 a pack of 4 from Sill Mill')
  await look.getByRole('button', { name: /^Keep/ }).click()
  await findRow(page, 'bird bath').click()
  await expect(look.getByRole('heading', { name: /bird bath/i })).toBeVisible()
  await look.getByRole('button', { name: /^Keep/ }).click()
  await findRow(page, 'Kneeling pad').click()
  await expect(look.getByRole('heading', { name: /Kneeling/ })).toBeVisible()
  await look.getByRole('button', { name: /^Drop/ }).click()
  await look.getByLabel('Reason').fill('too few sold')
  await look.getByLabel('Reason').press('Enter')
  await expect(page.getByText('of 3 items')).toContainText('2')

  await findRow(page, 'Balcony hook').click()
  await look.getByRole('button', { name: /^Cost it/ }).click()
  await page.getByRole('button', { name: 'Fees of Marrowgate …' }).click()
  await page.getByRole('button', { name: 'Add a fee' }).click()
  await page.getByLabel('Percentage of New fee').fill('12')
  await page.getByLabel('Percentage of New fee').press('Enter')
  await page.getByLabel('Fixed part of New fee').fill('0.30')
  await page.getByLabel('Fixed part of New fee').press('Enter')
  await page.keyboard.press('Escape')
  await expect(page.getByRole('textbox', { name: 'My price' })).toHaveValue(byHand.hooks.price)
  await expect(page.locator('[data-test=profit]')).toContainText(`+${byHand.hooks.profit}`)
  await expect(page.locator('[data-test=margin]')).toHaveText('60.8 %')

  await page.getByRole('button', { name: 'Draft listings' }).click()
  await expect(page.getByRole('heading', { name: 'Launch' })).toBeVisible()
  await pressUntil(page, /^Draft 2 kept items/, /^Export 2 as CSV/)
  const csv = page.waitForEvent('download')
  await page.getByRole('button', { name: /^Export 2 as CSV/ }).click()
  const jsonld = page.waitForEvent('download')
  await page.getByRole('button', { name: 'as JSON-LD' }).click()
  const text = await checkExport(await csv, await jsonld)

  await comesBackTheSame(page, text)
})

async function press(page: Page, ...keys: string[]) {
  for (const key of keys) await page.keyboard.press(key)
}

test('the whole path by keyboard alone', async ({ page }) => {
  await page.goto('/')
  await expect(page.getByRole('button', { name: 'Load the demo' })).toBeVisible()
  const chooser = page.waitForEvent('filechooser')
  await tabTo(page, /^Drop files anywhere/)
  await press(page, 'Enter')
  await (await chooser).setFiles([textFile('market.csv', listingsCsv), textFile('supplier.csv', offersCsv)])
  await expect(page.getByRole('heading', { name: 'market.csv' })).toBeVisible()
  await tabTo(page, 'Market')
  await page.keyboard.type('Marrowgate')
  await press(page, 'Escape', 'Control+Enter')
  await expect(page.getByRole('heading', { name: 'supplier.csv' })).toBeVisible()
  await tabTo(page, 'Supplier')
  await page.keyboard.type('Sill Mill')
  await press(page, 'Control+Enter')
  await expect(ledgerRow(page, 'supplier.csv')).toBeVisible()

  await press(page, '4')
  await expect(page.getByText('of 3 items')).toBeVisible()
  await press(page, '/')
  await page.keyboard.type('hook')
  await expect(page.getByText('of 3 items')).toContainText('1')
  await press(page, 'Enter')
  const look = page.getByRole('region', { name: 'Close look' })
  await expect(look.getByRole('heading', { name: /Balcony hook/ })).toBeVisible()
  await press(page, 'k')
  await expect(page.getByText('sheaf, 1 kept')).toBeVisible()
  await press(page, '/', 'Control+a')
  await page.keyboard.type('bird')
  await expect(findRow(page, 'bird bath')).toBeVisible()
  await press(page, 'Enter')
  await expect(look.getByRole('heading', { name: /bird bath/i })).toBeVisible()
  await press(page, 'k')
  await expect(page.getByText('sheaf, 2 kept')).toBeVisible()

  await press(page, '7')
  await expect(page.getByRole('textbox', { name: 'My price' })).toBeVisible()
  await press(page, 'e')
  await tabTo(page, 'Add a fee')
  await press(page, 'Enter')
  await expect(page.getByLabel('Percentage of New fee')).toBeVisible()
  await tabTo(page, 'Percentage of New fee', 'Shift+Tab')
  await press(page, 'Control+a')
  await page.keyboard.type('12')
  await press(page, 'Enter')
  await tabTo(page, 'Fixed part of New fee')
  await press(page, 'Control+a')
  await page.keyboard.type('0.30')
  await press(page, 'Enter', 'Escape')
  await expect(page.locator('[data-test=profit]')).toHaveText(/\+(7\.84|9\.81)/)

  await press(page, '9')
  await expect(page.getByText('No drafts yet')).toBeVisible()
  await press(page, 'n')
  await expect(page.locator('#stage').getByText('2 drafts', { exact: true })).toBeVisible()
  const csv = page.waitForEvent('download')
  await press(page, 'x')
  await checkExport(await csv, null)
})
