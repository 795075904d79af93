import { expect, test } from '@playwright/test'
import { loadDemo } from './steps'

test('limits by country, origin and channel; a theme of a branch leads to its items; what nobody publishes is estimated', async ({
  page,
}) => {
  await loadDemo(page)
  const side = page.getByRole('complementary')
  const matching = page.locator('.finds').getByRole('status').locator('b')
  await expect(matching).toHaveText(/^1,8\d\d$/)
  const ads = side.getByRole('group', { name: 'Advertised on' }).getByText('short clips')
  const told = Number(await ads.locator('xpath=..').locator('.quiet').textContent())
  await ads.click()
  await expect(matching).toHaveText(String(told))
  await side.getByRole('group', { name: 'Country of the store' }).getByText('IE').click()
  await expect(matching).not.toHaveText(String(told))
  await page.getByTitle('Lift the limit short clips').click()
  await page.getByTitle('Lift the limit IE').click()
  await expect(matching).toHaveText(/^1,8\d\d$/)

  // A limit that has no strip: chosen as one, then set by its field.
  await page.getByRole('button', { name: 'Strips and columns' }).click()
  await page
    .getByRole('region', { name: /^Strips/ })
    .getByLabel('Commission')
    .click()
  await page.getByRole('heading', { name: 'Finds' }).click()
  await page.getByRole('button', { name: /^Limit of Commission/ }).click()
  await expect(page.getByRole('table', { name: /^Items by Commission/ })).toBeAttached()
  await page.getByLabel('Commission from').fill('20')
  await page.getByLabel('Commission from').press('Enter')
  await expect(matching).toHaveText(/^\d{2,3}$/)

  await page.goto('/demand?branch=Paper')
  const themes = page.getByRole('table', { name: 'Themes' })
  await themes.getByRole('button', { name: 'window sill' }).click()
  await page.waitForURL('**/finds')
  await expect(page.getByTitle('Lift the limit sells under “window sill”')).toBeVisible()
  await expect(page.getByTitle('Lift the limit Paper')).toBeVisible()
  await expect(page.locator('.find').first()).toContainText(/window sill/i)

  // It sells well by its rank, which alone is known: its number is one that hides its sales in the made-up world.
  await page.goto(`/finds/item/${encodeURIComponent('Marrowgate/61008112')}`)
  await expect(page.getByText(/does not show what it sells: about \d+ units in 30 days, 80\s%/)).toBeVisible()
  await expect(page.getByText(/By what buyers search for, within 80 letters/)).toBeVisible()
  await page.context().grantPermissions(['clipboard-read', 'clipboard-write'])
  await page.getByRole('button', { name: 'Copy' }).click()
  const title = await page.locator('.cover b').textContent()
  await expect.poll(() => page.evaluate(() => navigator.clipboard.readText())).toBe(title)
  // The same stakes in another colour is drawn alike, and said to be of another colour.
  const joined = page.locator('article').filter({ hasText: 'Are these the same goods?' })
  await joined.getByRole('button', { name: 'Show them, and why' }).click()
  const alike = joined.getByRole('listitem')
  await expect(alike.filter({ hasText: 'picture of another colour' }).first()).toBeVisible()
  await expect(alike.filter({ hasText: 'same picture' }).first()).toBeVisible()
})
