import { expect, test, type Page } from '@playwright/test'
import { demoWorld, ownCatalogue } from '@sickle/standins'
import { bringIn, chooseFiles, go, loadDemo, look, small, textFile, textOf } from './steps'

const stores = (page: Page) => page.getByRole('grid', { name: 'Stores' })
const store = (page: Page, name: string) => page.getByRole('region', { name: `Store ${name}` })
const status = (page: Page) => page.getByRole('status').filter({ hasText: 'worth a study' })
const table = (page: Page, name: string) => page.getByRole('table', { name })
const heading = (page: Page) => page.getByRole('heading', { level: 1 })
const stops = (page: Page) => page.getByRole('navigation', { name: 'Trail' }).getByRole('listitem')
const view = (page: Page, name: string) =>
  page.getByRole('radiogroup', { name: 'View of Rivals' }).getByText(name, { exact: false }).click()

async function openStore(page: Page, market: string, name: string): Promise<void> {
  await page.getByLabel('Search stores').fill(name)
  await stores(page).getByRole('row').filter({ hasText: market }).click()
  await page.getByRole('button', { name: /^Open whole/ }).click()
  await expect(heading(page)).toHaveText(name)
}

test('stores stand by age and sales: the corner, a brush and facets leave some, a Cut keeps them', async ({ page }) => {
  await loadDemo(page)
  await page.keyboard.press('5')
  await expect(status(page)).toContainText(/^3\d\d of 3\d\d stores, \d+ worth a study/)
  const [all = ''] = (await status(page).innerText()).split(' ')
  // the corner by its fields, and by keys
  await page.getByLabel('Least sales since it opened').fill('25000')
  await page.getByLabel('Least sales since it opened').press('Enter')
  await expect(status(page)).toContainText('5 worth a study')
  const corner = page.getByRole('slider', { name: 'Corner of the criteria' })
  await corner.focus()
  await page.keyboard.press('ArrowLeft')
  await expect(page.getByLabel('Most months since it opened')).toHaveValue('35')
  await page.getByText('Only these').click()
  await expect(stores(page).getByRole('row')).toHaveCount(6)
  await page.getByText('Only these').click()
  // a brush over the middle of the field, and away with it by a press beside all stores
  const box = (await page.locator('.field canvas').boundingBox())!
  await page.mouse.move(box.x + box.width * 0.1, box.y + box.height * 0.3)
  await page.mouse.down()
  await page.mouse.move(box.x + box.width * 0.4, box.y + box.height * 0.7, { steps: 5 })
  await page.mouse.up()
  const chip = page.getByTitle(/^Lift the limit Months from/)
  await expect(chip).toBeVisible()
  // the field stays where it is under the pointer
  expect(await page.locator('.field canvas').boundingBox()).toEqual(box)
  await expect(status(page)).not.toContainText(new RegExp(`^${all} of`))
  // the spans at the left say the same, and can be typed
  await expect(page.getByRole('textbox', { name: 'Months from' })).not.toHaveValue('')
  await page.getByRole('textbox', { name: 'Months to' }).fill('12')
  await page.getByRole('textbox', { name: 'Months to' }).press('Enter')
  await expect(page.getByTitle(/^Lift the limit Months from .* to 12$/)).toBeVisible()
  const side = page.getByRole('complementary')
  await side.getByRole('group', { name: 'Market' }).getByText('Gavelhop', { exact: true }).click()
  await expect(page.getByTitle('Lift the limit Gavelhop')).toBeVisible()
  const [few = ''] = (await status(page).innerText()).split(' ')
  await page.getByRole('button', { name: 'Keep as a Cut' }).click()
  await page.getByLabel('Name of the Cut').fill('Young on Gavelhop')
  await page.getByLabel('Name of the Cut').press('Enter')
  await page.getByRole('button', { name: 'Lift all limits' }).click()
  await expect(status(page)).toContainText(new RegExp(`^${all} of`))
  await page.reload()
  await expect(status(page)).toContainText(new RegExp(`^${all} of`), { timeout: 60_000 })
  await page.getByRole('button', { name: 'Young on Gavelhop' }).click()
  await expect(status(page)).toContainText(new RegExp(`^${few} of`))
  // shared as a file, and never taken for a Cut of items
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Save as a file' }).click()
  expect(JSON.parse(await textOf(await download))).toMatchObject({
    name: 'Young on Gavelhop',
    stores: { markets: ['Gavelhop'] },
  })
})

test('what a list of stores states stands beside what its listings sum to; both by keyboard', async ({ page }) => {
  await small(page)
  await go(page, 'Gather')
  const list = 'Market,Store,Sales,Live listings,Store since\nMarrowgate,Far Rail,25000,300,2025-01-10\n'
  await chooseFiles(page, textFile('stores.csv', list))
  await bringIn(page)
  await expect(page.getByRole('region', { name: 'Ledger' }).getByText('stores.csv')).toBeVisible()
  await go(page, 'Rivals')
  await expect(stores(page).getByRole('row').nth(1)).toContainText('Far Rail')
  // the Row counts those that only a list names, as the page does
  await expect(page.getByRole('link', { name: /^Rivals/ })).toContainText('5 stores')
  await expect(status(page)).toContainText('of 5 stores')
  await stores(page).focus()
  await page.keyboard.press('j')
  await expect(store(page, 'Far Rail')).toContainText('Not known: no listing of it says what it sold.')
  await page.keyboard.press('Enter')
  await expect(heading(page)).toHaveText('Far Rail')
  await expect(table(page, 'Stated and summed').getByRole('row', { name: /^Lifetime sales/ })).toContainText('25,000')
  await expect(page.getByRole('button', { name: 'Its items in Finds' })).toBeDisabled()
  await expect(page.getByText('0 of its 300 listings are gathered')).toBeVisible()
  await expect(page.getByText('Not known: no listing of it says when it was put up.')).toBeVisible()
  await page.keyboard.press('Escape')
  await stores(page).focus()
  await page.keyboard.press('j')
  await expect(page.getByRole('region', { name: /^Store / })).not.toContainText('Far Rail')
  await page.getByLabel('Search stores').fill('far')
  await expect(stores(page).getByRole('row')).toHaveCount(2)
  await expect(look(page)).toHaveCount(0)
})

test('five deep by mouse, from an item to its seller to another item, and back by the Trail', async ({ page }) => {
  await loadDemo(page)
  await page
    .locator('.find')
    .filter({ hasText: /[4-9] listings/ })
    .first()
    .dblclick()
  const seen = new Set<string>()
  const titles: string[] = []
  for (let deep = 0; deep < 5; deep++) {
    await expect(page.getByRole('region', { name: 'Answers' })).toContainText('Who sells it?')
    const sellers = page.getByTitle(/^All that .* sells$/)
    await expect(sellers.first()).toBeVisible()
    const names = await sellers.allInnerTexts()
    const at = names.findIndex((n) => !seen.has(n.trim()))
    const name = names[Math.max(0, at)]!.trim()
    seen.add(name)
    await sellers.nth(Math.max(0, at)).click()
    await expect(heading(page)).toHaveText(name)
    titles.push(name)
    const next = table(page, 'Best sellers').getByRole('button')
    const others = await next.allInnerTexts()
    const other = Math.max(
      0,
      others.findIndex((t) => !titles.includes(t.trim())),
    )
    titles.push(others[other]!.trim())
    await next.nth(other).click()
    await page.waitForURL('**/finds/item/**')
  }
  expect(seen.size).toBe(5)
  await expect(stops(page)).toHaveCount(11)
  // every stop leads back to where it was, the stores opened whole
  for (const at of [9, 5, 1]) {
    await stops(page).nth(at).getByRole('button').click()
    await expect(heading(page)).toHaveText(titles[at - 1]!)
    await expect(page.getByRole('region', { name: 'Answers' })).toContainText('What made the money?')
  }
})

test('five deep by keyboard alone', async ({ page }) => {
  await loadDemo(page)
  const press = async (...keys: string[]) => {
    for (const key of keys) await page.keyboard.press(key)
  }
  await press('ArrowDown')
  await expect(look(page)).toBeVisible()
  await press('o')
  for (let deep = 0; deep < 5; deep++) {
    // the short look has sellers as well: it is the full one that is waited for
    const full = page.getByRole('region', { name: 'Answers' })
    await expect(full).toContainText('Who sells it?')
    await expect(full.getByTitle(/^All that .* sells$/).first()).toBeVisible()
    await press('s')
    await page.waitForURL('**/rivals/store**')
    await expect(table(page, 'Best sellers')).toBeVisible()
    // another listing each time: the first may be the one that led here
    for (let i = 0; i < 2 + deep; i++) await press('ArrowDown')
    await expect(page.locator('[data-item]:focus')).toHaveCount(1)
    if (deep === 4) {
      await press('k')
      await expect(page.getByText('sheaf, 1 kept')).toBeVisible()
    }
    await press('Enter')
    await page.waitForURL('**/finds/item/**')
  }
  expect(await stops(page).count()).toBeGreaterThanOrEqual(8)
  await stops(page).nth(1).getByRole('button').focus()
  await press('Enter')
  await page.waitForURL('**/rivals/store**')
  await expect(page.getByRole('region', { name: 'Answers' })).toContainText('What made the money?')
})

test('a store of which only a list speaks is scanned whole by one press, and its page follows', async ({ page }) => {
  await loadDemo(page)
  await page.keyboard.press('5')
  await openStore(page, 'Farholt', 'Juniper & Trowel')
  await expect(page.getByText('0 of its 1,478 listings are gathered')).toBeVisible()
  await expect(table(page, 'Windows')).not.toContainText('7,160')
  await page.getByRole('button', { name: 'Limits' }).click()
  await page.getByLabel('Sales rank, at most').fill('60000')
  await page.getByLabel('Sales rank, at most').press('Enter')
  await page.getByLabel('Profit possible, at least').fill('2')
  await page.getByLabel('Profit possible, at least').press('Enter')
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: 'Scan the rest' }).click()
  // what each limit left out is told
  await expect(page.getByText(/^left out: .*ranked too low.*too little profit/)).toBeVisible({ timeout: 60_000 })
  const part = page.getByText(/^(?!0 )[\d,]+ of its 1,478 listings are gathered|· [\d,]+ of its 1,478/)
  await expect(part.first()).toBeVisible({ timeout: 60_000 })
  await expect(page.getByText('0 of its 1,478 listings are gathered')).toHaveCount(0)
  await page.getByRole('button', { name: 'Limits set' }).click()
  await page.getByLabel('Sales rank, at most').fill('')
  await page.getByLabel('Sales rank, at most').press('Enter')
  await page.getByLabel('Profit possible, at least').fill('')
  await page.getByLabel('Profit possible, at least').press('Enter')
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: 'Scan the rest' }).click()
  await expect(page.getByText('All of its 1,478 listings are gathered')).toBeVisible({ timeout: 60_000 })
  // as the source says of each, so the whole sums to what the list states
  await expect(table(page, 'Windows').getByRole('row', { name: /^30 days/ })).toContainText('7,160')
  await expect(table(page, 'Best sellers').getByRole('row')).toHaveCount(13)
})

test('a pool of ten becomes kept items, as one step that is taken back whole', async ({ page }) => {
  await loadDemo(page)
  await page.keyboard.press('5')
  await page.getByLabel('Least sales since it opened').fill('6000')
  await page.getByLabel('Least sales since it opened').press('Enter')
  await page.getByText('Only these').click()
  const ticks = stores(page).getByRole('checkbox')
  for (let i = 0; i < 9; i++) await ticks.nth(i).check()
  // the tenth by keyboard
  await page.getByText('Only these').click()
  await page.getByLabel('Search stores').fill('feather alm')
  await expect(stores(page).getByRole('row')).toHaveCount(2)
  await stores(page).focus()
  await page.keyboard.press('j')
  await expect(store(page, 'Feather Almanac')).toBeVisible()
  await page.keyboard.press('p')
  await view(page, 'Pool')
  await expect(page.getByRole('list', { name: 'Stores of the pool' }).getByRole('listitem')).toHaveCount(10)
  await page.getByRole('radiogroup', { name: 'View of the pool' }).getByText('Proven items').click()
  const kept = page.getByRole('button', { name: /^Keep all / })
  const count = /[\d,]+/.exec(await kept.innerText())![0]
  await kept.click()
  await expect(
    page.getByText(`sheaf, ${count.replace(',', '')} kept`).or(page.getByText(`sheaf, ${count} kept`)),
  ).toBeVisible({ timeout: 60_000 })
  await page.keyboard.press('Control+z')
  await expect(page.getByText('sheaf, 0 kept')).toBeVisible()
  // the floor follows at once, and the way into Finds is the pool with it
  await page.getByLabel('Least lifetime sales of an item').fill('1000')
  await page.getByLabel('Least lifetime sales of an item').press('Enter')
  await expect(kept).not.toHaveText(`Keep all ${count}`)
  await page.getByRole('button', { name: 'In Finds' }).click()
  await page.waitForURL('**/finds')
  await expect(page.getByTitle(/^Lift the limit Lifetime sales/)).toBeVisible()
  await page.reload()
  await page.keyboard.press('5')
  await view(page, 'Pool')
  await expect(page.getByRole('list', { name: 'Stores of the pool' }).getByRole('listitem')).toHaveCount(10)
})

test('a pasted list of 500 own items gives the near twin, and what it has that I have not', async ({ page }) => {
  const world = demoWorld()
  const own = ownCatalogue(world)
  await loadDemo(page)
  // the catalogue that came with the demo goes: the pasted list is all that is known of me
  await go(page, 'Gather')
  await page
    .getByRole('row')
    .filter({ hasText: 'harrow-quay-catalogue.csv' })
    .getByRole('button', { name: /^Remove/ })
    .click()
  await page.getByRole('button', { name: 'Remove', exact: true }).last().click()
  await expect(page.getByText('harrow-quay-catalogue.csv')).toHaveCount(0)
  await go(page, 'Rivals')
  await view(page, 'Most like me')
  await page.getByRole('button', { name: 'Paste a list' }).click()
  const text = own.map((o) => [o.gtin ?? '', o.title].filter((t) => t !== '').join('\t')).join('\n')
  await page.getByLabel('My goods, one a line').fill(text)
  await page.getByRole('button', { name: 'Take these' }).click()
  const alike = table(page, 'Stores most like me')
  await expect(alike.getByRole('row').nth(1)).toContainText('Harbour Wall Post')
  const shared = Number(await alike.getByRole('row').nth(1).getByRole('cell').nth(3).innerText())
  const twin = world.listings.filter((l) => l.store.name === 'Harbour Wall Post')
  const mine = new Set(own.map((o) => o.goods.id))
  const truth = new Set(twin.map((l) => l.goods.id).filter((id) => mine.has(id))).size
  expect(shared / truth).toBeGreaterThanOrEqual(0.95)
  expect(shared / truth).toBeLessThanOrEqual(1.05)
  await alike.getByRole('row').nth(1).getByRole('button', { name: 'Harbour Wall Post' }).click()
  await expect(page.getByText(/\d+ items of it that I do not sell/)).toBeVisible()
  const same = (g: (typeof own)[number]['goods']) => [g.archetype.noun, g.size, g.colour, g.motif].join('|')
  const somehow = new Set(own.map((o) => same(o.goods)))
  const gaps = new Set(twin.filter((l) => !somehow.has(same(l.goods))).map((l) => l.goods.id)).size
  const said = Number(
    /(\d+) items of it that I do not sell/.exec(
      await page.getByText(/\d+ items of it that I do not sell/).innerText(),
    )![1],
  )
  expect(Math.abs(said - gaps)).toBeLessThanOrEqual(0.05 * twin.length)
  // in Finds the gaps are gaps, and what I sell says so
  await page.getByRole('button', { name: /^All [\d,]+ in Finds/ }).click()
  await expect(page.getByTitle('Lift the limit what I do not sell')).toBeVisible()
  await expect(page.locator('.find').filter({ hasText: '· mine' })).toHaveCount(0)
  await page.getByTitle('Lift the limit what I do not sell').click()
  await expect(page.locator('.find').filter({ hasText: '· mine' }).first()).toBeVisible()
})

test('ways in: a category, a term and a search each lead to their stores; names that are pasted stand alone', async ({
  page,
}) => {
  await loadDemo(page)
  await page.getByLabel('Search', { exact: true }).fill('peanut')
  await page.getByRole('button', { name: 'Their stores' }).click()
  await page.waitForURL('**/rivals?selling**')
  await expect(page.getByTitle('Lift the limit selling: peanut')).toBeVisible()
  await expect(stores(page).getByRole('columnheader', { name: /Of these/ })).toBeVisible()
  const [some = ''] = (await status(page).innerText()).split(' ')
  expect(Number(some)).toBeGreaterThan(5)
  await page.getByTitle('Lift the limit selling: peanut').click()
  await expect(status(page)).not.toContainText(new RegExp(`^${some} of`))
  await go(page, 'Demand')
  await page.getByRole('button', { name: /^To / }).first().click()
  await page.getByRole('button', { name: 'Its stores' }).click()
  await expect(page.getByTitle(/^Lift the limit selling: /)).toBeVisible()
  await page.goBack()
  await expect(heading(page)).toHaveText('Demand')
  await go(page, 'Rivals')
  await page.getByRole('button', { name: 'Paste names' }).click()
  await page
    .getByRole('textbox', { name: 'Names of stores' })
    .fill('- sprig & rail\n- Old Gate  Sundries\n- Nobody & Co')
  await page.getByRole('button', { name: 'Show these' }).click()
  await expect(stores(page).getByRole('row')).toHaveCount(3)
  await expect(page.getByText('1 name of no store: Nobody & Co')).toBeVisible()
  // everything leaves in open forms
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Export', exact: true }).click()
  await page.getByRole('button', { name: 'CSV' }).click()
  const csv = await textOf(await download)
  expect(csv.split('\r\n')).toHaveLength(2 + 1)
  expect(csv).toContain('"Old Gate Sundries"')
})

test('a store prints on one sheet, without the frame around it', async ({ page }) => {
  await loadDemo(page)
  await page.keyboard.press('5')
  await openStore(page, 'Marrowgate', 'Harbour Wall Post')
  await expect(table(page, 'Gaps')).toBeVisible()
  await page.emulateMedia({ media: 'print' })
  await expect(page.getByRole('link', { name: /^Finds/ })).toBeHidden()
  await expect(page.getByText('How are its figures known?')).toBeVisible()
  const pdf = await page.pdf({ preferCSSPageSize: true, path: process.env.SICKLE_PDF })
  expect(pdf.toString('latin1').match(/\/Type\s*\/Page[^s]/g)).toHaveLength(1)
})
