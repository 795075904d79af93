import Papa from 'papaparse'
import { expect, test, type Page } from '@playwright/test'
import { bringIn, chooseFiles, decide, fill, findRow, go, small, textFile, textOf } from './steps'

/** Costs, fees, rates, tax and drafts, control by control, on three goods that are worked out by hand. */

const rowsOf = (text: string) => Papa.parse<Record<string, string>>(text, { header: true, skipEmptyLines: true }).data

/** The floor, the rule, and the ladder by mouse and by key. */
async function priceFollows(page: Page): Promise<void> {
  const profit = page.locator('[data-test=profit]')
  const price = page.getByRole('textbox', { name: 'My price' })
  await page.getByRole('button', { name: /^Floor/ }).click()
  // least profit 2.00: p − 3.20 − 0.72 − 3 % of p − 20 % of what is above 10.00; below 10.00 that is p × 0.97 ≥ 5.92
  await expect(price).toHaveValue('6.10')
  await expect(profit).toContainText('+2.00')
  await page.getByRole('button', { name: /^By rule/ }).click()
  await expect(price).toHaveValue('12.89')
  const slider = page.getByRole('slider', { name: 'My price on the ladder' })
  const box = (await slider.boundingBox())!
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2)
  await page.mouse.down()
  await page.mouse.move(box.x + box.width / 2, box.y - 60, { steps: 6 })
  await page.mouse.up()
  await expect(price).not.toHaveValue('12.89')
  expect(Number(await price.inputValue())).toBeGreaterThan(12.89)
  await slider.focus()
  const before = Number(await price.inputValue())
  await page.keyboard.press('ArrowUp')
  await expect(price).toHaveValue((before + 0.01).toFixed(2))
}

test('every cost counts: the form, fee steps and files, the floor, the rule and the ladder', async ({ page }) => {
  await small(page)
  await decide(page, 'Balcony hook', /^Keep/)
  await go(page, 'Margin')
  const profit = page.locator('[data-test=profit]')
  await page.getByRole('button', { name: 'Fees of Marrowgate …' }).click()
  await page.getByRole('button', { name: 'Begin with those' }).click()
  await expect(page.getByLabel('Percentage of Market fee')).toHaveValue('15')
  await fill(page, 'Percentage of Market fee', '120')
  await expect(page.getByRole('alert')).toHaveText('It must be from 0 to 100 %')
  await fill(page, 'Percentage of Market fee', '10')
  await page
    .getByRole('row')
    .filter({ has: page.getByLabel('Percentage of Market fee') })
    .getByRole('button', { name: 'add a step' })
    .click()
  await fill(page, 'Step 1 of Market fee begins at', '10.00')
  await fill(page, 'Percentage of step 1 of Market fee', '20')
  const file = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Save as a file' }).click()
  const text = await textOf(await file)
  await page.keyboard.press('Escape')
  // 10 % of 10.00 and 20 % of 2.89 are 1.58; 3 % are 0.39; 12.89 − 3.20 − 1.58 − 0.39
  await expect(profit).toContainText('+7.72')

  await page.getByRole('button', { name: 'Fees of Marrowgate …' }).click()
  const bring = async (content: string) => {
    const chooser = page.waitForEvent('filechooser')
    await page.getByRole('button', { name: 'Bring from a file' }).click()
    await (await chooser).setFiles(textFile('fees.json', content))
  }
  await bring(text.replace('"percent": 10', '"percent": "ten"'))
  await expect(page.getByRole('alert')).toHaveText(
    'The fee schedule cannot be used: percentage of line 1 must be a number.',
  )
  await bring(text.replace('"percent": 10', '"percent": 0'))
  await expect(page.getByLabel('Percentage of Market fee')).toHaveValue('0')
  await page.keyboard.press('Escape')
  // the focus goes back to where the dialog was opened from: nothing is typed before
  await expect(page.getByRole('dialog')).toHaveCount(0)
  await expect(page.getByRole('button', { name: 'Fees of Marrowgate …' })).toBeFocused()
  await expect(profit).toContainText('+8.72')

  await fill(page, 'Packing', '1.2.3')
  await expect(page.getByRole('alert')).toBeVisible()
  await expect(profit).toContainText('+8.72')
  await fill(page, 'Packing', '0.72')
  await expect(profit).toContainText('+8.00')
  await fill(page, 'Discount', '100')
  await expect(page.getByRole('alert')).toHaveText('It must be from 0 to 99 %')
  await fill(page, 'Discount', '0')
  await page.getByRole('button', { name: 'Use it for all items' }).click()
  await expect(page.getByText('What stands out holds for this item only.')).toHaveCount(0)

  await priceFollows(page)
})

test('rates and tax, refused where they make no sense, count in every price', async ({ page }) => {
  await page.goto('/')
  const csv = 'Item ID,Title,Price,Currency,Units sold last 30 days\nG1,Nest box oak,10.00,GBP,5\n'
  await chooseFiles(page, textFile('pounds.csv', csv))
  await bringIn(page, { market: 'Gavelhop' })
  await page.getByRole('link', { name: 'Settings' }).click()
  const rates = page.getByRole('region', { name: 'Rates' })
  const add = async (code: string, rate: string) => {
    await rates.getByLabel('Currency of a new rate', { exact: true }).fill(code)
    await rates.getByLabel('New rate', { exact: true }).fill(rate)
    await rates.getByRole('button', { name: 'Add' }).click()
  }
  await add('QQQ', '1.2')
  await expect(rates.getByRole('alert')).toHaveText('The from is no currency of ISO 4217')
  await add('GBP', '0')
  await expect(rates.getByRole('alert')).toHaveText(/^The rate must be from/)
  await add('EUR', '1')
  await expect(rates.getByRole('alert')).toHaveText('The rate must be between two currencies')
  await add('GBP', '1.2')
  await expect(rates.getByRole('row').filter({ hasText: 'GBP' })).toBeVisible()
  await go(page, 'Finds')
  await expect(findRow(page, 'Nest box')).toContainText('12.00')
  await page.getByRole('link', { name: 'Settings' }).click()
  await fill(page, 'Rate of GBP', '1.5')
  await fill(page, 'Tax on my sales', '150')
  await expect(page.getByRole('alert')).toHaveText('It must be from 0 to 100 %')
  await fill(page, 'Tax on my sales', '23')
  await page.getByRole('button', { name: 'Remove the rate of GBP' }).click()
  await go(page, 'Finds')
  await expect(findRow(page, 'Nest box')).not.toContainText('12.00')
  await page.keyboard.press('Control+z')
  await expect(findRow(page, 'Nest box')).toContainText('15.00')
})

test('drafts are edited, keep their words, and leave as they are seen', async ({ page }) => {
  await small(page)
  await decide(page, 'Balcony hook', /^Keep/)
  await page.getByRole('button', { name: 'Draft listings' }).click()
  await page.getByRole('button', { name: /^Draft 1 kept item/ }).click()
  const draft = page.getByRole('form', { name: 'Draft' })
  await draft.getByLabel('Title').fill('Strong balcony hooks')
  await fill(page, 'Price', '14.00')
  await expect(draft).toContainText('Price as in Margin again')
  // 14.00 − 3.20 − 2.10 − 0.42
  await expect(draft).toContainText('+8.28')
  await fill(page, 'Quantity', '1000001')
  await expect(draft.getByRole('alert').first()).toHaveText('It must be from 0 to 1000000')
  await fill(page, 'Quantity', '12')
  await fill(page, 'Handling days', '3')
  await draft.getByRole('button', { name: 'Add a tag' }).click()
  await page.keyboard.type('Railing Hook')
  await page.keyboard.press('Enter')
  await draft.getByLabel('Description').fill('Holds a basket.')
  const file = page.waitForEvent('download')
  await page.getByRole('button', { name: /^Export 1 as CSV/ }).click()
  const [row] = rowsOf(await textOf(await file))
  expect(row).toMatchObject({
    title: 'Strong balcony hooks',
    price: '14.00',
    'price by': 'hand',
    quantity: '12',
    'handling days': '3',
    description: 'Holds a basket.',
    assumed: 'fees|pack',
  })
  expect(row?.tags?.split('|')).toContain('railing hook')
  await draft.getByRole('button', { name: 'Price as in Margin again' }).click()
  await expect(page.getByLabel('Price', { exact: true })).toHaveValue('12.89')
  await expect(draft.getByLabel('Title')).toHaveValue('Strong balcony hooks')
})
