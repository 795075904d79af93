import { readBlocks, type BlockForm, type BlockStep } from '@sickle/core/intake'

/** What the intake asks of its helper: a file's blocks, and one more when it has room for one. */
export type ToBlocks = { type: 'begin'; file: File; form: BlockForm } | { type: 'more' }
export type FromBlocks = { type: 'step'; step: BlockStep } | { type: 'end' } | { type: 'failed'; text: string }

/** Reads and splits a file beside the intake, which makes records of it meanwhile. */
let steps: AsyncGenerator<BlockStep> | null = null
let turn: Promise<void> = Promise.resolve()

self.addEventListener('message', ({ data }: MessageEvent<ToBlocks>) => {
  if (data.type === 'begin') steps = readBlocks(data.file, data.form)
  else turn = turn.then(sendNext)
})

async function sendNext(): Promise<void> {
  try {
    const next = await steps?.next()
    if (!next || next.done) return self.postMessage({ type: 'end' } satisfies FromBlocks)
    const step = next.value
    self.postMessage({ type: 'step', step } satisfies FromBlocks, {
      transfer: 'block' in step ? buffersOf(step.block) : [],
    })
  } catch (thrown) {
    self.postMessage({
      type: 'failed',
      text: thrown instanceof Error ? thrown.message : String(thrown),
    } satisfies FromBlocks)
  }
}

/** The edges go over as they are; the bytes are copied, as what a block leaves over begins the next. */
function buffersOf({ edges }: Extract<BlockStep, { block: unknown }>['block']): ArrayBuffer[] {
  return [edges.starts, edges.ends, edges.hashes, edges.marks, edges.rowEnds].map((a) => a.buffer as ArrayBuffer)
}
