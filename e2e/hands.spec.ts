import { readFileSync } from 'node:fs'
import Papa from 'papaparse'
import { expect, test, type Page } from '@playwright/test'
import { strFromU8, unzipSync } from 'fflate'
import { bringIn, chooseFiles, findRow, ledgerRow, listingsCsv, offersCsv, textFile, textOf } from './steps'

/** What a seller's hands do, control by control, on three goods that are worked out by hand. */

const look = (page: Page) => page.getByRole('region', { name: 'Close look' })
const go = (page: Page, stage: string) => page.getByRole('link', { name: new RegExp(`^${stage}`) }).click()

async function small(page: Page): Promise<void> {
  await page.goto('/')
  await chooseFiles(page, [textFile('market.csv', listingsCsv), textFile('supplier.csv', offersCsv)])
  await bringIn(page, { market: 'Marrowgate' })
  await expect(page.getByRole('heading', { name: 'supplier.csv' })).toBeVisible()
  await bringIn(page, { supplier: 'Sill Mill' })
  await expect(ledgerRow(page, 'supplier.csv')).toBeVisible()
  await go(page, 'Finds')
  await expect(page.getByText('of 3 items')).toBeVisible()
}
async function decide(page: Page, words: string, how: RegExp): Promise<void> {
  await findRow(page, words).click()
  await expect(look(page).getByRole('heading', { level: 2 })).toContainText(new RegExp(words, 'i'))
  await look(page).getByRole('button', { name: how }).click()
}
async function fill(page: Page, label: string, text: string): Promise<void> {
  await page.getByLabel(label, { exact: true }).fill(text)
  await page.getByLabel(label, { exact: true }).press('Enter')
}
const rowsOf = (text: string) => Papa.parse<Record<string, string>>(text, { header: true, skipEmptyLines: true }).data

test('sheaves: made, chosen, renamed, searched, noted, decided anew, and taken out as a file', async ({ page }) => {
  await small(page)
  await decide(page, 'Balcony hook', /^Keep/)
  await page.getByRole('button', { name: /First sheaf/ }).click()
  await page.getByText('New sheaf …').click()
  await expect(page.getByLabel('Name of the sheaf')).toBeFocused()
  await page.keyboard.type('Spring')
  await page.keyboard.press('Enter')
  await expect(page.getByText('sheaf, 0 kept · 0 held · 0 dropped')).toBeVisible()
  await decide(page, 'bird bath', /^Hold/)
  await decide(page, 'Kneeling pad', /^Drop/)
  await go(page, 'Sheaves')
  const list = page.getByRole('region', { name: 'Decisions' })
  await expect(list.getByRole('row')).toHaveCount(3)
  await page.getByLabel('Name of the sheaf').fill('Spring balcony')
  await page.getByLabel('Name of the sheaf').press('Enter')
  await expect(page.getByRole('button', { name: /Spring balcony/ })).toBeVisible()
  await page.getByLabel(/^Note on .*bird bath/i).fill('=ask for a sample')
  await page.getByLabel(/^Note on .*bird bath/i).press('Enter')
  await page.getByLabel(/^Reason for Kneeling/).fill('too few sold')
  await page.getByLabel(/^Reason for Kneeling/).press('Enter')
  await page.getByLabel('Search the sheaf').fill('sample')
  await expect(list.getByRole('row')).toHaveCount(2)
  await page.getByLabel('Search the sheaf').fill('')
  await page.getByRole('button', { name: /^Dropped/ }).click()
  await expect(list.getByRole('row')).toHaveCount(2)
  await page.getByLabel(/^Decision on Kneeling/).selectOption('keep')
  await page.getByRole('button', { name: /^All/ }).click()
  const file = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Save as CSV' }).click()
  const rows = rowsOf(await textOf(await file))
  expect(rows.map((r) => [r.decision, r.reason, r.note, r.fees])).toEqual([
    ['hold', '', "'=ask for a sample", 'assumed'],
    ['keep', 'too few sold', '', ''],
  ])
  await page.getByRole('button', { name: /Spring balcony/ }).click()
  await page.getByText('First sheaf', { exact: true }).click()
  await expect(list.getByRole('row')).toHaveCount(2)
  await expect(page.getByLabel('Name of the sheaf')).toHaveValue('First sheaf')
  await page.reload()
  await expect(page.getByText('sheaf, 1 kept')).toBeVisible()
})

test('a Cut goes out as a file and comes back; a damaged one says what is wrong; keys are shown', async ({ page }) => {
  await small(page)
  await page.getByPlaceholder(/^Words in titles/).fill('bath')
  await page.getByRole('button', { name: 'Keep as a Cut' }).click()
  await page.keyboard.type('Baths')
  await page.keyboard.press('Enter')
  const file = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Save as a file' }).click()
  const text = await textOf(await file)
  await page.getByRole('button', { name: 'Forget', exact: true }).last().click()
  await expect(page.getByRole('button', { name: /^Baths/ })).toHaveCount(0)
  const take = async (name: string, content: string) => {
    const chooser = page.waitForEvent('filechooser')
    await page.getByRole('button', { name: 'Bring a Cut from a file' }).click()
    await (await chooser).setFiles(textFile(name, content))
  }
  await take('bad.json', text.replace('"words": "bath"', '"words": 7'))
  await expect(page.getByRole('alert')).toHaveText('This Cut cannot be read: words of query must be a text.')
  await take('bad.json', '{')
  await expect(page.getByRole('alert')).toHaveText('The file is no JSON.')
  await take('good.json', text)
  await page.getByRole('button', { name: /^Baths/ }).click()
  await expect(page.getByText('of 3 items')).toContainText('1')
  await page.keyboard.press('?')
  const keys = page.getByRole('dialog', { name: 'Keys of this screen' })
  await expect(keys).toContainText('Cost it in Margin')
  await expect(keys).toContainText('Undo the last step')
})

test('packs, offers and joins by hand, each with its figure and its way back', async ({ page }) => {
  await small(page)
  await findRow(page, 'Balcony hook').click()
  await expect(look(page)).toContainText('Landed € 3.20 a pack of 4 from Sill Mill')
  const stepper = look(page).getByRole('group', { name: 'Pieces in the listing' })
  await stepper.getByRole('button', { name: /one less/ }).click()
  await expect(look(page)).toContainText('Landed € 2.40 a pack of 3')
  await expect(look(page).getByText('set by you')).toBeVisible()
  await stepper.getByRole('textbox').fill('')
  await stepper.getByRole('textbox').press('Enter')
  await expect(look(page)).toContainText('Landed € 3.20 a pack of 4')
  await look(page).getByRole('button', { name: 'Not the same' }).click()
  await expect(look(page)).toContainText('No supplier offer is known')
  await look(page).getByRole('button', { name: 'Let Sickle choose' }).click()
  await expect(look(page)).toContainText('Landed € 3.20')
  await look(page).getByRole('group', { name: /^Pieces in the pack of/ }).getByRole('button', { name: /one more/ }).click()
  await expect(look(page)).toContainText('Landed € 1.60 a pack of 4')
  await page.keyboard.press('Control+z')
  await expect(look(page)).toContainText('Landed € 3.20')

  await findRow(page, 'Balcony hook').dblclick()
  const joined = page.locator('article').filter({ hasText: 'Are these the same goods?' })
  await joined.getByRole('button', { name: 'Show them, and why' }).click()
  await joined.getByRole('button', { name: 'Not the same' }).click()
  await expect(joined).toContainText('1 listing joined')
  await page.keyboard.press('Control+z')
  await expect(joined).toContainText('2 listings joined')
}) // prettier-ignore

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
  await page.getByRole('row').filter({ has: page.getByLabel('Percentage of Market fee') }).getByRole('button', { name: 'add a step' }).click()
  await fill(page, 'Step 1 of Market fee begins at', '10.00')
  await fill(page, 'Percentage of step 1 of Market fee', '20')
  const file = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Save as a file' }).click()
  const text = await textOf(await file)
  await page.keyboard.press('Escape')
  // 10 % of 10.00 and 20 % of 2.89 are 1.58; 3 % are 0.39; 12.89 − 3.20 − 1.58 − 0.39
  await expect(profit).toHaveText('+7.72')

  await page.getByRole('button', { name: 'Fees of Marrowgate …' }).click()
  const bring = async (content: string) => {
    const chooser = page.waitForEvent('filechooser')
    await page.getByRole('button', { name: 'Bring from a file' }).click()
    await (await chooser).setFiles(textFile('fees.json', content))
  }
  await bring(text.replace('"percent": 10', '"percent": "ten"'))
  await expect(page.getByRole('alert')).toHaveText('The fee schedule cannot be used: percentage of line 1 must be a number.')
  await bring(text.replace('"percent": 10', '"percent": 0'))
  await expect(page.getByLabel('Percentage of Market fee')).toHaveValue('0')
  await page.keyboard.press('Escape')
  await expect(profit).toHaveText('+8.72')

  await fill(page, 'Packing', '1.2.3')
  await expect(page.getByRole('alert')).toBeVisible()
  await expect(profit).toHaveText('+8.72')
  await fill(page, 'Packing', '0.72')
  await expect(profit).toHaveText('+8.00')
  await fill(page, 'Discount', '100')
  await expect(page.getByRole('alert')).toHaveText('It must be from 0 to 99 %')
  await fill(page, 'Discount', '0')
  await page.getByRole('button', { name: 'Use it for all items' }).click()
  await expect(page.getByText('What stands out holds for this item only.')).toHaveCount(0)

  const price = page.getByRole('textbox', { name: 'My price' })
  await page.getByRole('button', { name: /^Floor/ }).click()
  // least profit 2.00: p − 3.20 − 0.72 − 3 % of p − 20 % of what is above 10.00; below 10.00 that is p × 0.97 ≥ 5.92
  await expect(price).toHaveValue('6.10')
  await expect(profit).toHaveText('+2.00')
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
}) // prettier-ignore

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
  expect(row).toMatchObject({ title: 'Strong balcony hooks', price: '14.00', 'price by': 'hand', quantity: '12', 'handling days': '3', description: 'Holds a basket.', fees: 'assumed' }) // prettier-ignore
  expect(row?.tags?.split('|')).toContain('railing hook')
  await draft.getByRole('button', { name: 'Price as in Margin again' }).click()
  await expect(page.getByLabel('Price', { exact: true })).toHaveValue('12.89')
  await expect(draft.getByLabel('Title')).toHaveValue('Strong balcony hooks')
})

test('records leave as XLSX and Parquet and come back the same; templates and the Data Package too', async ({
  page,
}) => {
  await small(page)
  await go(page, 'Gather')
  for (const format of ['XLSX', 'Parquet']) {
    await page.getByRole('button', { name: 'market.csv', exact: true }).click()
    const file = page.waitForEvent('download')
    await page.getByRole('button', { name: format, exact: true }).click()
    const saved = await file
    const name = `again.${format.toLowerCase()}`
    await page.keyboard.press('Escape')
    await chooseFiles(page, textFile(name, readFileSync(await saved.path())))
    await bringIn(page)
    await expect(ledgerRow(page, name).getByRole('cell').nth(3)).toHaveText('5')
  }
  // the same listings said again are no new ones
  await go(page, 'Finds')
  await expect(page.getByText('of 3 items')).toBeVisible()
  await go(page, 'Gather')
  await page.getByRole('button', { name: 'Templates' }).click()
  const template = page.waitForEvent('download')
  await page.getByRole('button', { name: /^Supplier offers/ }).click()
  const text = await textOf(await template)
  await page.keyboard.press('Escape')
  await chooseFiles(page, textFile('filled.csv', text))
  await bringIn(page, { supplier: 'Quay Works' })
  await expect(ledgerRow(page, 'filled.csv').getByRole('cell').nth(3)).toHaveText('1')
  const packed = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Save all data' }).click()
  const files = unzipSync(readFileSync(await (await packed).path()))
  const about = JSON.parse(strFromU8(files['datapackage.json']!)) as { resources: { path: string }[] }
  expect(about.resources).toHaveLength(5)
  for (const { path } of about.resources) expect(strFromU8(files[path]!)).toContain('"')
})

test('a decision that cannot be written is taken back, and a workspace spoilt at rest says so', async ({ page }) => {
  await small(page)
  await decide(page, 'Balcony hook', /^Keep/)
  await expect(page.getByText('sheaf, 1 kept')).toBeVisible()
  await page.evaluate(() => {
    IDBObjectStore.prototype.put = () => {
      throw new DOMException('full', 'QuotaExceededError')
    }
  })
  await decide(page, 'bird bath', /^Keep/)
  await expect(page.getByText('The browser gives Sickle no more space.')).toBeVisible()
  await expect(page.getByText('sheaf, 1 kept')).toBeVisible()
  await page.reload()
  await expect(page.getByText('sheaf, 1 kept')).toBeVisible()

  const spoil = (store: string, key: IDBValidKey, name: string, value: unknown) =>
    page.evaluate(
      ([at, of, part, now]) =>
        new Promise<void>((resolve) => {
          const opening = indexedDB.open('sickle')
          opening.onsuccess = () => {
            const tx = opening.result.transaction(at, 'readwrite')
            const records = tx.objectStore(at)
            const keys = records.getAllKeys()
            keys.onsuccess = () => {
              const key = keys.result.find((k) => JSON.stringify(k).includes(of)) as IDBValidKey
              const got = records.get(key)
              got.onsuccess = () => records.put({ ...(got.result as object), [part]: now }, key)
            }
            tx.oncomplete = () => (opening.result.close(), resolve())
          }
        }),
      [store, JSON.stringify(key), name, value] as [string, string, string, unknown],
    )
  await spoil('columns', 'price', 'rows', 2)
  await spoil('documents', 'sheaves', 'value', { open: 'first', sheaves: [] })
  await page.reload()
  await expect(page.getByText(/^What is kept of (market|supplier)\.csv is not as it was brought in/)).toBeVisible()
  await expect(page.getByText(/^Your sheaves and decisions kept in this browser were changed/)).toBeVisible()
  await page.getByRole('button', { name: 'I have read it' }).click()
  await expect(page.getByText(/^Your sheaves and decisions/)).toHaveCount(0)
  await page.getByRole('link', { name: 'To the ledger' }).click()
  const row = page.getByRole('region', { name: 'Ledger' }).getByRole('row').filter({ hasText: 'Set aside' })
  await expect(row).toContainText('the column “price” has another length')
  await row.getByRole('button', { name: /^Remove/ }).click()
  await page.getByRole('dialog').getByRole('button', { name: 'Remove' }).click()
  await expect(page.getByText(/^What is kept of/)).toHaveCount(0)
})
