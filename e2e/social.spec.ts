import { expect, test, type Locator, type Page } from '@playwright/test'
import { atRest, loadDemo, look } from './steps'

/** A hit of the month as the demo's own file states it: what is shown has to agree with it. */
interface Hit {
  title: string
  units: number
  creators: number
  commission: number
  rating: number
}

async function hitsOf(page: Page): Promise<Hit[]> {
  const csv = await page.evaluate(async () => (await fetch('/demo/files/loopreel-hits.csv')).text())
  const [head = [], ...rows] = csv
    .trim()
    .split('\r\n')
    .map((line) => [...line.matchAll(/"([^"]*)"|([^,]+)/g)].map((m) => m[1] ?? m[2] ?? ''))
  const of = (row: string[], name: string) => row[head.indexOf(name)] ?? ''
  return rows.map((row) => ({
    title: of(row, 'Product name'),
    units: Number(of(row, 'Units sold')),
    creators: Number(of(row, 'Creators')),
    commission: parseFloat(of(row, 'Commission')) / 100,
    rating: Number(of(row, 'Rating')),
  }))
}

/** The affiliate's whole task, press by press: each press of a button or a key counts, what is typed into a field does not. */
function presser(page: Page) {
  let count = 0
  return {
    press: async (what: Locator) => (count++, await what.click()),
    key: async (name: string) => (count++, await page.keyboard.press(name)),
    presses: () => count,
  }
}

test('the affiliate’s task: from the door to what a clip would earn in at most twenty presses', async ({ page }) => {
  await page.goto('/')
  const { press, key, presses } = presser(page)
  await press(page.getByRole('button', { name: 'Load the demo' }))
  await expect(page.getByText(/of 1,8\d\d items/)).toBeVisible({ timeout: 120_000 })
  await press(page.getByRole('button', { name: 'All markets' }))
  await press(page.getByRole('dialog', { name: 'Markets that count' }).getByRole('checkbox', { name: 'Loopreel' }))
  await expect(page.getByRole('button', { name: 'Loopreel alone' })).toBeVisible()
  await press(page.getByRole('checkbox', { name: /^little \(100–999\)/ }))
  await press(page.getByRole('button', { name: /^Limit of Units/ }))
  await page.getByRole('textbox', { name: 'Units, 30 d from' }).fill('1000')
  await key('Tab')
  await page.keyboard.type('5000')
  await key('Enter')
  await press(page.getByRole('button', { name: /^Limit of Rating/ }))
  await page.getByRole('textbox', { name: 'Rating from' }).fill('4')
  await key('Enter')
  await press(page.getByRole('button', { name: 'Another limit' }))
  await press(page.getByRole('combobox', { name: 'Limit by' }))
  await page.keyboard.type('Commission')
  await press(page.getByRole('option', { name: 'Commission', exact: true }))
  await page.getByRole('textbox', { name: 'Commission from' }).fill('15')
  await key('Tab')
  await page.keyboard.type('30')
  await key('Enter')
  await press(page.getByRole('checkbox', { name: /^Ripe\b/ }))
  await press(page.getByRole('checkbox', { name: /^Ripening\b/ }))
  const wanted = (await hitsOf(page)).filter(
    (h) =>
      h.units >= 1000 &&
      h.units <= 5000 &&
      h.creators >= 100 &&
      h.creators <= 999 &&
      h.rating >= 4 &&
      h.commission >= 0.15 &&
      h.commission <= 0.3,
  )
  // every one that is found is one of those, with the units of that market; a spike is none of them
  await expect(page.locator('.find').first()).toBeVisible()
  const titles = await page.locator('.find .title').allTextContents()
  expect(titles.length).toBeGreaterThan(2)
  for (const title of titles) expect(wanted.map((h) => h.title)).toContain(title.trim())
  expect(titles.join()).not.toMatch(/Herb press|Nest camera/)
  const first = wanted.find((h) => h.title === titles[0]?.trim())
  await expect(page.locator('.find').first()).toContainText((first?.units ?? 0).toLocaleString('en'))
  await press(page.locator('.find').first())
  await key('o')
  const earn = page.getByRole('article').filter({ hasText: 'What would I earn by clips?' })
  await expect(earn).toContainText(/The middle clip earned € \d+\.\d\d/)
  await expect(
    look(page)
      .or(page.getByRole('region', { name: 'Answers' }))
      .first(),
  ).toBeVisible()
  expect(presses()).toBeLessThanOrEqual(20)
})

test('creators: who fits what I kept is found, put on the list, written to, and how it stands is kept', async ({
  page,
}) => {
  await loadDemo(page)
  await page.locator('.find').first().click()
  await look(page).getByRole('button', { name: /^Keep/ }).click()
  await page.getByRole('link', { name: /^Rivals/ }).click()
  await page.getByRole('radiogroup', { name: 'View of Rivals' }).getByText('Creators').click()
  const table = page.getByRole('table', { name: 'Creators' })
  const first = table.getByRole('row').nth(1).getByRole('button')
  const before = (await first.textContent()) ?? ''
  await page.getByRole('radiogroup', { name: 'How they fit' }).getByText('and show mine not yet').click()
  await expect(table.getByRole('columnheader', { name: /^Units like mine/ })).toHaveAttribute('aria-sort', 'descending')
  await expect(page.getByText('shows mine')).toHaveCount(0)
  // who sells most of all shows what I kept already
  await expect(first).not.toHaveText(before)
  const name = (await first.textContent()) ?? ''
  await first.click()
  await expect(page.getByRole('region', { name: `Creator ${name}` })).toContainText('The middle one took €')
  await page.getByRole('button', { name: 'Write to …' }).click()
  const list = page.getByRole('region', { name: 'To write to' })
  await list.getByRole('button', { name: 'Message …' }).click()
  const message = page.getByRole('region', { name: `Message to ${name}` })
  await expect(message).toContainText(`Hello ${name.replace('@', '')},`)
  const saved = page.waitForEvent('download')
  await message.getByRole('button', { name: 'Save' }).click()
  expect((await saved).suggestedFilename()).toMatch(/^creator-.*\.txt$/)
  await page.getByRole('button', { name: 'Note it as written today' }).click()
  // what closes gives the focus back where it was
  await expect(message).toBeHidden()
  await atRest(page)
  await list.getByRole('textbox', { name: `Note on ${name}` }).fill('asks for two')
  await page.keyboard.press('Enter')
  await page.reload()
  await expect(list.getByRole('listitem', { name })).toContainText('written', { timeout: 60_000 })
  await expect(list.getByRole('textbox', { name: `Note on ${name}` })).toHaveValue('asks for two')
  await list.getByRole('button', { name: `Take ${name} off the list` }).click()
  await expect(list).toContainText('Nobody yet')
})

test('ads: those that run long, their way to item and shop, a Cut of them, and ads alike by a dropped picture', async ({
  page,
}) => {
  await loadDemo(page)
  await page.goto('/finds/ads')
  const table = page.getByRole('table', { name: 'Advertisements' })
  await expect(table).toBeVisible()
  const told = page.getByRole('status').filter({ hasText: /ads under \d+ numbers/ })
  const all = await told.textContent()
  await page.getByRole('checkbox', { name: /^runs long/ }).click()
  await expect(told).not.toHaveText(all ?? '')
  await page.getByRole('button', { name: 'Keep as a Cut' }).click()
  await page.getByRole('textbox', { name: 'Name of the Cut' }).fill('They stay')
  await page.keyboard.press('Enter')
  await page.getByRole('button', { name: 'Lift all limits' }).click()
  await expect(told).toHaveText(all ?? '')
  await page.getByRole('button', { name: 'They stay', exact: true }).click()
  await expect(told).not.toHaveText(all ?? '')
  await table.getByRole('row').nth(1).getByRole('button').first().click()
  const pane = page.getByRole('complementary', { name: /^The ad / })
  // the demo's truth: what runs long is shown more and more
  await expect(pane).toContainText(/Views a day since the look before: \+\d+/)
  await expect(pane).not.toContainText('Score')
  await page.getByRole('checkbox', { name: 'Score' }).click()
  await expect(pane.getByRole('table', { name: 'Parts of the score' })).toBeVisible()
  const picture = await table.getByRole('row').nth(1).locator('img').getAttribute('src')
  await page.evaluate(async (address) => {
    const data = new DataTransfer()
    data.items.add(new File([await (await fetch(address)).blob()], 'ad.svg', { type: 'image/svg+xml' }))
    for (const kind of ['dragenter', 'dragover', 'drop'])
      document.body.dispatchEvent(new DragEvent(kind, { dataTransfer: data, bubbles: true }))
  }, picture ?? '')
  const found = page.getByRole('dialog', { name: 'What looks like it' })
  await expect(found.getByRole('listitem').first()).toContainText('advertises', { timeout: 60_000 })
  await page.keyboard.press('Escape')
  await pane.getByRole('button', { name: 'All that it sells' }).click()
  await expect(page).toHaveURL(/\/finds$/)
  await expect(page.locator('.find').first()).toBeVisible()
})
