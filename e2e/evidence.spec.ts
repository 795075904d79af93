import Papa from 'papaparse'
import { expect, test } from '@playwright/test'
import { bringIn, chooseFiles, listingsCsv, loadDemo, textFile, textOf } from './steps'

test('columns, strips and the file that leaves are what the seller chose; a Cut tells what changed', async ({
  page,
}) => {
  await page.goto('/')
  await chooseFiles(page, textFile('market.csv', listingsCsv))
  await bringIn(page, { market: 'Marrowgate' })
  await page.getByRole('link', { name: /^Finds/ }).click()
  await expect(page.getByText('3 of 3 items')).toBeVisible()
  await page.getByRole('button', { name: 'Strips and columns' }).click()
  const columns = page.getByRole('region', { name: 'Columns' })
  await columns.getByLabel('Reviews', { exact: true }).click()
  await columns.getByRole('button', { name: 'Reviews up' }).click()
  await page
    .getByRole('region', { name: /^Strips/ })
    .getByLabel('Sellers', { exact: true })
    .click()
  await page.getByRole('heading', { name: 'Finds' }).click()
  await expect(page.getByRole('columnheader').nth(-2)).toHaveText(/Reviews/)
  await expect(page.getByRole('img', { name: 'Distribution of Sellers' })).toBeVisible()
  const file = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Export' }).click()
  await page.getByRole('button', { name: 'CSV' }).click()
  const { data, meta } = Papa.parse<Record<string, string>>(await textOf(await file), {
    header: true,
    skipEmptyLines: true,
  })
  expect(meta.fields?.slice(0, 5)).toEqual(['Item', 'Key', 'Barcode', 'Address', 'Markets'])
  // by hand: 120 and 60 reviews of the two listings of one item
  expect(data.find((r) => /hook/i.test(r.Item ?? ''))?.Reviews).toBe('180')

  await page
    .getByLabel('Units, 30 d from')
    .or(page.getByRole('button', { name: /^Limit of Units, 30 d/ }))
    .first()
    .click()
  await page.getByLabel('Units, 30 d from').fill('20')
  await page.getByLabel('Units, 30 d from').press('Enter')
  await page.getByRole('button', { name: 'Keep as a Cut' }).click()
  await page.getByLabel('Name of the Cut').fill('Brisk')
  await page.getByLabel('Name of the Cut').press('Enter')
  await page.getByRole('button', { name: /^Brisk/ }).click()
  await expect(page.getByText('First run: what changes is told next time.')).toBeVisible()
  await page.getByRole('link', { name: /^Gather/ }).click()
  await chooseFiles(
    page,
    textFile(
      'more.csv',
      listingsCsv
        .replace('A3,', 'A9,')
        .replace('Hanging bird bath, copper, 26 cm', 'Bee hotel 20 cm')
        .replace(',15,4.8', ',55,4.8'),
    ),
  )
  await bringIn(page, { market: 'Marrowgate' })
  await page.getByRole('link', { name: /^Finds/ }).click()
  await page.getByRole('button', { name: /^Brisk/ }).click()
  await page.getByRole('button', { name: /1 new,\s+0 gone$/ }).click()
  await expect(page.getByRole('button', { name: 'Bee hotel 20 cm' })).toBeVisible()
})

test('listings of one item unfold; one that is not the same is set apart, and put back', async ({ page }) => {
  await loadDemo(page)
  await page
    .getByRole('button', { name: /▸ [2-9] listings/ })
    .first()
    .click()
  await expect(page.locator('.find .one').first()).toContainText('delivered')
  await page.locator('.find').first().dblclick()
  const joined = page.locator('article').filter({ hasText: 'Are these the same goods?' })
  const before = Number(/\d+/.exec((await joined.locator('p').first().textContent()) ?? '')?.[0])
  expect(before).toBeGreaterThan(1)
  await joined.getByRole('button', { name: 'Show them, and why' }).click()
  await expect(joined.getByText('the item is known by it')).toBeVisible()
  await joined.getByRole('button', { name: 'Not the same' }).last().click()
  await expect(joined).toContainText(`${before - 1} listing`, { timeout: 60_000 })
  await expect(joined.getByText('Set apart by you')).toBeVisible()
  await joined.getByRole('button', { name: 'Put back' }).click()
  await expect(joined).toContainText(`${before} listings joined`, { timeout: 60_000 })
  await expect(joined.getByText('Set apart by you')).toHaveCount(0)
})

test('what was judged by eye is kept', async ({ page }) => {
  await loadDemo(page)
  await page.locator('.find').first().dblclick()
  const judge = page.getByRole('region', { name: 'Judgement' })
  await judge.getByLabel('Easy to show').check()
  await judge.getByLabel('Fragile').check()
  await page.reload()
  await expect(judge.getByLabel('Easy to show')).toBeChecked({ timeout: 60_000 })
  await expect(judge.getByLabel('Fragile')).toBeChecked()
  await expect(judge.getByLabel('Bulky')).not.toBeChecked()
})
