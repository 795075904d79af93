import type { Page } from '@playwright/test'
import { FarMarket } from '@sickle/standins'
import { chooseFar, farFile, inBrowser } from './far-browser'
import { farCsv } from './far-csv'
import type { Line } from './report'
import { slownessOf, timed } from './yardstick'

/** A million listings worked out the first time, and then changed a little: through the interface, in headless Chromium. */
export async function benchChanges(base: string, executablePath: string, rows = 1_000_000): Promise<Line[]> {
  const csv = await farFile(rows)
  return inBrowser(executablePath, async (page) => {
    page.setDefaultTimeout(180_000)
    await page.goto(`${base}/gather`)
    const slowness = await slownessOf(page)
    await chooseFar(page, csv)
    await page.getByRole('button', { name: 'Bring in' }).click()
    await page.getByRole('region', { name: 'Ledger' }).getByText(rows.toLocaleString('en')).waitFor()
    const start = Date.now()
    await worked(page)
    const first = Date.now() - start
    await page.waitForTimeout(15_000)
    const more = await timeOfMore(page, rows)
    await page.waitForTimeout(15_000)
    const apart = await timeOfApart(page)
    return [
      timed('1,000,000: worked out the first time', first, 60_000, slowness),
      timed('1,000,000: 1,000 more listings stand in Finds', more, 5000, slowness),
      timed('1,000,000: a listing set apart by hand', apart, 500, slowness),
    ]
  })
}

async function worked(page: Page): Promise<void> {
  await page.getByText('Working').first().waitFor({ state: 'hidden' })
  await page.locator('nav a[href="/finds"]').click()
  await page.locator('.find .title').first().waitFor()
}

const totalOf = (page: Page) => page.locator('.finds [role=status]').innerText()

/** From the press of the button to the new number of items in Finds, ms. */
async function timeOfMore(page: Page, rows: number): Promise<number> {
  const before = await totalOf(page)
  const market = new FarMarket({ size: rows + 1000, stores: 400 })
  const buffer = Buffer.from(farCsv(market, rows, rows + 1000))
  await page.locator('nav a[href="/gather"]').click()
  await chooseFar(page, { name: 'more.csv', mimeType: 'text/csv', buffer })
  await page.getByRole('button', { name: 'Bring in' }).click()
  const start = Date.now()
  await page.locator('nav a[href="/finds"]').click()
  await page.waitForFunction((was) => {
    const now = document.querySelector('.finds [role=status]')?.textContent.trim() ?? was
    return now !== '' && now !== was.trim() && !now.startsWith('0')
  }, before)
  console.error(`finds: ${before} → ${await totalOf(page)}`)
  return Date.now() - start
}

/** From the press of the button to the item with one listing fewer, and back again: the slower of both, ms. */
async function timeOfApart(page: Page): Promise<number> {
  await page.locator('.find .title').first().dblclick()
  await page.getByRole('button', { name: 'Show them, and why' }).first().click()
  const apart = await timeToJoined(page, 'Not the same')
  return Math.max(apart, await timeToJoined(page, 'Put back'))
}

async function timeToJoined(page: Page, button: string): Promise<number> {
  const press = page.getByRole('button', { name: button }).first()
  await press.waitFor()
  // what the look asks of the engine when it opens is answered first
  await page.waitForTimeout(8000)
  const joined = page.locator('article p', { hasText: 'joined as one item' }).first()
  const before = await joined.innerText()
  const start = Date.now()
  await press.click()
  await page.waitForFunction((was) => {
    const now = [...document.querySelectorAll('article p')].find((p) => p.textContent.includes('joined as one item'))
    return now !== undefined && now.textContent.trim().slice(0, 12) !== was.trim().slice(0, 12)
  }, before)
  return Date.now() - start
}
