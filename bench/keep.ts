import 'fake-indexeddb/auto'
import type { Page } from '@playwright/test'
import { writeBackup } from '../web/src/storage/backup'
import { openDatabase } from '../web/src/storage/database'
import { writeDocument } from '../web/src/storage/documents'
import { inBrowser } from './far-browser'
import { median, quantile, type Line } from './report'
import { slownessOf, timed } from './yardstick'

const decisions = 10_000

/** A Keep where ten thousand decisions rest already: from the key to the strip that counts it, in headless Chromium. */
export async function benchKeep(base: string, executablePath: string): Promise<Line[]> {
  const buffer = Buffer.from(await backupOf(decisions))
  return inBrowser(executablePath, async (page) => {
    await page.goto(`${base}/settings`)
    const slowness = await slownessOf(page)
    const chooser = page.waitForEvent('filechooser')
    await page.getByRole('button', { name: 'Restore one' }).click()
    await (await chooser).setFiles({ name: 'many.sickle', mimeType: 'application/zip', buffer })
    await page.getByRole('dialog').getByRole('button', { name: 'Replace' }).click()
    await page
      .getByText(`${decisions.toLocaleString('en')} kept`)
      .first()
      .waitFor()
    await page.goto(`${base}/gather`)
    await page.getByRole('button', { name: 'Load the demo' }).click()
    await page.waitForURL('**/finds')
    await page.locator('.find .title').first().waitFor()
    await page.waitForTimeout(4000)
    await page.locator('.find .title').first().click()
    const times: number[] = []
    for (let i = 0; i < 25; i++) times.push(await timeOfKeep(page))
    return [
      timed('10,000 decisions: one more is kept, median', median(times), 20, slowness),
      timed('10,000 decisions: one more is kept, 95th percentile', quantile(times, 0.95), 40, slowness),
    ]
  })
}

/** From the key to the strip's new count, ms. */
async function timeOfKeep(page: Page): Promise<number> {
  await page.keyboard.press('ArrowDown')
  await page.waitForTimeout(250)
  await page.evaluate(() => {
    const strip = [...document.querySelectorAll('span')].find((s) => / kept · /.test(s.textContent)) as HTMLElement
    const noted = window as unknown as { keptAfter: Promise<number> }
    noted.keptAfter = new Promise((resolve) => {
      let start = 0
      window.addEventListener('keydown', () => (start = performance.now()), { capture: true, once: true })
      const observer = new MutationObserver(() => {
        observer.disconnect()
        resolve(performance.now() - start)
      })
      observer.observe(strip, { childList: true, characterData: true, subtree: true })
    })
  })
  await page.keyboard.press('k')
  return page.evaluate(() => (window as unknown as { keptAfter: Promise<number> }).keptAfter)
}

/** A workspace with nothing but decisions, as a backup. */
async function backupOf(count: number): Promise<Uint8Array> {
  const db = await openDatabase('many')
  const snapshot = { title: 'Railing planter', picture: null, profitE4: 40_000, units: 12, listings: 3 }
  const events = Array.from({ length: count }, (_, i) => ({
    at: i,
    key: `Farholt/${i}`,
    action: 'keep',
    text: '',
    snapshot,
  }))
  await writeDocument(db, 'sheaves', { open: 'a', sheaves: [{ id: 'a', name: 'Many', events, cursor: count }] })
  const { bytes } = await writeBackup(db)
  db.close()
  return bytes
}
