import { chromium, type Page } from '@playwright/test'
import { median, quantile, type Line } from './report'
import { paintSlownessOf, timed } from './yardstick'

/** Finds on the demo in headless Chromium: how soon it opens, and how soon a brushed strip is painted. */
export async function benchFinds(base: string, executablePath: string): Promise<Line[]> {
  const browser = await chromium.launch({
    executablePath,
    args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
  })
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
    await page.goto(base)
    await page.getByRole('button', { name: 'Load the demo' }).click()
    await page.waitForURL('**/finds')
    await page.locator('.find .title').first().waitFor()
    await page.waitForTimeout(4000)
    const opens: number[] = []
    const reopens: number[] = []
    for (let i = 0; i < 5; i++) {
      opens.push(await openFromGather(page))
      await page.goto(`${base}/finds`)
      await page.locator('.find .title').first().waitFor()
      reopens.push(await page.evaluate(() => performance.now()))
    }
    const brushes = await brush(page, 60)
    const slowness = await paintSlownessOf(page)
    const line = (name: string, ours: number, most: number) => timed(name, ours, most, slowness)
    return [
      line('Finds opens from another stage', median(opens), 1000),
      line('Finds opens after a reload of the page', median(reopens), 1000),
      line('brushed strip painted, median', median(brushes), 50),
      line('brushed strip painted, 95th percentile', quantile(brushes, 0.95), 100),
    ]
  } finally {
    await browser.close()
  }
}

async function openFromGather(page: Page): Promise<number> {
  await page.locator('nav a[href="/gather"]').click()
  await page.getByRole('region', { name: 'Ledger' }).waitFor()
  return page.evaluate(async () => {
    const start = performance.now()
    document.querySelector<HTMLAnchorElement>('nav a[href="/finds"]')?.click()
    while (!document.querySelector('.find .title')) await new Promise((r) => requestAnimationFrame(r))
    return performance.now() - start
  })
}

/** Drags the edge of a brush step by step; each step ends when the count has changed and the next frame is painted. */
export async function brush(page: Page, steps: number): Promise<number[]> {
  return page.evaluate(async (n) => {
    const frame = () => new Promise<number>((r) => requestAnimationFrame(r))
    const strip = document.querySelector('[aria-label="Distribution of Price"]') as SVGElement
    const overlay = strip.querySelector('.overlay') as SVGElement
    const status = document.querySelector('.finds [role=status]') as HTMLElement
    const box = strip.getBoundingClientRect()
    const mouse = (type: string, x: number, target: Element | Window) =>
      target.dispatchEvent(new MouseEvent(type, { bubbles: true, clientX: x, clientY: box.top + 20, view: window }))
    mouse('mousedown', box.left + box.width * 0.2, overlay)
    const times: number[] = []
    for (let i = 1; i <= n; i++) {
      const before = status.textContent
      const start = performance.now()
      mouse('mousemove', box.left + box.width * (0.2 + (0.6 * i) / n), window)
      while (status.textContent === before && performance.now() - start < 500) await frame()
      await frame()
      const taken = performance.now() - start
      if (taken < 500) times.push(taken)
    }
    mouse('mouseup', box.left + box.width * 0.8, window)
    return times
  }, steps)
}
