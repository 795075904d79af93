import { stopIfCancelled } from '../../problem'
import type { NumberedRow } from './opened-file'

/** Rows that are already in memory, in batches, so that progress shows and cancelling works. */
export async function* inBatches(rows: NumberedRow[], signal?: AbortSignal) {
  const size = 2000
  for (let i = 0; i < Math.max(rows.length, 1); i += size) {
    stopIfCancelled(signal)
    yield { batch: rows.slice(i, i + size), done: Math.min(1, (i + size) / rows.length) }
    await Promise.resolve()
  }
}
