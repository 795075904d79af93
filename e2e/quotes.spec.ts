import { expect, test } from '@playwright/test'
import { bringIn, chooseFiles, ledgerRow, loadDemo, offersCsv, textFile } from './steps'

/** What three suppliers write back, each in a way of its own. */
const answers = [
  'Hello,\n10 pcs - 8.90 EUR\n50 pcs - 8.20 EUR\n200 pcs - 7.60 EUR\nShipping: 45 EUR\nDelivery time: 12-16 days\nSample: 12 EUR',
  'Preis: 6,40 € pro Stück, ab 50 Stück 5,90 €.\nMindestbestellmenge: 20 Stück\nVersand 18 €\nLieferzeit: 6-8 Tage\nEin Muster kostet 6,40 €.',
  'Sorry, we no longer make this item.',
]

test('quotes are asked of three suppliers, answered, compared by landed cost, and one is sampled; what is late stands on Today', async ({
  page,
}) => {
  await loadDemo(page)
  await page.getByRole('link', { name: /^Supply/ }).click()
  await expect(page.getByRole('complementary', { name: 'The offer' })).toBeVisible()
  const item = ((await page.locator('section[aria-label="Match desk"] h2').textContent()) ?? '')
    .replace('Close look', '')
    .replace('Ask for quotes …', '')
    .trim()
  await page.getByRole('link', { name: 'Ask for quotes …' }).click()
  const dialog = page.getByRole('dialog', { name: 'Ask for quotes' })
  await expect(dialog.getByRole('button', { name: 'Note 3 quotes as asked today' })).toBeEnabled()
  // each has a message of its own, and it can be saved
  const saved = page.waitForEvent('download')
  await dialog.getByRole('button', { name: 'Save' }).first().click()
  expect((await saved).suggestedFilename()).toMatch(/^quote-.*\.txt$/)
  await expect(dialog.locator('pre').first()).toContainText(`${item} (your number`)
  await expect(dialog.locator('pre').first()).toContainText('10, 50 and 200 packs')
  await dialog.getByRole('button', { name: 'Note 3 quotes as asked today' }).click()
  const table = page.getByRole('table', { name: `Quotes of ${item}` })
  await expect(table.getByRole('row')).toHaveCount(4)

  for (const [i, answer] of answers.entries()) {
    await table.getByRole('button', { name: 'Note the answer' }).first().click()
    const form = page.getByRole('dialog', { name: /^What does .* answer\?$/ })
    await form.getByRole('textbox', { name: 'The answer, pasted' }).fill(answer)
    if (i < 2) await form.getByRole('button', { name: 'Note the answer' }).click()
    else await form.getByRole('button', { name: 'It has none' }).click()
    await expect(form).toBeHidden()
  }
  // the cheaper one stands first; it sells no ten at once
  await expect(table.getByRole('row').nth(1)).toContainText('from 20')
  await expect(table.getByRole('row').nth(1)).toContainText('≤ 8 days')
  await expect(table).toContainText('has none')

  await table.getByRole('button', { name: 'Sample ordered' }).first().click()
  await expect(table).toContainText('sample ordered')
  await expect(table).toContainText('promised in 8 days')
  // ten days later the sample is late
  await page.clock.setFixedTime(new Date(Date.now() + 10 * 86_400_000))
  await page.reload()
  await expect(page.getByText('1 answer or sample late')).toBeVisible({ timeout: 30_000 })
  await page.getByRole('link', { name: /^Today/ }).click()
  await page.getByRole('link', { name: /1 sample not here by the promised day/ }).click()
  await page.getByRole('button', { name: 'Sample is here' }).click()
  await page.getByRole('button', { name: 'Passed' }).click()
  await expect(table).toContainText('sample passed')
  await page.getByRole('button', { name: 'Reckon with it' }).first().click()
  await expect(page.getByRole('button', { name: 'Reckoned with' })).toBeDisabled({ timeout: 30_000 })
  // its page knows it: an answer, and a sample that came two days late
  await table.getByRole('row').nth(1).getByRole('link').click()
  await expect(page.getByText('It answered 1 of 1 question.')).toBeVisible()
  await expect(page.getByText(/^0 of 1 order on time/)).toBeVisible()
  await page.getByRole('button', { name: 'Avoid it' }).click()
  await expect(page.getByRole('button', { name: 'No longer avoided' })).toBeVisible()
})

test('a supplier’s page tells how its prices moved between lists, and what else it has that sells', async ({
  page,
}) => {
  await loadDemo(page)
  for (const [name, csv] of [
    ['old.csv', offersCsv],
    ['new.csv', offersCsv.replace('0.80', '0.92')],
  ] as const) {
    await page.getByRole('link', { name: /^Gather/ }).click()
    await chooseFiles(page, textFile(name, csv))
    await bringIn(page, { supplier: 'Sill Mill' })
    await expect(ledgerRow(page, name)).toBeVisible()
    await page.clock.setFixedTime(new Date(Date.now() + 86_400_000))
  }
  await page.goto('/supply/supplier?name=Sill%20Mill')
  await expect(page.getByRole('region', { name: 'Price changes' })).toContainText('1 became dearer', {
    timeout: 30_000,
  })
  await expect(page.getByRole('region', { name: 'Price changes' })).toContainText('+15')
  await page.getByRole('button', { name: 'Note an order …' }).click()
  await page.getByRole('textbox', { name: 'What' }).fill('hooks')
  await page.getByRole('button', { name: 'Note it' }).click()
  await expect(page.getByText('1 order without a promised day')).toBeVisible()
  await page.getByRole('button', { name: 'Arrived today' }).click()
  await expect(page.getByText(/^arrived 2026/)).toBeVisible()
})

test('what takes a dear first order is told of before it goes up, until its sample passed', async ({ page }) => {
  await loadDemo(page)
  await page.getByRole('link', { name: /^Supply/ }).click()
  await page.getByRole('button', { name: 'Rules …' }).click()
  await page.getByRole('textbox', { name: 'A sample first where a first order takes' }).fill('5')
  await page.keyboard.press('Enter')
  await page.keyboard.press('Escape')
  const desk = page.locator('section[aria-label="Match desk"] h2')
  await desk.getByRole('link', { name: 'Close look' }).click()
  await page.getByRole('button', { name: /^Keep/ }).first().click()
  await page.getByRole('link', { name: /^Launch/ }).click()
  await page.getByRole('button', { name: /^Draft 1 kept item/ }).click()
  await expect(page.getByRole('cell', { name: 'no sample yet' })).toBeVisible()
  await expect(page.getByText(/no sample has passed yet/)).toBeVisible()
  // asked, answered, sampled and passed, of the supplier that it is reckoned with
  await page.getByRole('link', { name: 'Ask for one' }).click()
  await page.getByRole('button', { name: /^Note \d+ quotes? as asked today/ }).click()
  await page.getByRole('button', { name: 'Note the answer' }).first().click()
  await page.getByRole('textbox', { name: 'The answer, pasted' }).fill('6.40 EUR each, 8 days')
  await page.getByRole('dialog').getByRole('button', { name: 'Note the answer' }).click()
  await page.getByRole('button', { name: 'Sample ordered' }).click()
  await page.getByRole('button', { name: 'Passed' }).click()
  await page.getByRole('button', { name: 'Reckon with it' }).first().click()
  await expect(page.getByRole('button', { name: 'Reckoned with' })).toBeDisabled()
  await page.getByRole('link', { name: /^Launch/ }).click()
  await expect(page.getByText(/no sample has passed yet/)).toHaveCount(0)
  await expect(page.getByRole('cell', { name: 'ready' })).toBeVisible()
})
