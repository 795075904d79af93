import { expect, test, type Page } from '@playwright/test'
import { bringIn, chooseFiles, findRow, go, textFile } from './steps'

/** What titles teach of words is shown, can be forgotten, and the joins follow at once. */

const woods = ['Oak', 'Pine', 'Ash']
const file = [
  'Item ID,Title,Seller,Price (EUR),Units sold last 30 days,EAN',
  ...woods.flatMap((wood, i) => [
    `${2 * i + 1},Carved rustic patio trough ${wood},Store A,20.00,5,${codes(i)}`,
    `${2 * i + 2},Carved rustic patio flower box ${wood},Store B,21.00,4,${codes(i)}`,
  ]),
  '7,Carved rustic patio trough Teak,Store C,20.00,3,',
  '8,Carved rustic patio flower box Teak,Store D,20.00,3,',
].join('\n')

/** Numbers of a range kept for use inside a shop, with their check digit. */
function codes(i: number): string {
  const body = `29000000000${i + 1}`
  const sum = [...body].reduce((s, d, at) => s + Number(d) * (at % 2 === 0 ? 1 : 3), 0)
  return body + String((10 - (sum % 10)) % 10)
}
const items = (page: Page) => page.locator('.finds').getByRole('status').locator('b')

test('words that barcodes show to mean the same join others; forgetting them parts those, and undo brings it back', async ({
  page,
}) => {
  await page.goto('/')
  await chooseFiles(page, textFile('troughs.csv', file))
  await bringIn(page, { market: 'Marrowgate' })
  await go(page, 'Finds')
  // four woods: the one without a barcode is joined by what the three others show
  await expect(items(page)).toHaveText('4')
  await page.getByRole('link', { name: 'Settings' }).click()
  const taught = page.getByRole('region', { name: 'What titles taught' })
  await expect(taught.getByRole('row').nth(1)).toContainText('3 barcodes')
  await expect(taught.getByRole('row').nth(1)).toContainText(/Carved rustic patio trough (Oak|Pine|Ash)/)
  await taught.getByRole('button', { name: /^Forget same: box flower \/ trough/ }).click()
  await expect(taught.getByRole('button', { name: /^Believe/ })).toBeEnabled()
  await go(page, 'Finds')
  await expect(items(page)).toHaveText('5')
  await page.reload()
  await expect(items(page)).toHaveText('5')
  await page.getByRole('link', { name: 'Settings' }).click()
  await taught.getByRole('button', { name: /^Believe/ }).click()
  await expect(taught.getByRole('button', { name: /^Forget/ })).toBeEnabled()
  await page.keyboard.press('Control+z')
  await expect(taught.getByRole('button', { name: /^Believe/ })).toBeEnabled()
  await taught.getByRole('button', { name: /^Believe/ }).click()
  await go(page, 'Finds')
  await expect(items(page)).toHaveText('4')
})

test('two listings set apart by hand teach that a word sets apart', async ({ page }) => {
  const loose = [
    'Item ID,Title,Seller,Price (EUR),Units sold last 30 days',
    ...['willow', 'rattan', 'seagrass'].flatMap((stuff, i) => [
      `${2 * i + 1},Laundry basket ${stuff},Store A,30.00,5`,
      `${2 * i + 2},Laundry basket ${stuff} scented,Store B,31.00,4`,
    ]),
  ].join('\n')
  await page.goto('/')
  await chooseFiles(page, textFile('baskets.csv', loose))
  await bringIn(page, { market: 'Marrowgate' })
  await go(page, 'Finds')
  await expect(items(page)).toHaveText('3')
  const joined = page.locator('article').filter({ hasText: 'Are these the same goods?' })
  for (const stuff of ['willow', 'rattan']) {
    await findRow(page, `Laundry basket ${stuff}`).first().dblclick()
    await joined.getByRole('button', { name: 'Show them, and why' }).click()
    await joined.getByRole('button', { name: 'Not the same' }).click()
    await expect(joined.getByText('Set apart by you')).toBeVisible()
    await go(page, 'Finds')
  }
  // what was said of two holds for the third
  await expect(items(page)).toHaveText('6')
  await page.getByRole('link', { name: 'Settings' }).click()
  const taught = page.getByRole('region', { name: 'What titles taught' })
  await expect(taught).toContainText('scented sets apart')
  await expect(taught).toContainText('you, 2 times')
})
