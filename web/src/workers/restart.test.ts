import { jest } from '@jest/globals'
import { Problem } from '@sickle/core/problem'
import { Channel, type CallContext, type Port } from './channel'

class StuckPort implements Port {
  sent: unknown[] = []
  ended = false
  #listener: ((event: MessageEvent) => void) | null = null
  postMessage(message: unknown) {
    this.sent.push(message)
  }
  addEventListener(_: 'message', listener: (event: MessageEvent) => void) {
    this.#listener = listener
  }
  terminate() {
    this.ended = true
  }
  answer(data: unknown) {
    this.#listener?.({ data } as MessageEvent)
  }
}
type Methods = { look: (context: CallContext, what: string) => string }
const settled = (call: Promise<unknown>) =>
  call.then(
    (v) => ['done', v],
    (e: Problem) => ['failed', e.code],
  )

test('a worker that does not stop when it is told to is ended, and another takes its place', async () => {
  jest.useFakeTimers()
  const ports = [new StuckPort(), new StuckPort()]
  let next = 1
  const channel = new Channel<Methods>(ports[0]!, () => ports[next++]!)
  const stop = new AbortController()
  const call = settled(channel.call('look', ['a'], { signal: stop.signal, graceMs: 400 }))
  stop.abort()
  expect(ports[0]!.sent).toContainEqual({ type: 'cancel', id: 1 })
  jest.advanceTimersByTime(399)
  expect(ports[0]!.ended).toBe(false)
  jest.advanceTimersByTime(1)
  jest.useRealTimers()
  expect(await call).toEqual(['failed', 'cancelled'])
  expect(ports[0]!.ended).toBe(true)
  const again = settled(channel.call('look', ['b']))
  ports[0]!.answer({ type: 'done', id: 2, value: 'from the dead' })
  ports[1]!.answer({ type: 'done', id: 2, value: 'from the new' })
  expect(await again).toEqual(['done', 'from the new'])
})

test('one that stops in time is left alone', async () => {
  jest.useFakeTimers()
  const port = new StuckPort()
  const channel = new Channel<Methods>(port, () => new StuckPort())
  const stop = new AbortController()
  const call = settled(channel.call('look', ['a'], { signal: stop.signal, graceMs: 400 }))
  stop.abort()
  port.answer({ type: 'failed', id: 1, problem: { code: 'cancelled', details: {} } })
  jest.advanceTimersByTime(1000)
  jest.useRealTimers()
  expect(await call).toEqual(['failed', 'cancelled'])
  expect(port.ended).toBe(false)
})

test('a restart says why to all that was asked', async () => {
  const channel = new Channel<Methods>(new StuckPort(), () => new StuckPort())
  const calls = ['a', 'b'].map((what) => settled(channel.call('look', [what])))
  channel.restart(new Problem('file-slow', { file: 'x.json' }))
  expect(await Promise.all(calls)).toEqual([
    ['failed', 'file-slow'],
    ['failed', 'file-slow'],
  ])
})

test('a call that is over no longer listens to its signal', async () => {
  const port = new StuckPort()
  const channel = new Channel<Methods>(port)
  const stop = new AbortController()
  const listeners = new Set<unknown>()
  const addEventListener = stop.signal.addEventListener.bind(stop.signal)
  const removeEventListener = stop.signal.removeEventListener.bind(stop.signal)
  stop.signal.addEventListener = ((...args: Parameters<typeof addEventListener>) => {
    listeners.add(args[1])
    addEventListener(...args)
  }) as typeof addEventListener
  stop.signal.removeEventListener = ((...args: Parameters<typeof removeEventListener>) => {
    listeners.delete(args[1])
    removeEventListener(...args)
  }) as typeof removeEventListener
  const [first, second] = ['a', 'b'].map((what) => settled(channel.call('look', [what], { signal: stop.signal })))
  expect(listeners.size).toBe(2)
  port.answer({ type: 'done', id: 1, value: 'a' })
  port.answer({ type: 'failed', id: 2, problem: { code: 'unexpected', details: {} } })
  expect([await first, await second]).toEqual([
    ['done', 'a'],
    ['failed', 'unexpected'],
  ])
  expect(listeners.size).toBe(0)
  const sent = port.sent.length
  stop.abort()
  expect(port.sent.length).toBe(sent)
})
