import { until } from '@/testing/until'
import { Turn, type News, type Role } from './turn'

/** Locks as the Web Locks API describes them, for one name: ifAvailable, steal and a queue. */
class FakeLocks {
  #holder: { reject: (e: Error) => void } | null = null
  #queue: (() => void)[] = []

  request(_: string, options: LockOptions, work: (lock: object | null) => Promise<unknown>): Promise<unknown> {
    if (options.steal) {
      this.#holder?.reject(new Error('stolen'))
      return this.#hold(work)
    }
    if (!this.#holder) return this.#hold(work)
    if (options.ifAvailable) return Promise.resolve(work(null))
    return new Promise((resolve, reject) => this.#queue.push(() => void this.#hold(work).then(resolve, reject)))
  }

  /** The tab that holds the lock is closed. */
  close(): void {
    this.#holder = null
    this.#queue.shift()?.()
  }

  #hold(work: (lock: object) => Promise<unknown>): Promise<unknown> {
    return new Promise((resolve, reject) => {
      this.#holder = { reject }
      work({}).then(resolve, reject)
    })
  }
}

function tab(locks: FakeLocks, channel?: BroadcastChannel) {
  const roles: Role[] = []
  const heard: News[] = []
  const tools = { locks: locks as unknown as LockManager, channel }
  const turn = new Turn(
    tools,
    (r) => roles.push(r),
    (n) => heard.push(n),
  )
  return { turn, roles, heard }
}

test('the first tab writes, the second follows and takes its place when it goes', async () => {
  const locks = new FakeLocks()
  const [a, b] = [tab(locks), tab(locks)]
  expect(await a.turn.begin()).toBe('writer')
  expect(await b.turn.begin()).toBe('follower')
  locks.close()
  await until(() => b.turn.role === 'writer', 'its turn')
})

test('a take-over turns the writer into a follower, and back', async () => {
  const locks = new FakeLocks()
  const [a, b] = [tab(locks), tab(locks)]
  await a.turn.begin()
  await b.turn.begin()
  await b.turn.takeOver()
  await until(() => a.turn.role === 'follower', 'the other to follow')
  expect(b.turn.role).toBe('writer')
  await a.turn.takeOver()
  await until(() => b.turn.role === 'follower', 'the other to follow')
  expect(a.turn.role).toBe('writer')
  expect(a.roles).toEqual(['writer', 'follower', 'writer'])
})

test('where the browser has no locks the one tab writes', async () => {
  const turn = new Turn(
    {},
    () => {},
    () => {},
  )
  expect(await turn.begin()).toBe('writer')
  turn.tell({ about: 'data' })
})

test('news reach the other tabs', async () => {
  const [one, other] = [new BroadcastChannel('turn-test'), new BroadcastChannel('turn-test')]
  const locks = new FakeLocks()
  const [a, b] = [tab(locks, one), tab(locks, other)]
  a.turn.tell({ about: 'document', name: 'rules' })
  await until(() => b.heard.length > 0, 'the news')
  expect(b.heard).toEqual([{ about: 'document', name: 'rules' }])
  expect(a.heard).toEqual([])
  one.close()
  other.close()
})
