import { chromium, type Browser, type Page } from '@playwright/test'
import { existsSync, mkdirSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { writeFarCsv } from './far-csv'

const folder = fileURLToPath(new URL('.', import.meta.url))

/** The far market as one CSV, written once. */
export async function farFile(rows: number): Promise<string> {
  const csv = `${folder}far-${rows}.csv`
  mkdirSync(folder, { recursive: true })
  if (!existsSync(csv)) await writeFarCsv(csv, rows)
  return csv
}

/** Headless Chromium as every measurement has it, at the size that pictures are taken at; closed whatever happens. */
export async function inBrowser<T>(
  executablePath: string,
  run: (page: Page, browser: Browser) => Promise<T>,
): Promise<T> {
  const args = ['--no-sandbox', '--disable-gpu', '--disable-background-networking', '--disable-quic']
  const browser = await chromium.launch({ executablePath, args })
  try {
    return await run(await browser.newPage({ viewport: { width: 1280, height: 800 } }), browser)
  } finally {
    await browser.close()
  }
}

/** Chooses a file of the far market in Gather, which is what is shown. */
export async function chooseFar(
  page: Page,
  file: string | { name: string; mimeType: string; buffer: Buffer },
): Promise<void> {
  const chooser = page.waitForEvent('filechooser')
  await page.getByRole('button', { name: /Drop files anywhere/ }).click()
  await (await chooser).setFiles(file)
  await page.getByLabel('Market', { exact: true }).fill('Farholt')
}
