import { Problem, stopIfCancelled } from '@sickle/core/problem'
import { edgeBuffers, type BlockForm, type BlockStep, type EdgeArrays } from '@sickle/core/intake'
import type { FromBlocks, ToBlocks } from './blocks.worker'
import blocksAddress from './blocks.worker?worker&url'
import { ownWorker } from './own-worker'

/** How many blocks may wait to be taken: enough that neither side stands still. */
const ahead = 4

/** A file's blocks, read and split in a thread of their own. */
export async function* remoteBlocks(file: File, form: BlockForm, signal?: AbortSignal): AsyncGenerator<BlockStep> {
  const worker = ownWorker(blocksAddress)
  const waiting: FromBlocks[] = []
  let wake = () => {}
  worker.addEventListener('message', ({ data }: MessageEvent<FromBlocks>) => {
    waiting.push(data)
    wake()
  })
  worker.addEventListener('error', (event) => {
    waiting.push({
      type: 'failed',
      problem: { code: 'unexpected', details: { text: event.message || 'the helper stopped' } },
    })
    wake()
  })
  const ask = (message: ToBlocks, transfer: ArrayBuffer[] = []) => worker.postMessage(message, transfer)
  let spare: EdgeArrays | null = null
  try {
    ask({ type: 'begin', file, form })
    for (let i = 0; i < ahead; i++) ask({ type: 'more', spare })
    for (;;) {
      while (waiting.length === 0) await new Promise<void>((resolve) => (wake = resolve))
      stopIfCancelled(signal)
      const got = waiting.shift() as FromBlocks
      if (got.type === 'end') return
      if (got.type === 'failed') throw new Problem(got.problem.code, got.problem.details)
      ask({ type: 'more', spare }, spare ? edgeBuffers(spare) : [])
      yield got.step
      spare = 'block' in got.step ? got.step.block.edges : null
    }
  } finally {
    worker.terminate()
  }
}
