import { readFileSync } from 'node:fs'
import Papa from 'papaparse'
import { expect, test } from '@playwright/test'
import { strFromU8, unzipSync } from 'fflate'
import { bringIn, chooseFiles, decide, findRow, go, ledgerRow, look, small, textFile, textOf } from './steps'

/** What a seller's hands do, control by control, on three goods that are worked out by hand. */

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
  const list = page.getByRole('table', { name: 'Decisions' })
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
  await page.getByText(/^Dropped/).click()
  await expect(list.getByRole('row')).toHaveCount(2)
  await page.getByLabel(/^Decision on Kneeling/).selectOption('keep')
  await page.getByRole('radiogroup').getByText(/^All/).click()
  const file = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Save as CSV' }).click()
  const rows = rowsOf(await textOf(await file))
  expect(rows.map((r) => [r.decision, r.reason, r.note, r.assumed])).toEqual([
    ['hold', '', "'=ask for a sample", 'fees, pack'],
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
  await look(page).getByRole('button', { name: 'Take that back' }).click()
  await expect(look(page)).toContainText('Landed € 3.20')
  await look(page)
    .getByRole('group', { name: /^Pieces in the pack of/ })
    .getByRole('button', { name: /one more/ })
    .click()
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
  await spoil('columns', 'price', 'rows', 7)
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
