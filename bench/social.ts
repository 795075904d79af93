import { inWorker } from './in-worker'
import { median, quantile, type Line } from './report'

interface Measured {
  clipTimes: number[]
  adTimes: number[]
  grouping: number
  lensed: number
  moved: number[]
  items: number
}

/** Clips and ads after a limit moves, and a lens of markets, in a worker of headless Chromium. */
export async function benchSocial(executablePath: string): Promise<Line[]> {
  const { clipTimes, adTimes, grouping, lensed, moved, items } = await inWorker<Measured>(
    'social.worker.ts',
    executablePath,
  )
  const line = (name: string, ours: number, most: number): Line => ({
    name,
    ours,
    unit: 'ms',
    peer: null,
    target: `<= ${most} ms`,
    met: ours <= most,
  })
  return [
    line('100,000 clips: list, sums and both comparisons after a limit moves, median', median(clipTimes), 100),
    line('100,000 clips: the same, 95th percentile', quantile(clipTimes, 0.95), 100),
    line('50,000 ads: list and facets after a limit moves, 95th percentile', quantile(adTimes, 0.95), 100),
    line('50,000 ads put together by what they say, once', grouping, 2000),
    line(`a lens on one of two markets of 400,000 listings (${items} items), once`, lensed, 10_000),
    line('a brush moved through that lens, median', median(moved), 16),
    line('a brush moved through that lens, 95th percentile', quantile(moved, 0.95), 33),
  ]
}
