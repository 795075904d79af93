import { until } from '@/testing/until'
import { WriteLock, type News, type Role } from './write-lock'

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
  const writeLock = new WriteLock(
    tools,
    (r) => roles.push(r),
    (n) => heard.push(n),
  )
  return { writeLock, roles, heard }
}

test('the first tab writes, the second follows and takes its place when it goes', async () => {
  const locks = new FakeLocks()
  const [a, b] = [tab(locks), tab(locks)]
  expect(await a.writeLock.begin()).toBe('writer')
  expect(await b.writeLock.begin()).toBe('follower')
  locks.close()
  await until(() => b.writeLock.role === 'writer', 'its turn')
})

test('a take-over turns the writer into a follower, and back', async () => {
  const locks = new FakeLocks()
  const [a, b] = [tab(locks), tab(locks)]
  await a.writeLock.begin()
  await b.writeLock.begin()
  await b.writeLock.takeOver()
  await until(() => a.writeLock.role === 'follower', 'the other to follow')
  expect(b.writeLock.role).toBe('writer')
  await a.writeLock.takeOver()
  await until(() => b.writeLock.role === 'follower', 'the other to follow')
  expect(a.writeLock.role).toBe('writer')
  expect(a.roles).toEqual(['writer', 'follower', 'writer'])
})

test('where the browser has no locks the one tab writes', async () => {
  const writeLock = new WriteLock(
    {},
    () => {},
    () => {},
  )
  expect(await writeLock.begin()).toBe('writer')
  writeLock.tell({ about: 'data' })
})

test('news reach the other tabs', async () => {
  const [one, other] = [new BroadcastChannel('turn-test'), new BroadcastChannel('turn-test')]
  const locks = new FakeLocks()
  const [a, b] = [tab(locks, one), tab(locks, other)]
  a.writeLock.tell({ about: 'document', name: 'rules' })
  await until(() => b.heard.length > 0, 'the news')
  expect(b.heard).toEqual([{ about: 'document', name: 'rules' }])
  expect(a.heard).toEqual([])
  one.close()
  other.close()
})
