import { expect, test } from '@playwright/test'
import { loadDemo } from './steps'

test('what is posted is limited and sorted; from a clip to its item, and to what a clip would earn me', async ({
  page,
}) => {
  await loadDemo(page)
  await page.keyboard.press('Control+k')
  await page.keyboard.type('What is posted')
  await page.keyboard.press('Enter')
  const table = page.getByRole('table', { name: 'Clips and lives' })
  await expect(table).toBeVisible()
  await page.getByRole('radiogroup', { name: 'Clips or lives' }).getByText('Lives').click()
  await expect(page.getByRole('status').filter({ hasText: /^177 of / })).toBeVisible()
  await expect(page.getByRole('complementary', { name: 'What they come to' })).toContainText('0, 177')
  // each limit leaves fewer, and emptied brings them back
  const count = async () =>
    Number(
      (
        await page
          .getByRole('status')
          .filter({ hasText: / of 1,189/ })
          .textContent()
      )
        ?.split(' of ')[0]
        ?.replace(/\D/g, ''),
    )
  await page.getByRole('radiogroup', { name: 'Clips or lives' }).getByText('All').click()
  await expect(page.getByRole('status').filter({ hasText: /^1,189 of / })).toBeVisible()
  for (const [name, value] of [
    ['Views, at least', '5000'],
    ['Units, at least', '10'],
    ['Of the last days', '30'],
    ['Words of clips, or a creator', 'week'],
  ] as const) {
    const field = page.getByRole('textbox', { name })
    await field.fill(value)
    await page.keyboard.press('Enter')
    await expect.poll(count).toBeLessThan(1189)
    await field.fill('')
    await page.keyboard.press('Enter')
    await expect.poll(count).toBe(1189)
  }
  const reach = page.getByRole('radiogroup', { name: 'Reach' })
  await reach.getByText('Not paid').click()
  await expect.poll(count).toBeLessThan(1189)
  const unpaid = await count()
  await reach.getByText('Paid', { exact: true }).click()
  await expect.poll(count).toBe(1189 - unpaid)
  await reach.getByText('Any reach').click()
  await table.getByRole('button', { name: /^Views/ }).click()
  const views = async (row: number) =>
    Number((await table.getByRole('row').nth(row).getByRole('cell').nth(2).textContent())?.replace(/\D/g, ''))
  await expect(table.getByRole('columnheader', { name: /^Views/ })).toHaveAttribute('aria-sort', 'descending')
  expect(await views(1)).toBeGreaterThanOrEqual(await views(2))
  await table.locator('[data-item]').first().click()
  const earn = page.getByRole('article').filter({ hasText: 'What would I earn by clips?' })
  await expect(earn).toContainText(/The middle clip earned € \d+\.\d\d/)
  await expect(earn).toContainText('Cancelled orders are not taken off')
  await earn.getByRole('textbox', { name: 'Orders that are cancelled, percent' }).fill('50')
  await page.keyboard.press('Enter')
  await expect(earn).not.toContainText('Cancelled orders are not taken off')
  await earn.getByRole('textbox', { name: 'Least wage an hour' }).fill('15')
  await page.keyboard.press('Enter')
  await expect(earn).toContainText(/\d+ % pay the € 15\.00 that you ask for/)
  // back to the clips of this item alone
  await page.getByRole('link', { name: 'All clips and lives' }).click()
  await expect(page.getByText(/^about /)).toBeVisible()
})
