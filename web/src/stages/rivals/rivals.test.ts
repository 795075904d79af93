import { File as NodeFile } from 'node:buffer'
import { mount } from '@vue/test-utils'
import { nextTick, shallowRef } from 'vue'
import { emptyStoreQuery } from '@sickle/core/stores'
import { bringAll, testBench } from '@/testing/workbench'
import { until } from '@/testing/until'
import { usePool } from '@/shared/stores/pool'
import { useOwn } from '@/shared/stores/own'
import { useSheaf } from '@/shared/stores/sheaf'
import { useSteps } from '@/shared/stores/steps'
import { useStoreCuts } from '@/shared/stores/store-cuts'
import { useWorkspace } from '@/shared/stores/workspace'
import { pastedGoods } from '@sickle/core/own'
import { pastedName, useBringOwn } from './bring-own'
import { useRivals } from './rivals-store'
import { useBoxBrush } from '@/shared/use-box-brush'
import { useKeepMany } from './use-keep-many'

beforeAll(() => bringAll(testBench()))
async function setup() {
  const bench = testBench()
  const workspace = useWorkspace()
  await workspace.reload()
  return { bench, workspace, rivals: useRivals() }
}
const namesOf = (rivals: ReturnType<typeof useRivals>) => Array.from(rivals.found, (s) => rivals.list?.names[s]).sort()

test('stores are there once the items are; limits leave some, and Lift all brings them back', async () => {
  const { rivals } = await setup()
  await until(() => rivals.list !== null)
  expect(namesOf(rivals)).toEqual(['Hedge End Co.', 'Quay Perch', 'Sill Life', 'Tern & Trowel'])
  rivals.change({ words: 'sill' })
  expect(namesOf(rivals)).toEqual(['Sill Life'])
  expect(rivals.isLimited).toBe(true)
  rivals.clear()
  rivals.setLimits({ units: [20, null] })
  expect(namesOf(rivals)).toEqual(['Hedge End Co.', 'Quay Perch'])
  rivals.setLimits({ units: [null, null] })
  expect(rivals.query.limits).toEqual({})
  // a brush leaves some, and all stay on the field
  rivals.setLimits({ age: [1, 2], unitsTotal: [1, 9] })
  expect([rivals.found.length, rivals.onField.length]).toEqual([0, 4])
  rivals.clear()
  expect([rivals.isLimited, rivals.query]).toEqual([false, emptyStoreQuery])
})

test('a press on a heading orders by it, a second one the other way round', async () => {
  const { rivals } = await setup()
  rivals.sortBy('units')
  expect(rivals.query.sort).toEqual({ by: 'units', descending: true })
  rivals.sortBy('units')
  expect(rivals.query.sort.descending).toBe(false)
  rivals.sortBy('age')
  expect(rivals.query.sort).toEqual({ by: 'age', descending: false })
})

test('only stores that sell what is looked for stand, those with most of it first, until that is lifted', async () => {
  const { rivals } = await setup()
  await until(() => rivals.list !== null)
  rivals.setSelling({ label: 'birds', of: { categories: ['Garden / Birds'] } })
  expect(rivals.query.sort.by).toBe('selling')
  await until(() => rivals.found.length === 2)
  expect(namesOf(rivals)).toEqual(['Sill Life', 'Tern & Trowel'])
  rivals.setSelling(null)
  expect([rivals.query.sort, rivals.found.length]).toEqual([emptyStoreQuery.sort, 4])
})

test('a store is chosen by its place and opens; the next one takes its place', async () => {
  const { rivals } = await setup()
  await until(() => rivals.list !== null)
  rivals.choose(rivals.list!.names.indexOf('Quay Perch'))
  expect(rivals.chosen).toEqual({ market: 'Marrowgate', name: 'Quay Perch' })
  await until(() => rivals.opened?.name === 'Quay Perch')
  expect(rivals.chosenAt).toBe(rivals.list!.names.indexOf('Quay Perch'))
  rivals.choose(99)
  expect([rivals.chosen, rivals.chosenAt]).toEqual([null, -1])
})

test('Cuts of stores are kept by name, count what they leave, rest, come from a file, and are forgotten', async () => {
  const { rivals } = await setup()
  const cuts = useStoreCuts()
  await until(() => rivals.list !== null)
  rivals.setLimits({ units: [20, null] })
  await rivals.keepCut(' Busy ')
  expect(cuts.all.at(-1)).toMatchObject({ name: 'Busy', ships: false })
  expect(rivals.cutCounts.at(-1)).toBe(2)
  expect(rivals.isUsed(cuts.all.at(-1)!)).toBe(true)
  rivals.clear()
  await rivals.use(cuts.all.at(-1)!)
  expect(rivals.query.limits).toEqual({ units: [20, null] })
  await expect(rivals.keepCut('')).rejects.toMatchObject({ code: 'cut-invalid' })
  await rivals.use(cuts.all.at(-1)!)
  expect(cuts.changesOf(cuts.all.at(-1)!)).toBeNull()
  await cuts.noteRun(cuts.all.at(-1)!, { data: 'others', keys: ['Marrowgate/Quay Perch', 'Marrowgate/New'] })
  expect(cuts.changesOf(cuts.all.at(-1)!)).toMatchObject({
    came: ['Marrowgate/New'],
    went: ['Marrowgate/Hedge End Co.'],
  })
  await cuts.take({ name: 'Shared', stores: { meetsOnly: true } })
  const again = (testBench(), useStoreCuts())
  await again.load()
  expect(again.all.slice(-2).map((c) => c.name)).toEqual(['Busy', 'Shared'])
  await again.drop('Busy')
  await again.drop('Shared')
  expect(again.all.every((c) => c.ships)).toBe(true)
})

test('a pool holds each store once, rests, and can be emptied', async () => {
  await setup()
  const pool = usePool()
  const [sill, quay] = [
    { market: 'Marrowgate', name: 'Sill Life' },
    { market: 'Marrowgate', name: 'Quay Perch' },
  ]
  await pool.toggle(sill)
  await pool.add([sill, quay])
  await pool.change({ floor: 5 })
  expect(pool.value).toEqual({ stores: [sill, quay], floor: 5 })
  const again = (testBench(), usePool())
  await again.load()
  expect(again.value.stores).toHaveLength(2)
  expect([again.has(sill), again.has({ market: 'Gavelhop', name: 'Sill Life' })]).toEqual([true, false])
  await again.toggle(sill)
  expect(again.value.stores).toEqual([quay])
  await again.empty()
  expect(again.value).toEqual({ stores: [], floor: 5 })
})

test('a pasted list is what I sell; the next one takes its place', async () => {
  globalThis.File = NodeFile as unknown as typeof File // the one of jsdom cannot be read
  const { bench, workspace } = await setup()
  const own = useOwn()
  expect([own.hasCatalogue, own.counts]).toEqual([false, null])
  const bring = bench.app.runWithContext(() => useBringOwn())
  await bring(pastedGoods('4006381333931 Balcony hooks\nBird bath hanging copper 26 cm'))
  await until(() => own.counts?.goods === 2)
  expect([own.counts?.met, own.isMine('Marrowgate/A1'), own.isMine('Marrowgate/A5')]).toEqual([2, true, false])
  expect(own.of('Marrowgate/A1')).toMatchObject({ way: 'barcode' })
  await bring(pastedGoods('Kneeling pad grey 45 x 28 cm'))
  await until(() => own.counts?.goods === 1)
  expect(workspace.ledger.filter((e) => e.file === pastedName)).toHaveLength(1)
  expect([own.isMine('Marrowgate/A1'), own.isMine('Marrowgate/A5')]).toEqual([false, true])
})

test('many items are kept as one step, those decided before stay as they are; what cannot be kept is no step', async () => {
  const { bench } = await setup()
  const [sheaf, steps] = [useSheaf(), useSteps()]
  await sheaf.load()
  const snapshot = { title: '', picture: null, profitE4: null, units: null, listings: 1 }
  await sheaf.record({ key: 'Marrowgate/A3', action: 'drop', text: '', snapshot })
  const many = bench.app.runWithContext(() => useKeepMany())
  await many.keep(['Marrowgate/A1', 'Marrowgate/A3', 'Marrowgate/A5', 'gone/1'])
  expect([many.last.value, many.busy.value]).toEqual([2, false])
  expect([sheaf.kept.map((d) => d.key), sheaf.dropped.length]).toEqual([['Marrowgate/A1', 'Marrowgate/A5'], 1])
  await steps.undo()
  expect([sheaf.kept.length, sheaf.dropped.length]).toEqual([0, 1])
  await steps.redo()
  expect(sheaf.kept).toHaveLength(2)
  const before = steps.last
  const bad = { key: 'x', action: 'keep' as const, text: 'y'.repeat(1e6), snapshot }
  await expect(sheaf.recordAll([bad], 'bad')).rejects.toMatchObject({ code: 'document-invalid' })
  expect(steps.last).toBe(before)
})

describe('the brush', () => {
  const field = {
    area: { left: 40, right: 440, top: 20, bottom: 220 },
    // 10 px a month, 1 px a unit from the bottom up
    spanAt: (x: number, y: number) => ({ x: (x - 40) / 10, y: 220 - y }),
    placeOf: {
      x: (v: number | null, open: number) => (v === null ? open : 40 + v * 10),
      y: (v: number | null, open: number) => (v === null ? open : 220 - v),
    },
  }
  function setupBrush(meetsStore = false) {
    const limits = shallowRef<Record<string, [number | null, number | null]>>({})
    const shape = shallowRef(field)
    const pressed: number[] = []
    let brush!: ReturnType<typeof useBoxBrush>
    mount({
      template: '<i/>',
      setup() {
        brush = useBoxBrush({
          names: { x: 'age', y: 'unitsTotal' },
          shape,
          at: (event) => [event.clientX, event.clientY],
          limits: () => limits.value,
          setLimits: (some) => {
            const next = { ...limits.value }
            for (const [by, span] of Object.entries(some)) {
              if (span === null) delete next[by]
              else next[by] = span
            }
            limits.value = next
          },
          press: (event) => pressed.push(event.clientX) > 0 && meetsStore,
        })
      },
    })
    const event = (x: number, y: number) => ({ button: 0, clientX: x, clientY: y, target: {} }) as PointerEvent
    return { brush, limits, pressed, event, shape }
  }

  test('is the same whichever way it is drawn, and lies where its spans say', async () => {
    const { brush, limits, event, pressed } = setupBrush()
    brush.begin(event(240, 60))
    brush.move(event(90, 180))
    expect(limits.value).toEqual({ age: [5, 20], unitsTotal: [40, 160] })
    await nextTick()
    expect(brush.box.value).toEqual({ x: 90, y: 60, width: 150, height: 120 })
    brush.end(event(90, 180))
    brush.move(event(400, 30))
    expect(limits.value.age).toEqual([5, 20])
    expect(pressed).toEqual([])
  })
  test('holds what it began on, also where the field becomes another size under the pointer', () => {
    const { brush, limits, event, shape } = setupBrush()
    brush.begin(event(240, 60))
    brush.move(event(90, 180))
    shape.value = { ...field, spanAt: (x, y) => ({ x: (x - 40) / 20, y: 110 - y / 2 }) }
    brush.move(event(90, 180))
    expect(limits.value).toEqual({ age: [2.5, 20], unitsTotal: [20, 160] })
  })
  test('a span that is open reaches to the edge', () => {
    const { brush, limits } = setupBrush()
    limits.value = { age: [null, 10] }
    expect(brush.box.value).toEqual({ x: 40, y: 20, width: 100, height: 200 })
    limits.value = {}
    expect(brush.box.value).toBeNull()
  })
  test('a hand that shakes presses: on a store it is chosen, beside all the brush is lifted', () => {
    const beside = setupBrush()
    beside.limits.value = { age: [1, 2], unitsTotal: [1, 2], units: [5, null] }
    beside.brush.begin(beside.event(100, 100))
    beside.brush.move(beside.event(102, 102))
    beside.brush.end(beside.event(102, 102))
    expect(beside.limits.value).toEqual({ units: [5, null] })
    const on = setupBrush(true)
    on.limits.value = { age: [1, 2] }
    on.brush.begin(on.event(100, 100))
    on.brush.end(on.event(100, 100))
    expect([on.pressed, on.limits.value]).toEqual([[100], { age: [1, 2] }])
  })
})
