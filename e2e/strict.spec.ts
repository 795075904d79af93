import AxeBuilder from '@axe-core/playwright'
import { expect, test, type Locator, type Page } from '@playwright/test'
import { atRest, chooseFiles, bringIn, limitBy, loadDemo, offersCsv, textFile } from './steps'

/** The strictest rules that axe has: WCAG 2.2 A and AA, and what it holds for good practice, of any impact. */
const rules = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22a', 'wcag22aa', 'best-practice']

async function faults(page: Page, what: string): Promise<string[]> {
  await expect(page.locator('.n-message')).toHaveCount(0)
  await atRest(page)
  const { violations } = await new AxeBuilder({ page }).withTags(rules).analyze()
  return violations.flatMap((v) =>
    v.nodes.map((n) => `${what}: ${v.id} ${n.target.join(' ')} ${n.failureSummary?.split('\n')[1]?.trim() ?? ''}`),
  )
}

/** Opens something, judges it, closes it, and sees the focus where it was. */
async function opened(page: Page, opener: Locator, what: string, found: string[]): Promise<void> {
  await opener.scrollIntoViewIfNeeded()
  await opener.focus()
  await page.keyboard.press('Enter')
  const pane = page.getByRole('dialog').last()
  await expect(pane).toBeVisible()
  await atRest(page)
  if (!(await pane.evaluate((d) => d.contains(document.activeElement)))) found.push(`${what}: it has not the focus`)
  found.push(...(await faults(page, what)))
  await page.keyboard.press('Escape')
  await expect(page.getByRole('dialog')).toHaveCount(0)
  await atRest(page)
  if (!(await opener.evaluate((o) => o === document.activeElement))) found.push(`${what}: the focus does not return`)
}

async function gatherOpens(page: Page, found: string[]): Promise<void> {
  const button = (name: string) => page.getByRole('button', { name })
  await opened(page, button('Limits'), 'Limits of a scan', found)
  await opened(page, button('Templates'), 'Templates', found)
  await opened(page, page.getByRole('button', { name: 'gavelhop-listings.csv', exact: true }), 'Records', found)
  const refused = page
    .getByRole('row')
    .filter({ hasText: 'gavelhop-listings.csv' })
    .getByRole('button', { name: '1', exact: true })
  await opened(page, refused, 'What could not be taken', found)
  await opened(page, button('Remove quaymaster-prices.xlsx'), 'Remove a file', found)
}

async function clearingOpens(page: Page, found: string[]): Promise<void> {
  await opened(page, page.getByRole('button', { name: 'Paste the answers …' }), 'Paste the answers', found)
  const overrule = page.getByRole('button', { name: /all the same$/ }).first()
  await opened(page, overrule, 'List it all the same', found)
}

/** Pages of Supply beside the desk, and what is posted. */
async function supplierOpens(page: Page, found: string[]): Promise<void> {
  const button = (name: string | RegExp) => page.getByRole('button', { name })
  await button('Quotes').click()
  await expect(page.getByRole('heading', { name: 'Nothing is asked yet' })).toBeVisible()
  found.push(...(await faults(page, 'Quotes, none yet')))
  await opened(page, button(/^Ask for quotes/), 'Ask for quotes', found)
  await page.goto(`${new URL(page.url()).origin}/supply`)
  await expect(page.getByRole('complementary', { name: 'The offer' })).toBeVisible({ timeout: 30_000 })
  await page.getByRole('link', { name: 'Ask for quotes …' }).click()
  await button(/^Note \d+ quotes? as asked today/).click()
  await expect(page.getByRole('table', { name: /^Quotes of/ })).toBeVisible()
  found.push(...(await faults(page, 'Quotes')))
  await opened(page, button('Note the answer').first(), 'The answer', found)
  await opened(page, button(/^Remove the quote of/).first(), 'Remove a quote', found)
  await page
    .getByRole('table', { name: /^Quotes of/ })
    .getByRole('link')
    .first()
    .click()
  await expect(page.getByRole('table', { name: 'What it has that sells' })).toBeVisible()
  found.push(...(await faults(page, 'A supplier')))
  await opened(page, button('Note an order …'), 'Note an order', found)
  await button('Match desk').click()
  await button('Made to order').click()
  await page.getByRole('textbox', { name: 'Name of a design' }).fill('Robin')
  await button('Add it').click()
  await page.getByRole('checkbox', { name: 'On Mug, white, 330 ml' }).click()
  await expect(page.getByRole('textbox', { name: 'Prints on Mug, white, 330 ml' })).toBeVisible()
  found.push(...(await faults(page, 'Made to order')))
  await opened(page, button('Remove').first(), 'Remove a design', found)
  await page.goto(`${new URL(page.url()).origin}/finds/posted`)
  await expect(page.getByRole('table', { name: 'Clips and lives' })).toBeVisible({ timeout: 30_000 })
  found.push(...(await faults(page, 'What is posted')))
}

test('quotes, a supplier, designs and what is posted pass the strictest rules, and so does all that opens there', async ({
  page,
}) => {
  test.setTimeout(300_000)
  const found: string[] = []
  await loadDemo(page)
  await page.getByRole('link', { name: /^Supply/ }).click()
  await supplierOpens(page, found)
  expect(found).toEqual([])
})

test('creators, advertisements, the lens and limits where they stand pass the strictest rules, light and dark', async ({
  page,
}) => {
  test.setTimeout(300_000)
  const found: string[] = []
  const button = (name: string | RegExp) => page.getByRole('button', { name })
  await loadDemo(page)
  await opened(page, button('All markets'), 'Markets that count', found)
  await opened(page, button('Another limit'), 'Another limit', found)
  await limitBy(page, 'Commission', '15')
  await opened(page, page.getByTitle(/^Change the limit Commission/), 'A limit where it stands', found)
  for (const theme of ['light', 'dark']) {
    await page.goto('/rivals/creators')
    await page.getByRole('table', { name: 'Creators' }).getByRole('row').nth(1).getByRole('button').click()
    if (theme === 'light') await button('Write to …').click()
    await expect(page.getByRole('listitem').first()).toBeVisible()
    found.push(...(await faults(page, `Creators, ${theme}`)))
    await opened(page, button('Message …'), 'Message to a creator', found)
    await page.goto('/finds/ads')
    await page
      .getByRole('table', { name: 'Advertisements' })
      .getByRole('row')
      .nth(1)
      .getByRole('button')
      .first()
      .click()
    await expect(page.getByRole('complementary', { name: /^The ad / })).toBeVisible()
    found.push(...(await faults(page, `Advertisements, ${theme}`)))
    await page.goto('/finds/posted')
    await expect(page.getByRole('table', { name: 'Clips and lives' })).toBeVisible()
    found.push(...(await faults(page, `What is posted, ${theme}`)))
    await button(`${theme === 'light' ? 'Dark' : 'Light'} theme`).click()
  }
  expect(found).toEqual([])
})

async function sheafOpens(page: Page, found: string[]): Promise<void> {
  await page.getByRole('link', { name: /^Sheaves/ }).click()
  await page.getByRole('button', { name: 'What if …' }).click()
  await expect(page.getByRole('table', { name: 'What is kept, under what-ifs' })).toBeVisible()
  found.push(...(await faults(page, 'What if')))
  await opened(page, page.getByRole('button', { name: 'What-ifs …' }), 'What-ifs', found)
  await page.getByRole('button', { name: /First sheaf/ }).click()
  await page.getByText('New sheaf …').click()
  await expect(page.getByRole('dialog', { name: 'New sheaf' })).toBeVisible()
  found.push(...(await faults(page, 'New sheaf')))
  await page.keyboard.press('Escape')
}

test('every dialog, drawer and popover has a name, passes the strictest rules, takes the focus and gives it back', async ({
  page,
}) => {
  test.setTimeout(600_000)
  const found: string[] = []
  await loadDemo(page)
  const button = (name: string | RegExp) => page.getByRole('button', { name })
  found.push(...(await faults(page, 'Finds')))
  await opened(page, button('Everything by name'), 'Everything by name', found)
  await opened(page, button('Keys of this screen'), 'Keys of this screen', found)
  await opened(page, button(/jobs?: show$/), 'Jobs', found)
  await opened(page, button('Strips and columns'), 'Strips and columns', found)
  await opened(page, button(/^Limit of Units/), 'Limit of a strip', found)
  await opened(page, button('Export'), 'Export', found)
  await page.locator('.find').first().click()
  await expect(page.getByRole('region', { name: 'Close look' }).getByRole('heading').first()).toBeVisible()
  found.push(...(await faults(page, 'Finds with a look')))
  await page.getByRole('region', { name: 'Close look' }).getByRole('button', { name: /^Keep/ }).click()
  await page.getByPlaceholder(/^Words in titles/).fill('hook')
  await opened(page, button('Keep as a Cut'), 'Keep as a Cut', found)
  await page.getByRole('button', { name: 'Lift all limits' }).click()
  await page.locator('.find').first().dblclick()
  await expect(page.getByRole('region', { name: 'Answers' })).toBeVisible()
  await page.getByRole('button', { name: 'Show them, and why' }).click()
  found.push(...(await faults(page, 'Close look in full')))

  await page.getByRole('link', { name: /^Gather/ }).click()
  await expect(page.getByRole('region', { name: 'Ledger' })).toBeVisible()
  found.push(...(await faults(page, 'Gather')))
  await gatherOpens(page, found)
  await chooseFiles(page, textFile('supplier.csv', offersCsv))
  await expect(page.getByRole('region', { name: 'Import' })).toBeVisible()
  found.push(...(await faults(page, 'a file to be brought in')))
  await bringIn(page, { supplier: 'Sill Mill' })

  for (const view of ['Today', 'Demand', 'Rivals', 'Supply', 'Margin', 'Sheaves', 'Clearing', 'Launch', 'Settings']) {
    await page.getByRole('link', { name: view === 'Settings' ? view : new RegExp(`^${view}`) }).click()
    await expect(page.locator('main h1, main h2, main .name').first()).toBeVisible()
    if (view === 'Launch') {
      await page.getByRole('button', { name: /^Draft 1 kept item/ }).click()
      await expect(page.getByRole('form', { name: 'Draft' })).toBeVisible()
      await expect(page.getByText('1 draft made')).toBeVisible()
    }
    if (view === 'Demand') await expect(page.locator('.field .label').first()).toBeVisible()
    if (view === 'Supply') await expect(page.getByRole('complementary', { name: 'The offer' })).toBeVisible()
    found.push(...(await faults(page, view)))
    if (view === 'Supply') await opened(page, button('Rules …'), 'Rules of choice', found)
    if (view === 'Clearing') await clearingOpens(page, found)
    if (view === 'Margin') await opened(page, button(/^Fees of /), 'Fees', found)
    if (view === 'Launch') await opened(page, button('Remove'), 'Remove a draft', found)
  }
  await sheafOpens(page, found)
  expect(found).toEqual([])
})

test('at twice the size nothing scrolls sideways', async ({ page }) => {
  await loadDemo(page)
  // 200 % of a window of 1280 by 800 leaves 640 by 400
  await page.setViewportSize({ width: 640, height: 400 })
  const wide: string[] = []
  const look = async (view: string) => {
    const by = await page.evaluate(() => {
      const beyond = (e: Element) => e.scrollWidth - e.clientWidth
      const panes = [
        document.documentElement,
        document.body,
        ...document.querySelectorAll('#stage, #stage > *, #stage > * > *'),
      ]
      return Math.max(...panes.map(beyond))
    })
    if (by > 0) wide.push(`${view}: ${by} px`)
  }
  const social = ['finds/posted', 'finds/ads', 'rivals/creators']
  const beside = [...social, 'supply/quotes', 'supply/designs', 'supply/supplier?name=Saltmarsh%20Depot']
  for (const path of ['today', 'gather', 'demand', 'finds', 'margin', 'sheaves', 'launch', 'settings', ...beside]) {
    await page.goto(`/${path}`)
    await expect(page.locator('main h1, main h2, main .name').first()).toBeVisible()
    if (path === 'demand') await expect(page.locator('.field .label').first()).toBeVisible()
    if (path === 'gather')
      await expect(page.getByRole('region', { name: 'Ledger' }).getByRole('row').nth(1)).toBeVisible()
    await look(path)
  }
  expect(wide).toEqual([])
})
