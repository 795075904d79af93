import { toProblemMessage, type ProblemMessage } from '@sickle/core/problem'
import { readBlocks, type BlockForm, type BlockStep, edgeBuffers, type EdgeArrays } from '@sickle/core/intake'

/** What the intake asks of its helper: a file's blocks, and one more when it has room for one, with edges that it has read. */
export type ToBlocks = { type: 'begin'; file: File; form: BlockForm } | { type: 'more'; spare: EdgeArrays | null }
export type FromBlocks =
  { type: 'step'; step: BlockStep } | { type: 'end' } | { type: 'failed'; problem: ProblemMessage }

/** Reads and splits a file beside the intake, which makes records of it meanwhile. */
let steps: ReturnType<typeof readBlocks> | null = null
let turn: Promise<void> = Promise.resolve()

self.addEventListener('message', ({ data }: MessageEvent<ToBlocks>) => {
  if (data.type === 'begin') steps = readBlocks(data.file, data.form)
  else turn = turn.then(() => sendNext(data.spare))
})

async function sendNext(spare: EdgeArrays | null): Promise<void> {
  try {
    const next = await steps?.next(spare)
    if (!next || next.done) return self.postMessage({ type: 'end' } satisfies FromBlocks)
    const step = next.value
    self.postMessage({ type: 'step', step } satisfies FromBlocks, {
      transfer: 'block' in step ? edgeBuffers(step.block.edges) : [],
    })
  } catch (thrown) {
    self.postMessage({
      type: 'failed',
      problem: toProblemMessage(thrown),
    } satisfies FromBlocks)
  }
}
