import { jest } from '@jest/globals'
import {
  holdingOf,
  importRows,
  openFile,
  previewRows,
  proposeMapping,
  Recogniser,
  type Learned,
  type Mapping,
} from '@sickle/core/intake'
import { Problem } from '@sickle/core/problem'
import { createPinia, setActivePinia } from 'pinia'
import { createApp } from 'vue'
import { servicesKey, type Services } from '@/services/services'
import { useJobs } from '@/shared/stores/jobs'
import { useSettings } from '@/shared/stores/settings'
import { openDatabase } from '@/storage/database'
import { fileOf } from '@/testing/file-of'
import { until } from '@/testing/until'
import { useGather } from './gather-store'

const recogniser = new Recogniser()
const now = Date.UTC(2026, 11, 1)
let n = 0

/** The gather store over workers that do in place what the real ones do. */
function setup(name = `gather-${n++}`) {
  const brought: Mapping[] = []
  const held = { plan: null as Promise<void> | null }
  const restarts: Problem[] = []
  const opener = {
    restart: (problem: Problem) => void restarts.push(problem),
    async call(
      method: string,
      [file, sheet, third, learned]: [File, string | null, number | Mapping, Learned],
      options?: { signal?: AbortSignal },
    ) {
      const opened = await openFile(file, sheet)
      if (method === 'preview') return previewRows(opened, third as Mapping, 8)
      if (held.plan)
        await Promise.race([
          held.plan,
          new Promise((_, reject) => {
            const stop = () => reject(new Problem('cancelled'))
            if (options?.signal?.aborted) stop()
            options?.signal?.addEventListener('abort', stop)
          }),
        ])
      const { name, format, encoding, delimiter, sheet: s, sheets, notes, headings, warnings, sample } = opened
      const holds = headings.map((_, at) => holdingOf(sample.map((r) => r.cells[at] ?? null)))
      const file_ = {
        name,
        format,
        encoding,
        delimiter,
        sheet: s,
        sheets,
        notes,
        headings,
        warnings,
        holds,
        firstRows: sample.slice(0, 6),
      }
      return { file: file_, proposal: proposeMapping(opened, third as number, { learned, recogniser }) }
    },
  }
  const intake = {
    async call(_: 'run', [file, sheet, mapping]: [File, string | null, Mapping]) {
      brought.push(mapping)
      const { taken, rejected } = await importRows(await openFile(file, sheet), mapping)
      return { entry: { taken, rejected: rejected.length }, rejects: { rejected } }
    },
  }
  const services = {
    database: () => openDatabase(name),
    engine: { call: () => Promise.resolve({ items: 0, listings: 0, offers: 0, branches: 0, markets: [], noRate: [] }) },
    opener,
    intake,
    now: () => now,
    newId: () => `id${n++}`,
  } as unknown as Services
  const pinia = createPinia()
  createApp({}).provide(servicesKey, services).use(pinia)
  setActivePinia(pinia)
  return { gather: useGather(), brought, held, restarts, name }
}
const csv = 'Item ID,Title,Seller,Price (EUR),Gizmo\nA1,Bell,Wren,3.50,4\nA2,Lead,Tern,9.00,17\nA3,Mat,Wren,12.00,0\n'
/** What was brought in is done, and the next file, if one waits, is open. */
async function jobsDone(): Promise<void> {
  await until(() => useJobs().jobs.every((j) => j.state !== 'running' && j.state !== 'waiting'), 'the jobs')
  const gather = useGather()
  await until(
    () => gather.opening === null && (gather.waiting.length === 0 || gather.current !== null),
    'the next file',
  )
}

test('a file is opened, asked about, answered and brought in; the next one opens by itself', async () => {
  const { gather, brought } = setup()
  await gather.offer([fileOf('a.csv', csv), fileOf('b.csv', csv)])
  expect([gather.current?.file.name, gather.waiting.length, gather.opening]).toEqual(['a.csv', 1, null])
  expect(gather.openQuestions.map((q) => q.about)).toEqual(['market'])
  expect(gather.preview?.rows).toHaveLength(3)
  await gather.bring()
  expect(brought).toEqual([])
  await gather.correct({ market: 'Marrowgate' })
  expect(gather.openQuestions).toEqual([])
  await gather.bring()
  await jobsDone()
  expect(brought.map((m) => [m.kind, m.market])).toEqual([['listings', 'Marrowgate']])
  expect(gather.current?.file.name).toBe('b.csv')
})

test('what was left out is offered and taken with one press; a column is one field only', async () => {
  const { gather } = setup()
  await gather.offer([fileOf('a.csv', csv)])
  const hint = gather.hints.find((h) => h.key === 'units')
  expect(hint?.text).toMatch(/^Is 'Gizmo' the units in window\?/)
  await hint?.take?.()
  expect(gather.current?.mapping.columns[4]).toEqual({ as: 'field', field: 'units' })
  expect(gather.hints.some((h) => h.key === 'units')).toBe(false)
})

test('said no to, it is not offered again', async () => {
  const { gather } = setup()
  await gather.offer([fileOf('a.csv', csv)])
  gather.leave('units')
  expect(gather.hints.find((h) => h.key === 'units')?.take).toBeNull()
})

test('only what the seller changed is learned, and it is there for the next file of another shape', async () => {
  const { gather } = setup()
  const settings = useSettings()
  await gather.offer([fileOf('a.csv', csv)])
  const columns = gather.current!.mapping.columns.map((c, i) =>
    i === 4 ? { as: 'field' as const, field: 'stock' } : c,
  )
  await gather.correct({ market: 'Marrowgate', columns })
  await gather.bring()
  await jobsDone()
  expect(settings.learned.columns.map((c) => [c.shown, c.use])).toEqual([['Gizmo', { as: 'field', field: 'stock' }]])
  await gather.offer([fileOf('c.csv', 'Gizmo;Name;Nr;Preis EUR\n4;Bell;A1;3,50\n17;Lead;A2;9,00\n')])
  expect(gather.current?.mapping.columns[0]).toEqual({ as: 'field', field: 'stock' })
  expect(gather.current?.remembered).toBe(true)
})

test('where no row can be read, that is said and nothing is learned', async () => {
  const { gather } = setup()
  await gather.offer([fileOf('none.csv', csv.replace(/\d+\.\d\d/g, '0.00'))])
  await gather.correct({ market: 'Marrowgate' })
  await gather.bring()
  await jobsDone()
  expect(gather.failures[0]?.text).toMatch(
    /^No row of none.csv could be read \(3 refused; the first: no usable price: not above zero\)/,
  )
  expect(useSettings().learned.files).toEqual({})
  gather.dismiss(0)
  expect(gather.failures).toEqual([])
})

test('a file that is none is told of, and the one behind it opens', async () => {
  const { gather } = setup()
  await gather.offer([fileOf('empty.csv', ''), fileOf('a.csv', csv)])
  expect(gather.failures.map((f) => f.text)).toEqual([
    'empty.csv is empty. Choose a file with at least a heading and one row.',
  ])
  expect(gather.current?.file.name).toBe('a.csv')
})

test('opening can be stopped, without a word of failure', async () => {
  const { gather, held } = setup()
  held.plan = new Promise(() => undefined)
  const offered = gather.offer([fileOf('a.csv', csv)])
  await until(() => gather.opening?.file === 'a.csv', 'the opening')
  gather.stopOpening()
  await offered
  expect([gather.opening, gather.current, gather.failures]).toEqual([null, null, []])
})

test('a file that does not open within ten seconds is let go', async () => {
  jest.useFakeTimers()
  const { gather, held, restarts } = setup()
  held.plan = new Promise(() => undefined)
  void gather.offer([fileOf('slow.json', csv)])
  await jest.advanceTimersByTimeAsync(9_900)
  expect(restarts).toEqual([])
  await jest.advanceTimersByTimeAsync(200)
  jest.useRealTimers()
  expect(restarts.map((p) => p.message)).toEqual([
    expect.stringMatching(/^slow.json could not be opened within ten seconds/),
  ])
})

test('another kind proposes its own columns, and counts as said', async () => {
  const { gather } = setup()
  await gather.offer([fileOf('a.csv', csv)])
  await gather.chooseKind('catalogue')
  expect(gather.current?.mapping).toMatchObject({ kind: 'catalogue', said: ['kind'] })
  expect(gather.current?.mapping.columns[0]).not.toEqual({ as: 'field', field: 'stock' })
  expect(gather.missing).toBeDefined()
})

test('a needed column that lacks keeps the file from coming in, by name', async () => {
  const { gather, brought } = setup()
  await gather.offer([fileOf('a.csv', csv)])
  const columns = gather.current!.mapping.columns.map((c) =>
    c.as === 'field' && c.field === 'price' ? { as: 'unused' as const } : c,
  )
  await gather.correct({ market: 'Marrowgate', columns })
  expect(gather.missing).toEqual(['Price'])
  await gather.bring()
  expect(brought).toEqual([])
  void gather.skip()
  await until(() => gather.current === null, 'the file to go')
})
