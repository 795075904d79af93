import { expect, test } from '@playwright/test'
import { limitBy, loadDemo } from './steps'

test('what is posted is limited, each figure by its own span, and sorted', async ({ page }) => {
  await loadDemo(page)
  await page.keyboard.press('Control+k')
  await page.keyboard.type('What is posted')
  await page.keyboard.press('Enter')
  const table = page.getByRole('table', { name: 'Clips and lives' })
  await expect(table).toBeVisible()
  await page.getByRole('radiogroup', { name: 'Clips or lives' }).getByText('Lives').click()
  await expect(page.getByRole('status').filter({ hasText: /^272 of / })).toBeVisible()
  await expect(page.getByRole('complementary', { name: 'What they come to' })).toContainText('0, 272')
  // each limit leaves fewer, and emptied brings them back
  const count = async () =>
    Number(
      (
        await page
          .getByRole('status')
          .filter({ hasText: / of 2,002/ })
          .textContent()
      )
        ?.split(' of ')[0]
        ?.replace(/\D/g, ''),
    )
  await page.getByRole('radiogroup', { name: 'Clips or lives' }).getByText('All').click()
  await expect(page.getByRole('status').filter({ hasText: /^2,002 of / })).toBeVisible()
  for (const [figure, value] of [
    ['Views', '5000'],
    ['Units', '10'],
    ['Days old', '30'],
    ['Seconds', '40'],
    ['Hour', '18'],
  ] as const) {
    await limitBy(page, figure, value)
    await expect.poll(count).toBeLessThan(2002)
    await page.getByRole('button', { name: new RegExp(`^Lift the limit ${figure}`) }).click()
    await expect.poll(count).toBe(2002)
  }
  const words = page.getByRole('textbox', { name: 'Words of clips, or a creator' })
  await words.fill('week')
  await expect.poll(count).toBeLessThan(2002)
  await words.fill('')
  await expect.poll(count).toBe(2002)
  const reach = page.getByRole('radiogroup', { name: 'Reach' })
  await reach.getByText('Not paid').click()
  await expect.poll(count).toBeLessThan(2002)
  const unpaid = await count()
  await reach.getByText('Paid', { exact: true }).click()
  await expect.poll(count).toBe(2002 - unpaid)
  await reach.getByText('Any reach').click()
  await table.getByRole('button', { name: /^Views/ }).click()
  const views = async (row: number) =>
    Number((await table.getByRole('row').nth(row).getByRole('cell').nth(2).textContent())?.replace(/\D/g, ''))
  await expect(table.getByRole('columnheader', { name: /^Views/ })).toHaveAttribute('aria-sort', 'descending')
  expect(await views(1)).toBeGreaterThanOrEqual(await views(2))
})

test('a brush over the field limits age and views; from a clip to its item, and to what a clip would earn me', async ({
  page,
}) => {
  await loadDemo(page)
  await page.goto('/finds/posted')
  const table = page.getByRole('table', { name: 'Clips and lives' })
  await expect(table).toBeVisible()
  const field = (await page.locator('.field canvas').boundingBox()) ?? { x: 0, y: 0 }
  await page.mouse.move(field.x + 300, field.y + 30)
  await page.mouse.down()
  await page.mouse.move(field.x + 600, field.y + 90, { steps: 4 })
  await page.mouse.up()
  await expect(page.getByRole('button', { name: /^Lift the limit Days old \d+–\d+$/ })).toBeVisible()
  await expect(page.getByRole('button', { name: /^Lift the limit Views/ })).toBeVisible()
  // the field stays where it is under the pointer
  expect(await page.locator('.field canvas').boundingBox()).toEqual(field)
  await expect(page.getByText('A limit by views or sales chooses by the outcome')).toBeVisible()
  await page.getByRole('button', { name: 'Lift all limits' }).click()
  await page.getByRole('radiogroup', { name: 'Better by' }).getByText('Took more').click()
  // the demo's truth: lives sell more than clips
  await expect(page.getByRole('table', { name: 'Which kinds do better' })).toContainText(/Sort: live.*\+/)
  await table.locator('[data-item]').first().click()
  const earn = page.getByRole('article').filter({ hasText: 'What would I earn by clips?' })
  await expect(earn).toContainText(/The middle clip earned € \d+\.\d\d/)
  await expect(earn).toContainText('Cancelled orders are not taken off')
  await earn.getByRole('textbox', { name: 'Orders that are cancelled, percent' }).fill('50')
  await page.keyboard.press('Enter')
  await expect(earn).not.toContainText('Cancelled orders are not taken off')
  await earn.getByRole('textbox', { name: 'Least wage an hour' }).fill('15')
  await page.keyboard.press('Enter')
  await expect(earn).toContainText(/\d+\s% pay the € 15\.00 that you ask for/)
  // back to the clips of this item alone
  await page.getByRole('link', { name: 'All clips and lives' }).click()
  await expect(page.getByText(/^about /)).toBeVisible()
})
