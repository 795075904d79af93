import { sealed } from '@/storage/seal'
import { openDatabase } from '@/storage/database'
import type { Database } from '@/storage/schema'
import { readDocument, writeDocument } from '@/storage/documents'
import { testBench } from '@/testing/workbench'
import { useJudgements } from './judgements'
import { useSetAside } from './set-aside'
import { useSheaf } from './sheaf'

const snapshot = { title: 'Bird bath', picture: null, profitE4: 20_000, units: 30, listings: 2 }
const keep = (key: string) => ({ key, action: 'keep' as const, text: '', snapshot })

/** A database whose next writes of documents fail as they do on a full disk. */
async function fullDisk(name: string): Promise<{ db: Database; fail: { next: number } }> {
  const db = await openDatabase(name)
  const fail = { next: 0 }
  const full = () => {
    throw new DOMException('full', 'QuotaExceededError')
  }
  const failing = new Proxy(db, {
    get(of, name) {
      const part: unknown = Reflect.get(of, name)
      if (name === 'transaction')
        return (stores: never, mode: never) =>
          (mode as string) === 'readwrite' && fail.next > 0 && fail.next-- ? full() : of.transaction(stores, mode)
      return typeof part === 'function' ? (part.bind(of) as unknown) : part
    },
  })
  return { db: failing, fail }
}

/** What a browser keeps beside the database, and through a reload. */
function memory() {
  const kept = new Map<string, string>()
  return {
    kept,
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, value: string) => void kept.set(key, value),
    removeItem: (key: string) => void kept.delete(key),
  }
}

test('a decision that could not be written is taken back on screen too', async () => {
  const { db, fail } = await fullDisk('full')
  testBench({ database: () => Promise.resolve(db) })
  const sheaf = useSheaf()
  for (const key of ['a', 'b']) await sheaf.record(keep(key))
  fail.next = 1
  await expect(sheaf.record(keep('c'))).rejects.toMatchObject({ code: 'storage-full' })
  expect(sheaf.kept.map((d) => d.key)).toEqual(['a', 'b'])
  await sheaf.record(keep('d'))
  expect(sheaf.kept.map((d) => d.key)).toEqual(['a', 'b', 'd'])
  const stored = (await readDocument(db, 'sheaves')) as { sheaves: { events: { key: string }[] }[] }
  expect(stored.sheaves[0]?.events.map((e) => e.key)).toEqual(['a', 'b', 'd'])
})

test('of several on their way each stands by its own writing', async () => {
  const { db, fail } = await fullDisk('several')
  testBench({ database: () => Promise.resolve(db) })
  const judgements = useJudgements()
  await judgements.toggle('a', 'show')
  fail.next = 2
  const [first, second] = [judgements.toggle('b', 'show'), judgements.toggle('c', 'show')]
  await expect(first).rejects.toMatchObject({ code: 'storage-full' })
  await expect(second).rejects.toMatchObject({ code: 'storage-full' })
  expect([judgements.of('a'), judgements.of('b'), judgements.of('c')]).toEqual([['show'], [], []])
})

test('what a reload takes along while it is written is written by the next tab', async () => {
  const journal = memory()
  const never = new Promise<Database>(() => undefined)
  testBench({ database: () => never, journal })
  const gone = useJudgements()
  void gone.toggle('a', 'show')
  void gone.toggle('a', 'fragile')
  expect(gone.of('a')).toEqual(['show', 'fragile'])

  testBench({ database: () => openDatabase('next'), journal })
  const next = useJudgements()
  await next.load()
  expect(next.of('a')).toEqual(['show', 'fragile'])
  const db = await openDatabase('next')
  expect(await readDocument(db, 'judgements')).toEqual({ a: ['show', 'fragile'] })
  expect(journal.kept.size).toBe(0)
  db.close()
})

test('of thousands of decisions one more writes one', async () => {
  const db = await openDatabase('thousands')
  testBench({ database: () => Promise.resolve(db) })
  const sheaf = useSheaf()
  const events = Array.from({ length: 3000 }, (_, i) => ({ ...keep(`item ${i}`), at: i }))
  await writeDocument(db, 'sheaves', { open: 'a', sheaves: [{ id: 'a', name: 'A', events, cursor: 3000 }] })
  await sheaf.load()
  expect(await db.count('parts')).toBe(3000)
  const puts: unknown[] = []
  const put = Reflect.get(IDBObjectStore.prototype, 'put') as (
    value: unknown,
    key?: IDBValidKey,
  ) => IDBRequest<IDBValidKey>
  IDBObjectStore.prototype.put = function (value: unknown, key?: IDBValidKey) {
    puts.push(key)
    return put.call(this, value, key)
  }
  try {
    await sheaf.record(keep('one more'))
    await sheaf.undo()
  } finally {
    IDBObjectStore.prototype.put = put
  }
  // the decision and the head; then the head alone
  expect(puts).toEqual([['sheaves', 'a/3000'], 'sheaves', 'sheaves'])
  await sheaf.record(keep('another'))
  expect(await db.get('parts', ['sheaves', 'a/3000'])).toMatchObject({ value: { key: 'another' } })
})

test('a decision on its way when the tab was closed is made again by the next', async () => {
  const journal = memory()
  const db = await openDatabase('on its way')
  let isOpen = true
  testBench({ database: () => (isOpen ? Promise.resolve(db) : new Promise<Database>(() => undefined)), journal })
  const sheaf = useSheaf()
  await sheaf.load()
  await sheaf.record(keep('first'))
  isOpen = false
  void sheaf.record(keep('second'))
  void sheaf.record(keep('third'))
  testBench({ database: () => Promise.resolve(db), journal })
  const next = useSheaf()
  await next.load()
  expect(next.kept.map((d) => d.key)).toEqual(['first', 'second', 'third'])
  expect((await readDocument(db, 'sheaves')) as object).toMatchObject({ sheaves: [{ cursor: 3 }] })
  expect(journal.kept.size).toBe(0)
})

test('a note that makes no sense is let go, and so is one of what was kept', async () => {
  const journal = memory()
  testBench({ database: () => openDatabase('notes'), journal })
  const judgements = useJudgements()
  for (const note of ['{"a":"show"}', '{', 'null']) {
    journal.setItem('sickle unwritten judgements', note)
    await judgements.load()
    expect([judgements.of('a'), journal.kept.size]).toEqual([[], 0])
  }
  await judgements.toggle('a', 'show')
  expect(journal.kept.size).toBe(0)
})

test('a document that is not as it was kept is told of, set aside, and begun afresh', async () => {
  const db = await openDatabase('spoilt')
  const record = sealed(['documents', 'judgements'], { value: { a: ['show'] } })
  await db.put('documents', { ...record, value: { a: ['fragile'] } }, 'judgements')
  testBench({ database: () => Promise.resolve(db) })
  const judgements = useJudgements()
  await judgements.load()
  expect(judgements.of('a')).toEqual([])
  const setAside = useSetAside()
  expect(setAside.told).toEqual([
    'Your judgements kept in this browser were changed. They are set aside, and what is shown is a fresh start. Restore a backup to have them again.',
  ])
  expect((await db.getAllKeys('documents')).sort()).toEqual(['set aside: judgements'])
  await judgements.load()
  expect(setAside.told).toHaveLength(1)
  setAside.read(setAside.told[0] ?? '')
  expect(setAside.told).toEqual([])
})

test('what does not fit its schema is never kept', async () => {
  testBench({ database: () => openDatabase('wrong') })
  const judgements = useJudgements()
  await expect(judgements.toggle('a', 'x'.repeat(300))).rejects.toMatchObject({
    code: 'document-invalid',
    message: 'Your judgements cannot be kept like that: a 1 is longer than 200 letters.',
  })
  expect(judgements.of('a')).toEqual([])
})
