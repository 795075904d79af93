import { expect, test, type Page } from '@playwright/test'
import { bringIn, chooseFiles, chooseOption, chooseView, go, textFile } from './steps'

/** Whether hundreds of items may be listed is known before time is lost on them. */

const many = 300
const listings = [
  'Item ID,Title,Seller,Price (EUR),Shipping,Units sold last 30 days',
  ...Array.from(
    { length: many },
    (_, i) => `MG-${1000 + i},Garden thing number ${1000 + i} oak,Sill Life,${10 + (i % 7)}.00,0.00,${1 + (i % 9)}`,
  ),
  'MG-5000,"Hanging bird bath, copper, 26 cm",Sill Life,24.00,0.00,15',
].join('\n')

const answers = (page: Page) => page.getByRole('radiogroup', { name: 'Which answers' })
const table = (page: Page) => page.getByRole('table', { name: 'What may be listed' })
async function paste(page: Page, text: string): Promise<void> {
  await page.getByRole('button', { name: 'Paste the answers …' }).click()
  await page.getByLabel('Answers', { exact: true }).fill(text)
  await page.getByRole('button', { name: 'Take these' }).click()
}

test('300 unknown identifiers go out in one go, answers come back in three layouts, and drafts follow', async ({
  page,
  context,
}) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write'])
  await page.goto('/')
  await chooseFiles(page, textFile('listings.csv', listings))
  await bringIn(page, { market: 'Marrowgate' })
  await go(page, 'Finds')
  await page.getByRole('textbox', { name: 'Search' }).fill('number 1000')
  await page.getByRole('grid', { name: 'Items' }).getByText('number 1000').click()
  await page.keyboard.press('k')
  await page.getByRole('textbox', { name: 'Search' }).fill('')
  await page.getByRole('button', { name: 'Draft listings' }).click()
  await page.getByRole('button', { name: /^Draft 1 kept item/ }).click()
  const drafts = page.getByRole('region', { name: 'Drafts' })
  await expect(drafts.getByRole('row').filter({ hasText: 'number 1000' })).toContainText('cost not known')
  await page.keyboard.press('-')
  await chooseView(page, 'Which items', 'All')
  await expect(answers(page)).toContainText(`unknown ${many + 1}`)
  await chooseOption(page.getByLabel('What is copied'), 'listing numbers')
  await page.getByRole('button', { name: 'Copy what is unknown' }).click()
  await expect(page.getByText(`${many + 1} lines copied`)).toBeVisible()
  const copied = (await page.evaluate(() => navigator.clipboard.readText())).split('\n')
  expect(new Set(copied).size).toBe(many + 1)
  const numbers = copied.filter((c) => c !== 'MG-5000').sort()
  const part = (from: number) => numbers.slice(from, from + 100)
  // a table with headings; tabs without; lists under headings
  await paste(page, ['Item ID;Result;Why', ...part(0).map((n) => `${n};not allowed;licensed`)].join('\n'))
  await expect(answers(page)).toContainText('may not be listed 100')
  await paste(
    page,
    part(100)
      .map((n) => `${n}\tallowed`)
      .join('\n'),
  )
  await expect(answers(page)).toContainText('allowed 100')
  await paste(page, ['Needs approval:', ...part(200).map((n) => `- ${n}`), 'MG-9999 allowed'].join('\n'))
  await expect(answers(page)).toContainText('needs approval 100')
  await expect(answers(page)).toContainText('unknown 1')
  await go(page, 'Launch')
  await expect(drafts.getByRole('row').filter({ hasText: 'number 1000' })).toContainText('not allowed')
  // the seller may say otherwise, with a reason that is kept; drafts follow, and it can be taken back
  await go(page, 'Clearing')
  await chooseView(page, 'Which items', 'Kept and held')
  await page.getByRole('button', { name: /^List .*number 1000.* all the same/ }).click()
  await page.getByLabel('Why it may be listed').fill('I have their leave')
  await page.getByRole('button', { name: 'Keep the reason' }).click()
  await expect(table(page)).toContainText('you: I have their leave')
  await go(page, 'Launch')
  await expect(drafts.getByRole('row').filter({ hasText: 'number 1000' })).toContainText('cost not known')
  await page.reload()
  await go(page, 'Clearing')
  await expect(table(page)).toContainText('you: I have their leave')
  await page.getByRole('button', { name: 'Let the lists speak' }).click()
  await expect(table(page)).toContainText('may not be listed')
})

test('what I avoid bars items and drafts by their words, is a limit of Finds, and is taken back', async ({ page }) => {
  await page.goto('/')
  await chooseFiles(page, textFile('listings.csv', listings))
  await bringIn(page, { market: 'Marrowgate' })
  await go(page, 'Clearing')
  await chooseView(page, 'Which items', 'All')
  await page.getByLabel('What to avoid').fill('bird baths')
  await page.getByLabel('Why to avoid it').fill('bulky')
  await page.getByRole('button', { name: 'Avoid it' }).click()
  await expect(answers(page)).toContainText('may not be listed 1')
  await answers(page).getByText('may not be listed').click()
  await expect(table(page)).toContainText('your own list: “bird baths” bulky')
  await go(page, 'Finds')
  await page.getByRole('checkbox', { name: /restricted/ }).click()
  await expect(page.getByRole('grid', { name: 'Items' }).getByRole('row').nth(1)).toContainText('may not be listed')
  await expect(page.locator('.finds').getByRole('status').locator('b')).toHaveText('1')
  await page.keyboard.press('Control+z')
  await expect(page.locator('.finds').getByRole('status').locator('b')).toHaveText('0')
})
