import AxeBuilder from '@axe-core/playwright'
import { expect, test, type Page } from '@playwright/test'
import { atRest, ledgerRow, loadDemo, settledText } from './steps'

async function faults(page: Page, theme: string, view: string) {
  // A message on its way out is half transparent: it is no fault of the view.
  await expect(page.locator('.n-message')).toHaveCount(0)
  const { violations } = await new AxeBuilder({ page }).analyze()
  return violations
    .filter((v) => v.impact === 'serious' || v.impact === 'critical')
    .flatMap((v) =>
      v.nodes.map((n) => `${theme} ${view}: ${v.id} ${n.target.join(' ')} ${n.failureSummary?.split('\n')[1] ?? ''}`),
    )
}

/** A store opened whole, one that only a list names, the pool and who is like me. */
async function faultsOfStores(page: Page, theme: string): Promise<string[]> {
  await page.getByRole('link', { name: /^Rivals/ }).click()
  await page.getByLabel('Search stores').fill('harbour wall')
  await page.getByRole('grid', { name: 'Stores' }).getByRole('row').nth(1).click()
  await page.getByRole('button', { name: /^Open whole/ }).click()
  await expect(page.getByRole('table', { name: 'Gaps' })).toBeVisible()
  await atRest(page)
  const found = await faults(page, theme, 'a store')
  await page.keyboard.press('Escape')
  await page.getByRole('radiogroup', { name: 'View of Rivals' }).getByText('Most like me').click()
  await expect(page.getByRole('table', { name: 'Stores most like me' })).toBeVisible()
  found.push(...(await faults(page, theme, 'most like me')))
  await page.getByRole('button', { name: 'First ten into the pool' }).click()
  await page.getByRole('radiogroup', { name: 'View of Rivals' }).getByText('Pool').click()
  for (const view of ['Themes', 'Proven items', 'What I have not']) {
    await page.getByRole('radiogroup', { name: 'View of the pool' }).getByText(view).click()
    await atRest(page)
    found.push(...(await faults(page, theme, `pool: ${view}`)))
  }
  await page.getByRole('radiogroup', { name: 'View of Rivals' }).getByText('Stores').click()
  await page.getByLabel('Search stores').fill('')
  return found
}

const views = [
  'Today',
  'Gather',
  'Demand',
  'Finds',
  'Rivals',
  'Supply',
  'Margin',
  'Sheaves',
  'Clearing',
  'Launch',
  'Settings',
]

test('axe finds no serious fault on any main view, light and dark', async ({ page }) => {
  test.setTimeout(1_500_000)
  await page.goto('/')
  const found = await faults(page, 'light', 'first run')
  await loadDemo(page)
  for (const key of ['k', 'k', 'h']) {
    await page.keyboard.press('ArrowDown')
    await expect(page.getByRole('region', { name: 'Close look' }).getByRole('heading').first()).toBeVisible()
    await page.keyboard.press(key)
  }
  // panes scroll, the page never does
  expect(await page.evaluate(() => document.documentElement.scrollHeight - window.innerHeight)).toBe(0)
  await expect(page.getByText('2 kept · 1 held')).toBeVisible()
  await page.getByRole('button', { name: 'Draft listings' }).click()
  await page.getByRole('button', { name: /^Draft 2 kept items/ }).click()
  for (const theme of ['light', 'dark']) {
    for (const view of views) {
      await page.getByRole('link', { name: view === 'Settings' ? view : new RegExp(`^${view}`) }).click()
      await expect(page.locator('main h1, main h2, main .name').first()).toBeVisible()
      await atRest(page)
      found.push(...(await faults(page, theme, view)))
    }
    await page.getByRole('link', { name: /^Demand/ }).click()
    await page.locator('.field .label').first().click()
    await expect(page.locator('.term h2')).toBeVisible()
    found.push(...(await faults(page, theme, 'a term')))
    await page.getByRole('link', { name: /^Finds/ }).click()
    await page.locator('.find').first().dblclick()
    await expect(page.getByRole('region', { name: 'Answers' })).toBeVisible()
    await atRest(page)
    found.push(...(await faults(page, theme, 'Close look in full')))
    found.push(...(await faultsOfStores(page, theme)))
    await page.getByRole('button', { name: `${theme === 'light' ? 'Dark' : 'Light'} theme` }).click()
  }
  expect(found).toEqual([])
})

test('the demo comes in through the intake, file by file', async ({ page }) => {
  await loadDemo(page)
  await page.getByRole('link', { name: /^Gather/ }).click()
  await expect(page.getByRole('region', { name: 'Ledger' }).getByRole('row')).toHaveCount(26)
  // The total line of one market's export is the only row that is not taken.
  await expect(ledgerRow(page, 'gavelhop-listings.csv').getByRole('cell').nth(4)).toHaveText('1')
})

test('a strip is brushed with the mouse; a limit typed in its field does the same', async ({ page }) => {
  await loadDemo(page)
  const status = page.getByText(/of 1,8\d\d items/)
  const strip = page.getByRole('img', { name: 'Distribution of Units, 30 d' })
  const box = (await strip.boundingBox())!
  await page.mouse.move(box.x + box.width * 0.5, box.y + 20)
  await page.mouse.down()
  await page.mouse.move(box.x + box.width * 0.7, box.y + 20, { steps: 4 })
  await page.mouse.move(box.x + box.width, box.y + 20, { steps: 4 })
  await page.mouse.up()
  const limit = page.getByRole('button', { name: /^Limit of Units, 30 d/ })
  await expect(limit).toHaveText(/≥ \d+/)
  const floor = Number((await limit.textContent())?.replace(/\D/g, ''))
  await expect(status).not.toHaveText(/^1,8/)
  // The last move of the brush may still be on its way.
  const brushed = await settledText(status)
  await page.getByRole('button', { name: 'Lift all limits' }).click()
  await limit.click()
  await page.getByLabel('Units, 30 d from').fill(String(floor))
  await page.getByLabel('Units, 30 d from').press('Enter')
  await expect(status).toHaveText(brushed ?? '')
})
