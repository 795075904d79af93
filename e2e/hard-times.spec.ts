import { zipSync, strToU8, unzipSync } from 'fflate'
import { mkdtempSync, readFileSync, truncateSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expect, test } from '@playwright/test'
import { bringIn, chooseFiles, findRow, ledgerRow, listingsCsv, offersCsv, textFile, textOf } from './steps'

test('bad input gives a clear message; nothing is lost, nothing runs', async ({ page }) => {
  await page.goto('/')
  await chooseFiles(page, textFile('good.csv', listingsCsv))
  await bringIn(page, { market: 'Marrowgate' })
  await expect(ledgerRow(page, 'good.csv')).toBeVisible()

  const bad: [string, Buffer<ArrayBuffer>, RegExp][] = [
    ['empty.csv', Buffer.from(''), /empty\.csv is empty/],
    ['picture.csv', Buffer.from([0x89, 0x50, 0x4e, 0x47, 13, 10, 26, 10, 0, 0, 0, 13]), /picture\.csv is not a table/],
    [
      'broken.xlsx',
      Buffer.from(zipSync({ 'xl/workbook.xml': strToU8('<workbook') })),
      /broken\.xlsx cannot be opened as a spreadsheet/,
    ],
    ['deep.json', Buffer.from('['.repeat(9000) + ']'.repeat(9000)), /deep\.json is nested more than 40 levels/],
    ['cut.json', Buffer.from('{"results": [{"id": 1'), /cut\.json is not valid JSON/],
    ['words.txt', Buffer.from('Dear shop, please send prices.'), /words\.txt holds no table/],
  ]
  for (const [name, buffer, message] of bad) {
    await chooseFiles(page, { name, mimeType: 'application/octet-stream', buffer })
    const alert = page.getByRole('alert').filter({ hasText: message })
    await expect(alert).toBeVisible()
    await alert.getByRole('button').click()
  }
  // A file of a gigabyte (sparse, so that it costs no room) is refused by its size.
  const gigabyte = join(mkdtempSync(join(tmpdir(), 'sickle-')), 'gigabyte.csv')
  writeFileSync(gigabyte, 'Item ID,Title,Price\n')
  truncateSync(gigabyte, 1_100_000_000)
  await chooseFiles(page, gigabyte)
  await expect(
    page.getByRole('alert').filter({ hasText: /gigabyte\.csv is 1100 MB; Sickle takes text files up to/ }),
  ).toBeVisible()

  // A file of the wrong kind: nothing is taken for granted, what it holds is asked, and it can be left out. It is dropped on the page.
  await page.evaluate(() => {
    const dataTransfer = new DataTransfer()
    dataTransfer.items.add(new File(['Town,Rain,Wind\nHarrow Quay,3,2\nSill,4,1\n'], 'weather.csv'))
    for (const type of ['dragenter', 'dragover', 'drop'])
      document.body.dispatchEvent(new DragEvent(type, { bubbles: true, cancelable: true, dataTransfer }))
  })
  await expect(page.getByRole('radiogroup', { name: 'What does this file hold?' })).toBeVisible()
  await expect(page.getByRole('button', { name: 'Bring in' })).toBeDisabled()
  await page.getByRole('button', { name: 'Leave out' }).click()
  await expect(ledgerRow(page, 'good.csv').getByRole('cell').nth(3)).toHaveText('5')
  await expect(page.getByRole('region', { name: 'Ledger' }).getByRole('row')).toHaveCount(2)
})

test('a title with HTML is text; a cell that begins with = is disarmed', async ({ page }) => {
  const evil =
    'Item ID,Title,Seller,Price (EUR),Units sold last 30 days\nX1,"<img src=x onerror=""document.title=\'owned\'""> bath",=1+1,10.00,5\nX2,"=HYPERLINK(""http://example.test"")",Sill Life,12.00,4\n'
  await page.goto('/')
  await chooseFiles(page, textFile('evil.csv', evil))
  await bringIn(page, { market: '<b>Bold</b>' })
  await expect(ledgerRow(page, 'evil.csv')).toContainText('<b>Bold</b>')
  await page.getByRole('link', { name: /^Finds/ }).click()
  await expect(findRow(page, '<img src=x onerror')).toBeVisible()
  expect(await page.locator('.find img[src="x"]').count()).toBe(0)
  await findRow(page, '=HYPERLINK').click()
  await page.keyboard.press('k')
  await page.getByRole('button', { name: 'Draft listings' }).click()
  await page.getByRole('button', { name: /^Draft 1 kept item/ }).click()
  const csv = page.waitForEvent('download')
  await page.getByRole('button', { name: /^Export 1 as CSV/ }).click()
  const dialog = page.getByRole('dialog')
  if (await dialog.isVisible()) await dialog.getByRole('button', { name: 'Export all the same' }).click()
  const text = await textOf(await csv)
  expect(text).toContain("'=HYPERLINK")
  expect(text).not.toMatch(/(^|,)"?=HYPERLINK/m)
  expect(await page.title()).toBe('Sickle')
})

test('decisions survive a reload, a crash of the tab, undo and redo', async ({ context, page }) => {
  await page.goto('/')
  await chooseFiles(page, [textFile('market.csv', listingsCsv), textFile('supplier.csv', offersCsv)])
  await bringIn(page, { market: 'Marrowgate' })
  await bringIn(page, { supplier: 'Sill Mill' })
  await expect(ledgerRow(page, 'supplier.csv')).toBeVisible()
  await page.getByRole('link', { name: /^Finds/ }).click()
  await findRow(page, 'Balcony hook').click()
  await page.keyboard.press('k')
  await expect(page.getByText('sheaf, 1 kept')).toBeVisible()
  await findRow(page, 'Kneeling').click()
  await expect(
    page.getByRole('region', { name: 'Close look' }).getByRole('heading', { name: /Kneeling/ }),
  ).toBeVisible()
  await page.keyboard.press('h')
  await expect(page.getByText('1 kept · 1 held')).toBeVisible()
  await page.keyboard.press('r')
  await page.keyboard.type('wait for spring')
  await page.keyboard.press('Enter')

  // The tab dies without a word.
  const crashed = page.waitForEvent('crash')
  page.goto('chrome://crash').catch(() => undefined)
  await crashed
  const second = await context.newPage()
  await second.goto('/sheaves')
  await expect(second.getByText('1 kept · 1 held')).toBeVisible()
  await expect(second.getByLabel(/^Reason for Kneeling/)).toHaveValue('wait for spring')
  await second.getByRole('button', { name: /^Undo/ }).click()
  await expect(second.getByLabel(/^Reason for Kneeling/)).toHaveValue('')
  await second.getByRole('button', { name: /^Undo/ }).click()
  await expect(second.getByText('1 kept · 0 held')).toBeVisible()
  await second.reload()
  await expect(second.getByText('1 kept · 0 held')).toBeVisible()
  await second.getByRole('button', { name: 'Redo' }).click()
  await expect(second.getByText('1 kept · 1 held')).toBeVisible()
})

test('an import can be cancelled while it runs and leaves nothing behind', async ({ page }) => {
  const lines = Array.from(
    { length: 400_000 },
    (_, i) => `${i},"Bird bath no. ${i}",Sill Life,${(i % 90) + 1}.50,${i % 9}`,
  )
  await page.goto('/')
  await chooseFiles(
    page,
    textFile('long.csv', `Item ID,Title,Seller,Price (EUR),Units sold last 30 days\n${lines.join('\n')}\n`),
  )
  await bringIn(page, { market: 'Marrowgate' })
  await page.getByRole('button', { name: /job.*show/ }).click()
  await page.getByRole('button', { name: 'Cancel' }).click()
  await expect(page.getByText('Cancelled. Nothing was changed.')).toBeVisible()
  await page.reload()
  await expect(page.getByRole('button', { name: 'Load the demo' })).toBeVisible()
})

test('the whole workspace goes to one file and back; a damaged file changes nothing', async ({ page }) => {
  await page.goto('/')
  await chooseFiles(page, textFile('market.csv', listingsCsv))
  await bringIn(page, { market: 'Marrowgate' })
  await page.getByRole('link', { name: /^Finds/ }).click()
  await findRow(page, 'Balcony hook').click()
  await page.keyboard.press('k')
  await expect(page.getByText('sheaf, 1 kept')).toBeVisible()
  const backup = async () => {
    await page.getByRole('link', { name: 'Settings' }).click()
    const download = page.waitForEvent('download')
    await page.getByRole('button', { name: 'Write a backup' }).click()
    return readFileSync(await (await download).path())
  }
  const first = await backup()

  await page.getByRole('link', { name: /^Gather/ }).click()
  await ledgerRow(page, 'market.csv').getByRole('button', { name: 'Remove' }).click()
  await page.getByRole('dialog').getByRole('button', { name: 'Remove' }).click()
  await expect(page.getByRole('button', { name: 'Load the demo' })).toBeVisible()

  const restore = async (name: string, bytes: Uint8Array) => {
    await page.getByRole('link', { name: 'Settings' }).click()
    const chooser = page.waitForEvent('filechooser')
    await page.getByRole('button', { name: 'Restore one' }).click()
    await (await chooser).setFiles({ name, mimeType: 'application/zip', buffer: Buffer.from(bytes) })
    await page.getByRole('dialog').getByRole('button', { name: 'Replace' }).click()
  }
  const parts = unzipSync(first)
  const tampered = zipSync({ ...parts, 'documents/sheaves.json': strToU8('{"open":"x","sheaves":[]}') })
  for (const [name, bytes] of [
    ['cut.sickle', first.subarray(0, first.length / 2)],
    ['changed.sickle', tampered],
  ] as const) {
    await restore(name, bytes)
    await expect(
      page.getByText(new RegExp(`${name} is not a whole Sickle backup: .* Nothing was changed`)),
    ).toBeVisible()
  }
  await restore('whole.sickle', first)
  await page.getByRole('link', { name: /^Gather/ }).click()
  await expect(ledgerRow(page, 'market.csv').getByRole('cell').nth(3)).toHaveText('5')
  await expect(page.getByText('sheaf, 1 kept')).toBeVisible()
  expect((await backup()).equals(first)).toBe(true)
})
