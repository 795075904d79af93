import { expect, test, type Page } from '@playwright/test'
import { bringIn, chooseFiles, go, loadDemo, look, small, textFile } from './steps'

const stores = (page: Page) => page.getByRole('grid', { name: 'Stores' })
const store = (page: Page, name: string) => page.getByRole('region', { name: `Store ${name}` })

test('stores stand by age and sales; one opens with what made its money, and leads to its items and back', async ({
  page,
}) => {
  await loadDemo(page)
  await page.keyboard.press('5')
  const status = page.getByRole('status').filter({ hasText: 'worth a study' })
  await expect(status).toContainText(/^2\d\d of 2\d\d stores, 5 worth a study/)
  // the corner by its fields, and by keys
  await page.getByLabel('Least sales since it opened').fill('20000')
  await page.getByLabel('Least sales since it opened').press('Enter')
  await expect(status).toContainText('1 worth a study')
  const corner = page.getByRole('slider', { name: 'Corner of the criteria' })
  await corner.focus()
  await page.keyboard.press('ArrowLeft')
  await expect(page.getByLabel('Most months since it opened')).toHaveValue('35')
  await page.getByText('Only these').click()
  await expect(stores(page).getByRole('row')).toHaveCount(2)
  const name = (await stores(page).getByRole('gridcell').first().textContent()) ?? ''
  await stores(page).getByRole('row').nth(1).click()
  await expect(store(page, name)).toContainText('make four fifths of the units of 30 days')
  await store(page, name).getByRole('button', { name: 'Its items in Finds' }).click()
  await expect(page.getByTitle(`Lift the limit store ${name}`)).toBeVisible()
  await go(page, 'Rivals')
  await expect(store(page, name)).toBeVisible()
  await store(page, name).getByRole('button').nth(1).click()
  await expect(page.getByRole('region', { name: 'Answers' })).toBeVisible()
})

test('what a list of stores states stands beside what its listings sum to; both by keyboard', async ({ page }) => {
  await small(page)
  await go(page, 'Gather')
  const list = 'Market,Store,Sales,Live listings,Store since\nMarrowgate,Far Rail,25000,300,2025-01-10\n'
  await chooseFiles(page, textFile('stores.csv', list))
  await bringIn(page)
  await expect(page.getByRole('region', { name: 'Ledger' }).getByText('stores.csv')).toBeVisible()
  await go(page, 'Rivals')
  await expect(stores(page).getByRole('row').nth(1)).toContainText('Far Rail')
  // the Row counts those that only a list names, as the page does
  await expect(page.getByRole('link', { name: /^Rivals/ })).toContainText('5 stores')
  await expect(page.getByRole('status').filter({ hasText: 'worth a study' })).toContainText('of 5 stores')
  await stores(page).focus()
  await page.keyboard.press('j')
  await expect(store(page, 'Far Rail')).toContainText('Not known: no listing of it says what it sold.')
  await expect(store(page, 'Far Rail').getByRole('row', { name: /^Lifetime sales/ })).toContainText('25,000')
  await expect(store(page, 'Far Rail').getByRole('button', { name: 'Its items in Finds' })).toBeDisabled()
  await page.keyboard.press('j')
  await expect(page.getByRole('region', { name: /^Store / })).not.toContainText('Far Rail')
  await page.getByLabel('Search stores').fill('far')
  await expect(stores(page).getByRole('row')).toHaveCount(2)
  await expect(look(page)).toHaveCount(0)
})
