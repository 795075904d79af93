import { expect, test, type Page } from '@playwright/test'
import { bringIn, chooseFiles, chooseOption, findRow, look, small, textFile } from './steps'

/** Nothing is decided by accident: each of these once did what nobody meant. */

const strip = (page: Page) => page.getByText(/^sheaf, \d+ kept/)
const found = (page: Page) => page.locator('.finds').getByRole('status').locator('b')

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
  const sorted = page.getByRole('combobox', { name: 'Sorted by' })
  await chooseOption(sorted, /^Price/)
  await page.getByRole('button', { name: /^Fresh and rising/ }).click()
  await expect(sorted).toHaveText(/Growth/)
  await page.getByRole('button', { name: 'Lift all limits' }).first().click()
  await expect(sorted).toHaveText(/Price/)
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
  await expect(form.getByRole('combobox', { name: 'Source' })).toHaveText(/Farholt/)
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

async function bringBarred(page: Page): Promise<void> {
  const barred =
    'Market,What,Sort,Status\nMarrowgate,bird bath,phrase,Not allowed\nMarrowgate,Garden/Hooks,category,not restricted\n'
  await chooseFiles(page, textFile('restricted.csv', barred))
  await bringIn(page)
  await expect(page.getByRole('region', { name: 'Ledger' }).getByText('restricted.csv')).toBeVisible()
}

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
  await bringBarred(page)
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
