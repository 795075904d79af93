import { inWorker } from './in-worker'
import type { Line } from './report'

interface Measured {
  ms: number
  /** the plain loop over a sample, as it would take over all */
  plainMs: number
  /** titles of the sample of which both say the same */
  agree: number
  met: number
  itemsMs: number
  sample: number
}

/** What may be listed, over many items and over a million titles, beside a plain loop of regular expressions. */
export async function benchClearing(executablePath: string): Promise<Line[]> {
  const { ms, plainMs, agree, met, itemsMs, sample } = await inWorker<Measured>('clearing.worker.ts', executablePath)
  if (agree !== sample || met === 0)
    throw new Error(`the plain loop says otherwise of ${sample - agree} titles; ${met} met`)
  return [
    {
      name: '2,000 items of four listings against 5,000 lines',
      ours: itemsMs,
      unit: 'ms',
      peer: null,
      target: '<= 300 ms',
      met: itemsMs <= 300,
    },
    {
      name: `10,000 phrases in 1,000,000 titles (${met} met), beside regular expressions one by one (of ${sample} titles, as long for all)`,
      ours: ms,
      unit: 'ms',
      peer: plainMs,
      target: '<= 5000 ms',
      met: ms <= 5000,
    },
  ]
}
