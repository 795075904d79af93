import type { Page } from '@playwright/test'
import { median, type Line } from './report'

/** What a plain loop over a million rows takes on the quiet machine that the targets were set on, ms (measured 2026-11-26, in headless Chromium). */
const quietLoopMs = 14

/** How much slower than the quiet machine this one is now: a plain loop over a million rows of eight figures, in the same browser. */
export async function slownessOf(page: Page): Promise<number> {
  const times = await page.evaluate(() => {
    const columns = Array.from({ length: 8 }, (_, c) =>
      Float64Array.from({ length: 1_000_000 }, (_, i) => (i * (c + 7)) % 1009),
    )
    return Array.from({ length: 9 }, () => {
      const start = performance.now()
      let sum = 0
      for (const column of columns) for (let i = 0; i < column.length; i++) sum += column[i] as number
      return sum > 0 ? performance.now() - start : 0
    })
  })
  console.error(`a plain loop over a million rows of eight figures: ${median(times).toFixed(1)} ms`)
  return Math.max(1, median(times) / quietLoopMs)
}

/** What a plain page of so many nodes takes to be laid out and painted on the quiet machine, ms (measured 2026-11-26). */
const [quietNodes, quietPaintMs] = [2000, 34]

/** How much slower than the quiet machine this one paints now: a plain page of 2,000 nodes, in the same browser. */
export async function paintSlownessOf(page: Page): Promise<number> {
  const times = await page.evaluate(async (nodes) => {
    const frame = () => new Promise<number>((r) => requestAnimationFrame(r))
    const taken: number[] = []
    for (let i = 0; i < 9; i++) {
      await frame()
      const start = performance.now()
      const box = document.createElement('div')
      box.style.cssText = 'position:fixed;inset:0;overflow:hidden;z-index:99;background:white'
      for (let n = 0; n < nodes; n++)
        box.append(Object.assign(document.createElement('span'), { textContent: `${n} ` }))
      document.body.append(box)
      await frame()
      await frame()
      taken.push(performance.now() - start)
      box.remove()
    }
    return taken
  }, quietNodes)
  console.error(`a plain page of ${quietNodes} nodes painted: ${median(times).toFixed(1)} ms`)
  return Math.max(1, median(times) / quietPaintMs)
}

/** A line in milliseconds whose target gives way as far as the machine is busy with other things. */
export function timed(name: string, ours: number, most: number, slowness: number): Line {
  const within = most * slowness
  const target = slowness > 1.05 ? `<= ${most} ms, here ${within.toFixed(0)}` : `<= ${most} ms`
  return { name, ours, unit: 'ms', peer: null, target, met: ours <= within }
}
