import { expect, test } from '@playwright/test'
import { bringIn, chooseFiles, findRow, ledgerRow, listingsCsv, loadDemo, textFile } from './steps'

test('an empty workspace opens at the doors; one with data at Today, whose lines lead on', async ({ page }) => {
  await page.goto('/')
  await expect(page.getByRole('button', { name: 'Load the demo' })).toBeVisible()
  await loadDemo(page)
  await findRow(page, 'trough').first().click()
  await page.keyboard.press('h')
  await expect(page.getByText('1 held')).toBeVisible()

  await page.goto('/')
  await expect(page.getByRole('heading', { name: 'Today' })).toBeVisible()
  await expect(
    page.getByRole('region', { name: 'Waiting for you' }).getByRole('link', { name: /1 item on hold/ }),
  ).toBeVisible()
  await expect(page.getByRole('region', { name: 'Jobs done' }).getByRole('link')).toHaveCount(14)
  const rising = page.getByRole('region', { name: 'Rising' }).getByRole('button')
  await expect(rising).toHaveCount(6)
  const title = await rising.first().locator('.title').innerText()
  await rising.first().click()
  await expect(page.getByRole('region', { name: 'Close look' }).getByRole('heading').first()).toHaveText(title.trim())

  // What was seen once is no news at the next look.
  await page.goto('/today')
  await expect(page.getByText('Nothing was brought in since the last look.')).toBeVisible()
  await expect(page.getByText(/What changed since/)).toBeVisible()
})

test('prices in a currency without a rate are told of', async ({ page }) => {
  await page.goto('/')
  await chooseFiles(page, textFile('dollars.csv', listingsCsv.replaceAll('EUR', 'USD')))
  await bringIn(page, { market: 'Loopreel' })
  await expect(ledgerRow(page, 'dollars.csv')).toBeVisible()
  await page.getByRole('link', { name: /^Today/ }).click()
  await page.getByRole('link', { name: /No rate for USD/ }).click()
  await expect(page.getByRole('heading', { name: 'Rates of exchange' })).toBeVisible()
})
