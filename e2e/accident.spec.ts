import { expect, test, type Page } from '@playwright/test'
import { bringIn, chooseFiles, findRow, listingsCsv, loadDemo, offersCsv, textFile } from './steps'

/** Nothing is decided by accident: each of these once did what nobody meant. */

const look = (page: Page) => page.getByRole('region', { name: 'Close look' })
const strip = (page: Page) => page.getByText(/^sheaf, \d+ kept/)
const found = (page: Page) => page.locator('.finds').getByRole('status').locator('b')

async function small(page: Page): Promise<void> {
  await page.goto('/')
  await chooseFiles(page, [textFile('market.csv', listingsCsv), textFile('supplier.csv', offersCsv)])
  await bringIn(page, { market: 'Marrowgate' })
  await expect(page.getByRole('heading', { name: 'supplier.csv' })).toBeVisible()
  await bringIn(page, { supplier: 'Sill Mill' })
  await expect(page.getByRole('region', { name: 'Ledger' }).getByText('supplier.csv')).toBeVisible()
  await page.getByRole('link', { name: /^Finds/ }).click()
  await expect(page.getByText('of 3 items')).toBeVisible()
}

test('typing a name decides nothing: what opens takes the focus and gives it back', async ({ page }) => {
  await small(page)
  await findRow(page, 'bird bath').click()
  await expect(look(page).getByRole('heading', { name: /bird bath/i })).toBeVisible()
  await page.getByRole('button', { name: /^Limit of Units, 30 d/ }).click()
  await expect(page.getByLabel('Units, 30 d from')).toBeFocused()
  await page.keyboard.type('5')
  await page.keyboard.press('Enter')
  await expect(found(page)).toHaveText('2')
  await page.getByRole('button', { name: 'Keep as a Cut' }).click()
  await expect(page.getByLabel('Name of the Cut')).toBeFocused()
  await page.keyboard.type('hold dark')
  await expect(page.getByLabel('Name of the Cut')).toHaveValue('hold dark')
  await page.keyboard.press('Escape')
  await expect(page.getByRole('button', { name: 'Keep as a Cut' })).toBeFocused()
  // letters on a button outside the list and the look are nobody's
  await page.keyboard.press('h')
  await page.keyboard.press('d')
  await expect(strip(page)).toHaveText(/0 kept · 0 held · 0 dropped/)
  await expect(look(page)).toBeVisible()
  await findRow(page, 'bird bath').click()
  await page.keyboard.press('h')
  await expect(strip(page)).toHaveText(/0 kept · 1 held · 0 dropped/)
})

test('a name that a Cut cannot have is refused in words, at the field', async ({ page }) => {
  await small(page)
  await page.getByPlaceholder(/^Words in titles/).fill('hook')
  await page.getByRole('button', { name: 'Keep as a Cut' }).click()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('alert')).toHaveText('This Cut cannot be read: name is missing.')
  await page.keyboard.type('x'.repeat(81))
  await page.keyboard.press('Enter')
  await expect(page.getByRole('alert')).toHaveText('This Cut cannot be read: name is longer than 80 letters.')
  await page.keyboard.press('Escape')
  await expect(page.getByRole('button', { name: /^xxx/ })).toHaveCount(0)
})

test('a limit or a Cut that hides the item closes its look; what is not seen is not decided', async ({ page }) => {
  await small(page)
  await findRow(page, 'Kneeling pad').click()
  await expect(look(page).getByRole('heading', { name: /Kneeling/ })).toBeVisible()
  await page.getByPlaceholder(/^Words in titles/).fill('hook')
  await expect(found(page)).toHaveText('1')
  await expect(look(page)).toHaveCount(0)
  await page.keyboard.press('Escape')
  await page.locator('.grid').press('h')
  await expect(strip(page)).toHaveText(/0 kept · 0 held · 0 dropped/)
  await page.getByRole('button', { name: 'Lift all limits' }).click()
  await findRow(page, 'Kneeling pad').click()
  await page.getByRole('button', { name: /^To promote in clips/ }).click()
  await expect(look(page)).toHaveCount(0)
})

test('a half-typed limit limits nothing, one upside down is refused, and lifting all brings the own order back', async ({
  page,
}) => {
  await small(page)
  const limit = page.getByRole('button', { name: /^Limit of Units, 30 d/ })
  await limit.click()
  await page.getByLabel('Units, 30 d from').fill('20')
  await page.getByRole('heading', { name: 'Finds' }).click()
  await expect(page.getByLabel('Units, 30 d from')).toHaveCount(0)
  await expect(limit).toHaveText('any')
  await expect(found(page)).toHaveText('3')
  await limit.click()
  await page.getByLabel('Units, 30 d from').fill('50')
  await page.getByLabel('Units, 30 d to').fill('20')
  await page.getByRole('button', { name: 'Set the limit' }).click()
  await expect(page.getByRole('alert')).toHaveText('From lies above to: exchange them.')
  await expect(found(page)).toHaveText('3')
  await page.getByLabel('Units, 30 d to').fill('70')
  await page.getByLabel('Units, 30 d to').press('Enter')
  await expect(limit).toHaveText('50–70')
  await expect(found(page)).toHaveText('1')
  await expect(limit).toBeFocused()

  await page.getByRole('button', { name: 'Lift all limits' }).click()
  const sorted = page.getByLabel('Sorted by')
  await sorted.selectOption('price')
  await page.getByRole('button', { name: /^Fresh and rising/ }).click()
  await expect(sorted).toHaveValue('growth')
  await page.getByRole('button', { name: 'Lift all limits' }).first().click()
  await expect(sorted).toHaveValue('price')
})

test('eight strips lie within the pane, beside an open look too', async ({ page }) => {
  await small(page)
  await page.getByRole('button', { name: 'Strips and columns' }).click()
  const strips = page.getByRole('region', { name: /^Strips/ })
  for (const name of ['Sellers', 'Reviews']) await strips.getByLabel(name, { exact: true }).click()
  await expect(strips.getByLabel('Sales rank', { exact: true })).toBeDisabled()
  await page.keyboard.press('Escape')
  await findRow(page, 'bird bath').click()
  await expect(look(page)).toBeVisible()
  const pane = (await page.getByRole('region', { name: 'Comb' }).boundingBox())!
  const drawn = page.getByRole('img', { name: /^Distribution of/ })
  await expect(drawn).toHaveCount(8)
  for (const svg of await drawn.all()) {
    const box = (await svg.boundingBox())!
    expect([box.x >= pane.x, box.x + box.width <= pane.x + pane.width + 0.5]).toEqual([true, true])
  }
})

test('a scan begins without limits, and offers those of the last one by name', async ({ page }) => {
  await page.goto('/gather')
  const form = page.getByRole('form', { name: 'Scan a source' })
  await expect(form.getByLabel('Source')).toHaveValue('farholt')
  await form.getByRole('button', { name: 'Limits', exact: true }).click()
  await page.getByLabel('Price from').fill('12')
  await page.getByLabel('Price from').press('Enter')
  await page.keyboard.press('Escape')
  await expect(form).toContainText('Only price from 12.')
  await form.getByLabel('What to look for').fill('peanut feeder')
  await form.getByRole('button', { name: 'Scan', exact: true }).click()
  await expect(page.getByRole('region', { name: 'Scans' }).getByRole('row').nth(1)).toContainText('done')
  await expect(form).toContainText('The last scan took only price from 12.')
  await expect(form).not.toContainText('Only price')
  await form.getByRole('button', { name: 'The same again' }).click()
  await expect(form).toContainText('Only price from 12.')
})

test('a profit before any fee is entered counts assumed fees and says so, wherever it stands', async ({ page }) => {
  await small(page)
  // by hand: hooks at the lowest 12.90: 15 % are 1.94, 3 % are 0.39 (each rounded half up), goods 3.20: 7.37 are left
  const row = findRow(page, 'Balcony hook')
  await expect(row).toContainText('+7.37')
  await expect(row.getByRole('img', { name: 'assumed' })).toBeVisible()
  await expect(page.getByText('○ fees assumed on Marrowgate')).toBeVisible()
  await row.click()
  await expect(look(page)).toContainText('Fees of Marrowgate are assumed ○: 15 % for the market and 3 % for payment')
  await look(page).getByRole('button', { name: /^Keep/ }).click()
  await expect(page.getByText('if sales are shared evenly, fees assumed')).toBeVisible()
  await page.getByRole('link', { name: /^Sheaves/ }).click()
  await expect(page.getByRole('region', { name: 'Decisions' }).getByRole('img', { name: 'assumed' })).toBeVisible()
  await page.getByRole('link', { name: /^Margin/ }).click()
  await expect(page.locator('[data-test=profit]').getByRole('img', { name: 'assumed' })).toBeVisible()
  await expect(page.getByRole('region', { name: 'Cost sheet' })).toContainText('no fees are entered for Marrowgate')
  await page.getByRole('button', { name: 'Fees of Marrowgate …' }).click()
  await page.getByRole('button', { name: 'It takes none' }).click()
  await expect(page.getByText('Marrowgate takes no fees, as you said.')).toBeVisible()
  await page.keyboard.press('Escape')
  // 12.89 − 3.20
  await expect(page.locator('[data-test=profit]')).toHaveText('+9.69')
  await page.getByRole('link', { name: /^Sheaves/ }).click()
  await expect(page.getByRole('region', { name: 'Decisions' })).toContainText('+9.70')
  await expect(page.getByRole('region', { name: 'Decisions' })).toContainText('+7.37 when decided')
})

test('drafts follow costs and fees, dropped and restricted items do not leave as ready, and all of it can be taken back', async ({
  page,
}) => {
  await small(page)
  for (const words of ['Balcony hook', 'bird bath']) {
    await findRow(page, words).click()
    await look(page).getByRole('button', { name: /^Keep/ }).click()
  }
  await page.getByRole('button', { name: 'Draft listings' }).click()
  await page.getByRole('button', { name: /^Draft 2 kept items/ }).click()
  const drafts = page.getByRole('region', { name: 'Drafts' })
  const hooks = drafts.getByRole('row').filter({ hasText: 'hook' })
  await expect(hooks).toContainText('ready')
  const before = await hooks.getByRole('cell').nth(3).textContent()

  await page.getByRole('link', { name: /^Margin/ }).click()
  await page.getByLabel('Postage out').fill('2.00')
  await page.getByLabel('Postage out').press('Enter')
  await page.getByRole('button', { name: 'Fees of Marrowgate …' }).click()
  await page.getByRole('button', { name: 'It takes none' }).click()
  await page.keyboard.press('Escape')
  await page.getByRole('link', { name: /^Launch/ }).click()
  // 12.89 − 3.20 − 2.00, without fees
  await expect(hooks).toContainText('+7.69')

  // fees and costs are steps like any other
  await page.keyboard.press('Control+z')
  await page.keyboard.press('Control+z')
  await expect(hooks.getByRole('cell').nth(3)).toHaveText(before ?? '')
  await page.keyboard.press('Control+y')
  await expect(hooks.getByRole('cell').nth(3)).not.toHaveText(before ?? '')
  await page.keyboard.press('Control+z')

  await page.getByRole('link', { name: /^Gather/ }).click()
  const barred =
    'Market,What,Sort,Status\nMarrowgate,bird bath,phrase,Not allowed\nMarrowgate,Garden/Hooks,category,not restricted\n'
  await chooseFiles(page, textFile('restricted.csv', barred))
  await bringIn(page)
  await expect(page.getByRole('region', { name: 'Ledger' }).getByText('restricted.csv')).toBeVisible()
  await page.getByRole('link', { name: /^Launch/ }).click()
  await expect(drafts.getByRole('row').filter({ hasText: 'bird bath' })).toContainText('not allowed')
  await expect(hooks).toContainText('ready')

  await page.getByRole('link', { name: /^Sheaves/ }).click()
  await page.getByLabel(/^Decision on .*hook/i).selectOption('drop')
  await page.getByRole('link', { name: /^Launch/ }).click()
  await expect(hooks).toContainText('dropped')
  await page.getByRole('button', { name: /^Export 2 as CSV/ }).click()
  const dialog = page.getByRole('dialog')
  await expect(dialog).toContainText('2 drafts not ready')
  await expect(dialog).toContainText('You dropped this item')
  await expect(dialog.getByRole('button', { name: /^Export/ })).toHaveCount(0)
  await dialog.getByRole('button', { name: 'Mend first' }).click()
  await expect(dialog).toHaveCount(0)
  await page.keyboard.press('Control+z')
  await expect(hooks).toContainText('ready')
  const file = page.waitForEvent('download')
  await page.getByRole('button', { name: /^Export 2 as CSV/ }).click()
  await dialog.getByRole('button', { name: 'Export the 1 that is ready' }).click()
  expect(await (await file).path()).toBeTruthy()
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
  await expect(page.getByRole('region', { name: 'Search terms' }).getByRole('heading', { name: /peanut feeder/ })).toBeVisible()
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
  const store = await page.getByTitle(/^All that .* sells$/).first().textContent()
  await type(store?.trim() ?? '?')
  await option(/store, /).click()
  await expect(page.getByTitle(`Lift the limit store ${store?.trim() ?? '?'}`)).toBeVisible()
}) // prettier-ignore

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
  const { textOf } = await import('./steps')
  const text = await textOf(await file)
  expect(text).toContain('"4006381333931","https://marrowgate.example/b1"')
  expect(text).not.toContain('javascript')

  await findRow(page, 'oak').click()
  const link = look(page).getByRole('link', { name: 'Open its listing: Nest box, oak' })
  await expect(link).toHaveAttribute('rel', 'noopener noreferrer')
  await context.route('https://marrowgate.example/**', (route) => route.fulfill({ contentType: 'text/html', body: '<title>There</title>' })) // prettier-ignore
  const opened = context.waitForEvent('page')
  await link.click()
  const there = await opened
  await expect(there).toHaveTitle('There')
  expect(await there.evaluate(() => [window.opener as unknown, document.referrer])).toEqual([null, ''])
  await findRow(page, 'felt').click()
  await expect(look(page).getByRole('heading', { name: 'Nest box felt' })).toBeVisible()
  await expect(look(page).getByRole('link')).toHaveCount(0)
})

test('old figures carry a warning of their age, fresh ones none; counts stand before right words', async ({ page }) => {
  await loadDemo(page)
  await expect(page.locator('.finds').getByText(/(?:days|months?|years?|year) old$/)).toBeVisible()
  await page.locator('.find').first().dblclick()
  await expect(page.getByRole('region', { name: 'Answers' }).getByText(/ old$/).first()).toBeVisible()
  await page.getByRole('link', { name: /^Gather/ }).click()
  const today = new Date().toISOString().slice(0, 10)
  await chooseFiles(page, textFile('own.csv', 'SKU,My title,My price (EUR),EAN,Stock\nO1,Bird bath,20.00,4006381333931,3\nO2,Nest box,9.00,,4\n')) // prettier-ignore
  const review = page.getByRole('region', { name: 'Import' })
  await expect(review).toBeVisible()
  await bringIn(page, { market: 'Marrowgate' })
  const row = page.getByRole('region', { name: 'Ledger' }).getByRole('row').filter({ hasText: 'own.csv' })
  await expect(row).toContainText(today)
  await expect(row.getByText(/ old$/)).toHaveCount(0)
  await page.getByRole('link', { name: /^Today/ }).click()
  await expect(page.getByRole('region', { name: 'Jobs done' })).toContainText('2 items of your own')
})
