import { expect, test } from '@playwright/test'
import { decide, fill, go, small } from './steps'

/** The balcony hook sells at 12.90 and costs 3.20; without fees entered 15 % and 3 % are assumed: 12.90 − 3.20 − 1.94 − 0.39 = 7.37. */
test('what is kept stands under every what-if; one that is changed tells what turns to a loss, and is kept', async ({
  page,
}) => {
  await small(page)
  await decide(page, 'Balcony hook', /^Keep/)
  await go(page, 'Sheaves')
  await page.getByRole('button', { name: 'What if …' }).click()
  const row = page.getByRole('row').filter({ hasText: 'Balcony hook' })
  const cell = (n: number) => row.getByRole('cell').nth(n)
  await expect(cell(1)).toContainText('+7.37')
  await expect(cell(2)).toContainText('+7.37') // paid in euros: no rate moves it
  // 11.61 − 3.20 − 1.74 − 0.35
  await expect(cell(3)).toContainText('+6.32')
  // two points of 12.90 are 0.26
  await expect(cell(4)).toContainText('+7.11')
  // a twentieth of 12.90 is 0.65
  await expect(cell(5)).toContainText('+6.72')
  const losses = page.getByRole('row').filter({ hasText: 'Items at a loss' }).getByRole('cell').nth(3)
  await expect(losses).toHaveText('0 of 1')

  await page.getByRole('button', { name: 'What-ifs …' }).click()
  await fill(page, 'Price in Price war', '-75')
  await page.keyboard.press('Escape')
  // 3.23 − 3.20 − 0.48 − 0.10
  await expect(cell(3)).toContainText('−0.55')
  await expect(losses).toHaveText('1 of 1')

  await row.getByRole('button', { name: /Balcony hook/ }).click()
  const beside = page.getByRole('region', { name: 'What if' })
  await expect(beside.getByRole('row').filter({ hasText: 'Price war' })).toContainText('Price −75 %')
  await expect(beside).toContainText('It turns to a loss, one change alone, at')
  await page.reload()
  await expect(beside.getByRole('row').filter({ hasText: 'Price war' })).toContainText('Price −75 %', {
    timeout: 60_000,
  })
  // the rules stayed as they were: 12.89 − 3.20 − 1.93 − 0.39
  await expect(page.locator('[data-test=profit]')).toContainText('+7.37')
})

test('the margin that I want has a price and a buying price of its own', async ({ page }) => {
  await small(page)
  await decide(page, 'Balcony hook', /^Keep/)
  await go(page, 'Margin')
  await fill(page, 'Margin that I want', '40')
  const row = page
    .getByRole('region', { name: 'What follows' })
    .getByRole('row')
    .filter({ has: page.getByLabel('Margin that I want') })
  // p × (1 − 0.15 − 0.03 − 0.40) = 3.20 at 7.62
  await expect(row.getByRole('cell').nth(1)).toHaveText(/^7\.6[123]$/)
})
