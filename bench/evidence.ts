import { inBrowser } from './far-browser'
import { inWorker } from './in-worker'
import type { Line } from './report'
import { slownessOf, timed } from './yardstick'

interface Measured {
  all: number
  told: number
  known: number
  peer: number
  same: number
  samePeer: number
}

/** Every measure of a hundred thousand listings with half a year of days, in a worker of headless Chromium, beside the plain quadratic forms. */
export async function benchEvidence(executablePath: string): Promise<Line[]> {
  const slowness = await inBrowser(executablePath, (page) => slownessOf(page))
  const { all, told, known, peer, same, samePeer } = await inWorker<Measured>('evidence.worker.ts', executablePath)
  if (known !== 100_000) throw new Error(`only ${known} of 100,000 trends were worked out`)
  return [
    timed(`100,000 × 180 days: all measures, progress told ${told} times`, all, 10_000, slowness),
    {
      name: '100,000 × 180 days: all measures beside plain pairs over the days',
      ours: all,
      unit: 'ms',
      peer,
      target: 'ratio <= 0.2, progress told',
      met: all / peer <= 0.2 && told > 10,
    },
    {
      name: '1,000 × 180 days: trend, slope and change point of the same days, beside plain pairs',
      ours: same,
      unit: 'ms',
      peer: samePeer,
      target: 'ratio <= 0.2',
      met: same / samePeer <= 0.2,
    },
  ]
}
