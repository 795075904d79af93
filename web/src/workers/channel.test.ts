import { Problem } from '@sickle/core/problem'
import { Channel, serve, type CallContext } from './channel'

const methods = {
  add: (_: CallContext, a: number, b: number) => a + b,
  fail: () => {
    throw new Problem('file-empty', { file: 'a.csv' })
  },
  slow: async ({ signal, progress }: CallContext) => {
    progress(0.5)
    await new Promise<void>((resolve) => signal.addEventListener('abort', () => resolve()))
    throw new Problem('cancelled')
  },
}
let ports: MessageChannel
let channel: Channel<typeof methods>
beforeEach(() => {
  ports = new MessageChannel()
  serve(ports.port2, methods)
  channel = new Channel<typeof methods>(ports.port1)
  ports.port1.start()
  ports.port2.start()
})
afterEach(() => {
  ports.port1.close()
  ports.port2.close()
})

test('a call comes back with its result', async () => {
  expect(await Promise.all([channel.call('add', [1, 2]), channel.call('add', [3, 4])])).toEqual([3, 7])
})
test('code and details of a Problem survive the border', async () => {
  await expect(channel.call('fail', [])).rejects.toMatchObject({ code: 'file-empty', details: { file: 'a.csv' } })
})
test('progress is heard and cancelling reaches the work', async () => {
  const stop = new AbortController()
  const seen: unknown[] = []
  const onProgress = (value: unknown) => {
    seen.push(value)
    stop.abort()
  }
  await expect(channel.call('slow', [], { signal: stop.signal, onProgress })).rejects.toMatchObject({
    code: 'cancelled',
  })
  expect(seen).toEqual([0.5])
})
test('a method that is not there is refused, also one every object has', async () => {
  for (const name of ['nothing', 'constructor'])
    await expect(channel.call(name as 'add', [1, 2])).rejects.toMatchObject({ code: 'unexpected' })
})
test('a worker that died fails every open call', async () => {
  const open = channel.call('slow', [])
  channel.fail('it stopped')
  await expect(open).rejects.toThrow(/it stopped/)
})
