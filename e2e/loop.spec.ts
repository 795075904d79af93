import { expect, test, type Page } from '@playwright/test'
import { loadDemo } from './steps'

/** The loop that a seller walks: broad term, best branch, its items, one of them closely, its seller's other items, and on. */

const full = (page: Page) => page.getByRole('region', { name: 'Answers' })
const trail = (page: Page) => page.getByRole('navigation', { name: 'Trail' }).getByRole('listitem')
const items = (page: Page) => page.getByText(/of 1,8\d\d items/)

/** The tree is of the word's items alone, no longer of all seven thousand listings. */
const narrowed = (page: Page) =>
  expect(page.getByRole('button', { name: /^All categories/ })).not.toHaveAccessibleName(/of [67],\d{3} listings/)

test('the loop by mouse; the Trail keeps every stop, through a reload too, and leads back', async ({ page }) => {
  page.setDefaultTimeout(60_000)
  await loadDemo(page)
  await page.getByRole('link', { name: /^Demand/ }).click()
  await page.getByLabel('A broad word').fill('planter')
  await narrowed(page)
  await expect(page.getByText(/^[\d,]+ of [\d,]+ listings sold in 30 days/)).toBeVisible()
  await page.getByRole('button', { name: /^To / }).click()
  await expect(trail(page)).toHaveCount(1)
  const branch = await page.getByRole('navigation', { name: 'Branch' }).getByRole('button').last().textContent()
  await page
    .getByRole('button', { name: /items in Finds$/ })
    .first()
    .click()
  await page.waitForURL('**/finds')
  await expect(items(page)).not.toHaveText(/^1,8/)
  await expect(page.getByTitle(new RegExp(`Lift the limit ${branch ?? '?'}`))).toBeVisible()
  await page
    .locator('.find')
    .filter({ hasText: /[3-9] listings/ })
    .first()
    .dblclick()
  await expect(full(page)).toContainText('Is it really selling?')
  const title = await page.getByRole('heading', { level: 1 }).textContent()
  const store = full(page)
    .getByTitle(/^All that .* sells$/)
    .first()
  const name = await store.textContent()
  await store.click()
  await page.waitForURL('**/rivals/store**')
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(name?.trim() ?? '?')
  await page
    .getByRole('table', { name: 'Best sellers' })
    .getByRole('button')
    .filter({ hasNotText: title ?? '?' })
    .first()
    .click()
  await expect(full(page)).toBeVisible()
  const kinds = ['category', 'finds', 'item', 'store', 'item']
  await expect(trail(page)).toHaveCount(kinds.length)
  await page.reload()
  await expect(full(page)).toBeVisible({ timeout: 60_000 })
  for (const [i, kind] of kinds.entries())
    await expect(trail(page).nth(i).getByRole('button')).toHaveAttribute('title', new RegExp(`^${kind}: `))
  // Back to the first item, and another way from there: a branch of the Trail.
  await trail(page).nth(2).getByRole('button').click()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(title ?? '?')
  await full(page)
    .getByTitle(/^All that .* sells$/)
    .nth(1)
    .click()
  await expect(trail(page)).toHaveCount(kinds.length + 1)
  await expect(trail(page).locator('.side')).toHaveCount(1)
})

test('the loop by keyboard alone', async ({ page }) => {
  await loadDemo(page)
  const press = async (...keys: string[]) => {
    for (const key of keys) await page.keyboard.press(key)
  }
  await press('3')
  await expect(page.getByRole('group', { name: /^Categories, broad/ })).toBeVisible()
  await press('/')
  await page.keyboard.type('feeder')
  await narrowed(page)
  await expect(page.getByText(/^[\d,]+ of [\d,]+ listings sold in 30 days/)).toBeVisible()
  await press('Enter', 'b')
  await expect(trail(page)).toHaveCount(1)
  await press('i')
  await page.waitForURL('**/finds')
  await expect(items(page)).not.toHaveText(/^1,8/)
  await press('ArrowDown')
  await expect(page.getByRole('region', { name: 'Close look' })).toBeVisible()
  await press('Enter')
  await expect(full(page)).toContainText('Who sells it?')
  await expect(
    full(page)
      .getByTitle(/^All that .* sells$/)
      .first(),
  ).toBeVisible()
  await press('s')
  await page.waitForURL('**/rivals/store**')
  await expect(page.getByRole('table', { name: 'Best sellers' })).toBeVisible()
  await press('ArrowDown', 'Enter')
  await page.waitForURL('**/finds/item/**')
  await expect(full(page)).toContainText('Who sells it?')
  await press('k')
  await expect(page.getByText('sheaf, 1 kept')).toBeVisible()
  await expect(trail(page).last()).toContainText('kept')
})

test('a term opens with its year, its places and what sells under it; a second one stands beside it', async ({
  page,
}) => {
  await loadDemo(page)
  await page.getByRole('link', { name: /^Demand/ }).click()
  await page.getByLabel('A term by name').fill('peanut feeder')
  await page.getByText('peanut feeder · Marrowgate', { exact: true }).click()
  const terms = page.getByRole('region', { name: 'Search terms' })
  await expect(terms.getByRole('heading', { name: 'peanut feeder' })).toBeVisible()
  await expect(terms.getByRole('img', { name: /^Searches by month/ })).toBeVisible()
  await expect(page.locator('.n-message')).toHaveCount(0)
  // A cold-season thing of the made-up world: its truth peaks in the middle of January.
  await expect(terms.getByText(/^Strong in January/)).toBeVisible()
  await expect(terms.getByText('Northern isles')).toBeVisible()
  await terms.getByRole('button', { name: 'beside' }).first().click()
  await expect(terms.getByRole('heading', { name: 'Two wordings' })).toBeVisible()
  await expect(terms.getByRole('row', { name: /^Of them sold, 30 days/ })).toBeVisible()
  await terms.getByRole('button', { name: 'Back to one' }).click()
  await terms.getByLabel('Beside another wording').fill('nut feeder')
  await page.getByText('nut feeder · Marrowgate', { exact: true }).click()
  await expect(terms.getByText(/sells through better/)).toBeVisible()
  await expect(page.locator('.n-message')).toHaveCount(0)
  await terms.getByRole('button', { name: 'Back to one' }).click()
  await terms.getByRole('button', { name: /items in Finds$/ }).click()
  await page.waitForURL('**/finds')
  await expect(page.getByTitle('Lift the limit sells under “peanut feeder”')).toBeVisible()
})
