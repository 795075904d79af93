import { expect, test } from '@playwright/test'
import { loadDemo } from './steps'

test('a design goes on several blanks at once, with its margin on each, and becomes drafts', async ({ page }) => {
  await loadDemo(page)
  await page.getByRole('link', { name: /^Supply/ }).click()
  await page.getByRole('button', { name: 'Made to order' }).click()
  await page.getByRole('textbox', { name: 'Name of a design' }).fill('Robin in the ivy')
  await page.getByRole('button', { name: 'Add it' }).click()
  const table = page.getByRole('table', { name: 'Blanks' })
  const row = (blank: string) => table.getByRole('row').filter({ hasText: blank })
  for (const blank of ['Mug, white, 330 ml', 'Tote bag, natural cotton']) {
    await page.getByRole('checkbox', { name: `On ${blank}` }).click()
    await expect(row(blank)).toContainText('25 %')
  }
  // 4.60 and 2.20 and 3.90; a second print is 2.20 more
  await expect(row('Tote bag, natural')).toContainText('10.70')
  await page.getByRole('textbox', { name: 'Prints on Tote bag, natural cotton' }).fill('2')
  await page.keyboard.press('Enter')
  await expect(row('Tote bag, natural')).toContainText('12.90')
  // what is set by hand holds until the margin says it again
  await page.getByRole('textbox', { name: 'Price of Mug, white, 330 ml' }).fill('16.50')
  await page.keyboard.press('Enter')
  await expect(row('Mug, white')).not.toContainText('25 %')
  await row('Mug, white').getByRole('button', { name: 'by margin' }).click()
  await expect(row('Mug, white')).toContainText('25 %')
  // it is compared with what printed goods like it sell for
  await expect(row('Mug, white')).toContainText(/\d+ with “mug”, from \d+\.\d\d, middle \d+\.\d\d/)
  await page.getByRole('button', { name: 'Draft 2 listings' }).click()
  await page.getByRole('link', { name: /^Launch/ }).click()
  await expect(page.getByText('Robin in the ivy tote bag')).toBeVisible()
  await expect(page.getByText(/Drafted from a design/)).toBeVisible()
})
