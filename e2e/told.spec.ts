import { expect, test, type Page } from '@playwright/test'
import { bringIn, chooseFiles, findRow, loadDemo, look, small, textFile, textOf } from './steps'

/** Nothing wrong untold: what a figure rests on, how old it is, where it is to be found. */

const found = (page: Page) => page.locator('.finds').getByRole('status').locator('b')

test('a profit before any fee is entered counts assumed fees and says so, wherever it stands', async ({ page }) => {
  await small(page)
  // by hand: hooks at the lowest 12.90: 15 % are 1.94, 3 % are 0.39 (each rounded half up), goods 3.20: 7.37 are left
  const row = findRow(page, 'Balcony hook')
  await expect(row).toContainText('+7.37')
  await expect(row.getByRole('img', { name: 'assumed' })).toBeVisible()
  await expect(page.getByText('○ fees assumed on Marrowgate')).toBeVisible()
  await row.click()
  await expect(look(page)).toContainText('Assumed ○: fees of 15 % for the market and 3 % for payment')
  await look(page).getByRole('button', { name: /^Keep/ }).click()
  await expect(page.getByText('if sales are shared evenly, with what is assumed')).toBeVisible()
  await page.getByRole('link', { name: /^Sheaves/ }).click()
  await expect(page.getByRole('table', { name: 'Decisions' }).getByRole('img', { name: 'assumed' })).toBeVisible()
  await page.getByRole('link', { name: /^Margin/ }).click()
  await expect(page.locator('[data-test=profit]').getByRole('img', { name: 'assumed' })).toBeVisible()
  await expect(page.getByRole('region', { name: 'Cost sheet' })).toContainText('no fees are entered for Marrowgate')
  await page.getByRole('button', { name: 'Fees of Marrowgate …' }).click()
  await page.getByRole('button', { name: 'It takes none' }).click()
  await expect(page.getByText('Marrowgate takes no fees, as you said.')).toBeVisible()
  await page.keyboard.press('Escape')
  // 12.89 − 3.20
  await expect(page.locator('[data-test=profit]')).toContainText('+9.69')
  await page.getByRole('link', { name: /^Sheaves/ }).click()
  await expect(page.getByRole('table', { name: 'Decisions' })).toContainText('+9.70')
  await expect(page.getByRole('table', { name: 'Decisions' })).toContainText('+7.37 when decided')
})

test('everything by name finds what is gathered, and opens it', async ({ page }) => {
  await loadDemo(page)
  const palette = page.getByRole('dialog', { name: 'Everything by name' })
  const option = (name: RegExp) => palette.getByRole('option', { name }).first()
  async function type(words: string) {
    await page.keyboard.press('Control+k')
    await expect(palette.getByLabel('Name')).toBeFocused()
    await page.keyboard.type(words)
  }
  await type('peanut feeder')
  await expect(option(/item$/)).toBeVisible()
  await option(/term, Marrowgate$/).click()
  await expect(
    page.getByRole('region', { name: 'Search terms' }).getByRole('heading', { name: /peanut feeder/ }),
  ).toBeVisible()
  await type('Garden Birds')
  await option(/category$/).click()
  await page.waitForURL('**/finds')
  await expect(page.getByTitle('Lift the limit Birds')).toBeVisible()
  await type('Gavelhop market')
  await option(/market$/).click()
  await expect(page.getByTitle('Lift the limit Gavelhop')).toBeVisible()
  await type('fees of Gavel')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('dialog', { name: 'Fees of Gavelhop' })).toBeVisible()
  await page.keyboard.press('Escape')
  await type('nut feeder')
  await option(/item$/).click()
  await expect(page.getByRole('region', { name: 'Answers' })).toBeVisible()
  const store = await page
    .getByTitle(/^All that .* sells$/)
    .first()
    .textContent()
  await type(store?.trim() ?? '?')
  await option(/store, /).click()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(store?.trim() ?? '?')
})

test('the file of finds has barcode and address; a listing is opened in a new tab that knows nothing of this one', async ({
  page,
  context,
}) => {
  const csv = `Item ID,Title,Price (EUR),Units sold last 30 days,EAN,Listing URL,Category
B1,"Nest box, oak",19.00,7,4006381333931,https://marrowgate.example/b1,Garden/Birds
B2,Nest box felt,9.00,2,,javascript:alert(1),Garden / Birds
`
  await page.goto('/')
  await chooseFiles(page, textFile('market.csv', csv))
  await bringIn(page, { market: 'Marrow|gate' })
  await page.getByRole('link', { name: /^Finds/ }).click()
  await expect(page.getByText('of 2 items')).toBeVisible()
  // a name that holds the mark of lists is one name, and both ways of writing a category are one category
  const side = page.getByRole('complementary')
  await side.getByRole('group', { name: 'Markets' }).getByText('Marrow|gate', { exact: true }).click()
  await expect(found(page)).toHaveText('2')
  await expect(side.getByRole('group', { name: 'Categories' }).getByRole('checkbox')).toHaveCount(1)
  await side.getByRole('group', { name: 'Categories' }).getByText('Garden', { exact: true }).click()
  await expect(found(page)).toHaveText('2')
  const file = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Export' }).click()
  await page.getByRole('button', { name: 'CSV' }).click()
  const text = await textOf(await file)
  expect(text).toContain('"4006381333931","https://marrowgate.example/b1"')
  expect(text).not.toContain('javascript')

  await findRow(page, 'oak').click()
  const link = look(page).getByRole('link', { name: 'Open its listing: Nest box, oak' })
  await expect(link).toHaveAttribute('rel', 'noopener noreferrer')
  await context.route('https://marrowgate.example/**', (route) =>
    route.fulfill({ contentType: 'text/html', body: '<title>There</title>' }),
  )
  const opened = context.waitForEvent('page')
  await link.click()
  const there = await opened
  await expect(there).toHaveTitle('There')
  expect(await there.evaluate(() => [window.opener as unknown, document.referrer])).toEqual([null, ''])
  await findRow(page, 'felt').click()
  await expect(look(page).getByRole('heading', { name: 'Nest box felt' })).toBeVisible()
  await expect(look(page).getByRole('link')).toHaveText(['All of them, in Supply'])
})

test('old figures carry a warning of their age, fresh ones none; counts stand before right words', async ({ page }) => {
  await loadDemo(page)
  await expect(page.locator('.finds').getByText(/(?:days|months?|years?|year) old$/)).toBeVisible()
  await page.locator('.find').first().dblclick()
  await expect(page.getByRole('region', { name: 'Answers' }).getByText(/ old$/).first()).toBeVisible()
  await page.getByRole('link', { name: /^Gather/ }).click()
  const today = new Date().toISOString().slice(0, 10)
  await chooseFiles(
    page,
    textFile(
      'own.csv',
      'SKU,My title,My price (EUR),EAN,Stock\nO1,Bird bath,20.00,4006381333931,3\nO2,Nest box,9.00,,4\n',
    ),
  )
  const review = page.getByRole('region', { name: 'Import' })
  await expect(review).toBeVisible()
  await bringIn(page, { market: 'Marrowgate' })
  const row = page.getByRole('region', { name: 'Ledger' }).getByRole('row').filter({ hasText: 'own.csv' })
  await expect(row).toContainText(today)
  await expect(row.getByText(/ old$/)).toHaveCount(0)
  await page.getByRole('link', { name: /^Today/ }).click()
  await expect(page.getByRole('region', { name: 'Jobs done' })).toContainText('2 items of your own')
})
