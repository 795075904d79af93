import type { Page } from '@playwright/test'
import { bigStore, ownCsv, poolStore, rivalFile } from './rival-csv'
import { chooseFar, inBrowser } from './far-browser'
import { median, quantile, type Line } from './report'
import { benchRollUp } from './roll-up'
import { paintSlownessOf, timed } from './yardstick'

/** Rivals at a million listings in 20,000 stores, through the interface, in headless Chromium; and the roll-up beside DuckDB. */
export async function benchRivals(
  base: string,
  executablePath: string,
  rows = Number(process.env.SICKLE_BENCH_ROWS ?? 1_000_000),
): Promise<Line[]> {
  const csv = await rivalFile(rows)
  const rolled = await benchRollUp(executablePath)
  const lines = await inBrowser(executablePath, async (page) => {
    page.setDefaultTimeout(300_000)
    await page.goto(`${base}/gather`)
    await chooseFar(page, csv)
    await page.getByRole('button', { name: 'Bring in' }).click()
    await page.getByRole('region', { name: 'Ledger' }).getByText(rows.toLocaleString('en')).waitFor()
    const buffer = Buffer.from(ownCsv(rows, 5000))
    const chooser = page.waitForEvent('filechooser')
    await page.getByRole('button', { name: /Drop files anywhere/ }).click()
    await (await chooser).setFiles({ name: 'mine.csv', mimeType: 'text/csv', buffer })
    await page.getByLabel('Market', { exact: true }).fill('Harrow Quay')
    await page.getByRole('button', { name: 'Bring in' }).click()
    await page.getByRole('region', { name: 'Ledger' }).getByText('mine.csv').waitFor()
    await page.getByText('Working').first().waitFor({ state: 'hidden' })
    await page.locator('nav a[href="/finds"]').click()
    await page.locator('.find .title').first().waitFor()
    // my goods are compared in turn with what the screen asks: what is measured is what is asked once that is done
    const compared = performance.now()
    await page.getByText(/are sold by others too/).waitFor({ timeout: 900_000 })
    console.error(`5,000 goods of mine compared with all: ${Math.round((performance.now() - compared) / 1000)} s`)
    await page.waitForTimeout(20_000)
    const opens: number[] = []
    for (let i = 0; i < 5; i++) opens.push(await openField(page))
    const brushes = await brushField(page, 60)
    const whole = await openWhole(page)
    const pooled = await openPool(page)
    const slowness = await paintSlownessOf(page)
    const line = (name: string, ours: number, most: number) =>
      timed(`1,000,000 in 20,000 stores: ${name}`, ours, most, slowness)
    return [
      line('the field stands after opening Rivals', median(opens), 200),
      line('a brush over the field painted, median', median(brushes), 50),
      line('a brush over the field painted, 95th percentile', quantile(brushes, 0.95), 100),
      line('a store of 50,000 listings read whole', whole.read, 1000),
      line('gaps of 50,000 listings against 5,000 of mine', whole.gaps, 2000),
      line('a pool of 20 stores of 5,000, with its themes', pooled, 1500),
    ]
  })
  return [...rolled, ...lines]
}

async function openField(page: Page): Promise<number> {
  await page.locator('nav a[href="/gather"]').click()
  await page.getByRole('region', { name: 'Ledger' }).waitFor()
  await page.waitForTimeout(500)
  return page.evaluate(async () => {
    const frame = () => new Promise((r) => requestAnimationFrame(r))
    const start = performance.now()
    document.querySelector<HTMLAnchorElement>('nav a[href="/rivals"]')?.click()
    while (!document.querySelector('.field .label') || !document.querySelector('[aria-label="Stores"] .at'))
      await frame()
    await frame()
    return performance.now() - start
  })
}

/** Brushes the field step by step; each step ends when the count has changed and the next frame is painted. */
function brushField(page: Page, steps: number): Promise<number[]> {
  return page.evaluate(async (n) => {
    const frame = () => new Promise<number>((r) => requestAnimationFrame(r))
    const canvas = document.querySelector('.field canvas') as HTMLCanvasElement
    canvas.setPointerCapture = () => undefined // made events have no pointer that could be held
    const status = [...document.querySelectorAll('[role=status]')].find((e) => e.textContent.includes('worth a study'))!
    const box = canvas.getBoundingClientRect()
    const point = (type: string, x: number, y: number) =>
      canvas.dispatchEvent(
        new PointerEvent(type, { bubbles: true, clientX: box.left + x, clientY: box.top + y, button: 0, buttons: 1 }),
      )
    point('pointerdown', box.width * 0.1, box.height * 0.2)
    const times: number[] = []
    for (let i = 1; i <= n; i++) {
      const before = status.textContent
      const start = performance.now()
      point('pointermove', box.width * (0.15 + (0.6 * i) / n), box.height * (0.3 + (0.5 * i) / n))
      while (status.textContent === before && performance.now() - start < 500) await frame()
      await frame()
      const taken = performance.now() - start
      if (taken < 500) times.push(taken)
    }
    point('pointerup', box.width * 0.75, box.height * 0.8)
    return times
  }, steps)
}

/** From the press that opens it to all of its answers, and to its gaps, ms. */
async function openWhole(page: Page): Promise<{ read: number; gaps: number }> {
  await page.getByRole('button', { name: 'Lift all limits' }).click()
  await page.getByLabel('Search stores').fill(bigStore)
  await page.getByRole('grid', { name: 'Stores' }).getByRole('row').nth(1).click()
  const open = page.getByRole('button', { name: /^Open whole/ })
  await open.waitFor()
  await page.waitForTimeout(1000)
  return page.evaluate(async () => {
    const frame = () => new Promise((r) => requestAnimationFrame(r))
    const has = (text: string) => document.querySelector('.answers')?.textContent.includes(text) ?? false
    const start = performance.now()
    ;[...document.querySelectorAll('button')].find((b) => b.textContent.includes('Open whole'))?.click()
    while (!has('What made the money?') || has('Reading its titles') || !has('How does it write')) await frame()
    const read = performance.now() - start
    while (!document.querySelector('[aria-label="Gaps"]')) await frame()
    return { read, gaps: performance.now() - start }
  })
}

async function openPool(page: Page): Promise<number> {
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: 'Paste names' }).click()
  const names = Array.from({ length: 20 }, (_, i) => poolStore(i)).join('\n')
  await page.getByRole('textbox', { name: 'Names of stores' }).fill(names)
  await page.getByRole('button', { name: 'Show these' }).click()
  await page.getByLabel('Search stores').fill('')
  const grid = page.getByRole('grid', { name: 'Stores' })
  await grid.focus()
  for (let i = 0; i < 20; i++) {
    await page.keyboard.press('j')
    await page.waitForTimeout(200)
    await page.keyboard.press('p')
    await page.waitForTimeout(200)
  }
  await page.getByRole('radiogroup', { name: 'View of Rivals' }).getByText('20', { exact: false }).waitFor()
  await page.waitForTimeout(2000)
  return page.evaluate(async () => {
    const frame = () => new Promise((r) => requestAnimationFrame(r))
    const start = performance.now()
    ;[...document.querySelectorAll<HTMLElement>('[aria-label="View of Rivals"] label')]
      .find((l) => l.textContent.includes('Pool'))
      ?.click()
    const counted = () =>
      /Proven items\s*\u2002?\s*[\d,]+/.test(
        document.querySelector('[aria-label="View of the pool"]')?.textContent ?? '',
      )
    while (
      !counted() ||
      !document.querySelector('.body') ||
      document.querySelector('.body')?.textContent.includes('Reading the titles')
    )
      await frame()
    return performance.now() - start
  })
}
