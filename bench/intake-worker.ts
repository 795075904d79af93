import type { Page } from '@playwright/test'

/** A call of the built intake worker: its answer, and how to stop it. */
export interface IntakeCall {
  answer: Promise<{ type: 'done' | 'failed'; value?: unknown; problem?: { code: string; details?: { text?: string } } }>
  stop: () => void
}

/** Starts a worker of the page's own built intake, of which the run is the only user; `callIntake` on the window asks it. */
export async function openIntakeWorker(page: Page): Promise<void> {
  await page.evaluate(() => {
    const address = performance.getEntriesByType('resource').find((e) => /intake\.worker-.*\.js/.test(e.name))?.name
    if (!address) throw new Error('the intake worker is not found')
    const worker = new Worker(address, { type: 'module' })
    const waiting = new Map<number, (value: unknown) => void>()
    let next = 1
    worker.onmessage = ({ data }: MessageEvent<{ type: string; id: number }>) => {
      if (data.type === 'progress') return
      waiting.get(data.id)?.(data)
      waiting.delete(data.id)
    }
    worker.onerror = (e) =>
      waiting.forEach((answer) => answer({ type: 'failed', problem: { code: 'crash', details: { text: e.message } } }))
    Object.assign(window, {
      callIntake: (method: string, args: unknown[]) => {
        const id = next++
        worker.postMessage({ type: 'call', id, method, args })
        return {
          answer: new Promise((resolve) => waiting.set(id, resolve)),
          stop: () => worker.postMessage({ type: 'cancel', id }),
        }
      },
    })
  })
}
