import { expect, test, type Page } from '@playwright/test'
import { bringIn, chooseFiles, findRow, ledgerRow, listingsCsv, textFile } from './steps'

/** Several segments of listings. */
function largeCsv(rows: number): string {
  const lines = Array.from({ length: rows }, (_, i) => {
    const spread = (i * 7919) % 1009
    return `L${i},"Balcony hook no. ${i} of a long row, ${spread} mm, ochre ${i % 37}",Quay Perch,${(5 + (spread % 90) / 10).toFixed(2)},${spread % 40}`
  })
  return `Item ID,Title,Seller,Price (EUR),Units sold last 30 days\n${lines.join('\n')}\n`
}

const columnsKept = (page: Page) =>
  page.evaluate(
    () =>
      new Promise<number>((resolve, reject) => {
        const opening = indexedDB.open('sickle')
        opening.onerror = () => reject(new Error('not opened'))
        opening.onsuccess = () => {
          const count = opening.result.transaction('columns').objectStore('columns').count()
          count.onsuccess = () => {
            opening.result.close()
            resolve(count.result)
          }
        }
      }),
  )

test('a full disk: the import is refused in clear words, what was there stays, and it goes once there is room', async ({
  page,
  context,
}) => {
  const devtools = await context.newCDPSession(page)
  const origin = String(test.info().project.use.baseURL)
  // from the start: the browser asks for its quota now and then, not at each write
  await devtools.send('Storage.overrideQuotaForOrigin', { origin, quotaSize: 1_000_000 })
  await page.goto('/')
  await chooseFiles(page, textFile('small.csv', listingsCsv))
  await bringIn(page, { market: 'Marrowgate' })
  await expect(ledgerRow(page, 'small.csv')).toBeVisible()
  const before = await columnsKept(page)

  await chooseFiles(page, textFile('large.csv', largeCsv(120_000)))
  await bringIn(page, { market: 'Gavelhop' })
  await expect(page.getByText(/The browser gives Sickle no more space\. Remove an import/)).toBeVisible()
  await expect(ledgerRow(page, 'large.csv')).toHaveCount(0)
  expect(await columnsKept(page)).toBe(before)
  await page.goto('/finds')
  await expect(findRow(page, 'Balcony hook 4-pack')).toBeVisible()

  await devtools.send('Storage.overrideQuotaForOrigin', { origin })
  await page.goto('/gather')
  await chooseFiles(page, textFile('large.csv', largeCsv(120_000)))
  await bringIn(page, { market: 'Gavelhop' })
  await expect(ledgerRow(page, 'large.csv')).toContainText('120,000')
})

test('a tab closed in the middle of an import leaves nothing behind', async ({ context }) => {
  const first = await context.newPage()
  await first.goto('/')
  await chooseFiles(first, textFile('large.csv', largeCsv(400_000)))
  await bringIn(first, { market: 'Gavelhop' })
  await expect.poll(() => columnsKept(first)).toBeGreaterThan(0)
  await expect(ledgerRow(first, 'large.csv')).toHaveCount(0)
  await first.close()

  const second = await context.newPage()
  await second.goto('/gather')
  await expect.poll(() => columnsKept(second)).toBe(0)
  await expect(ledgerRow(second, 'large.csv')).toHaveCount(0)
})

test('a window in which nothing can be kept says so', async ({ page }) => {
  await page.addInitScript(() => {
    IDBFactory.prototype.open = () => {
      throw new DOMException('denied', 'SecurityError')
    }
  })
  await page.goto('/')
  await expect(page.getByText(/does not let Sickle keep data here/).first()).toBeVisible()
})
