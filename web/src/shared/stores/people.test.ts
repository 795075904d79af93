import { bringAll, testBench } from '@/testing/workbench'
import { allCreators, allClips } from '@sickle/core/social'
import { usePeople } from './people'
import { useRules } from './rules'
import { useSheaf } from './sheaf'
import { useSteps } from './steps'
import { useWorkspace } from './workspace'

const clipsCsv = `Clip ID,Creator,Caption,Posted on,Type,Views,Units sold,Revenue (EUR),Listing ID
c1,@tern,Put up in a minute,2026-05-02,clip,1000,10,120.00,A1
c2,@wren,A week with it,2026-05-03,live,4000,3,36.00,A2
c3,@sill,What came to the window,2026-05-04,clip,500,2,24.00,A3
c4,@moss,Unknown thing,2026-05-05,clip,90,1,5.00,Z9
`
beforeAll(async () => {
  const bench = testBench()
  await bringAll(bench)
  await bench.bring('clips.csv', clipsCsv, { market: 'Marrowgate', kind: 'clips' })
})

test('people of a sheaf: put on the list once, moved on, noted, taken off, and each of it taken back', async () => {
  const { clock } = testBench()
  const [people, sheaf, steps] = [usePeople(), useSheaf(), useSteps()]
  await people.load()
  const tern = { market: 'Loopreel', name: '@tern' }
  await people.add([tern, { market: 'Loopreel', name: '@wren' }])
  await people.add([tern])
  expect(people.list.map((p) => [p.name, p.state, p.on])).toEqual([
    ['@tern', 'to write', clock.now / 86_400_000],
    ['@wren', 'to write', clock.now / 86_400_000],
  ])
  clock.now += 3 * 86_400_000
  const id = people.of(tern)!.id
  await people.setState(id, 'written')
  await people.setNote(id, 'likes copper')
  expect(people.of(tern)).toMatchObject({ state: 'written', on: clock.now / 86_400_000, note: 'likes copper' })
  // the other one stays
  expect(people.of({ ...tern, name: '@wren' })).toMatchObject({ state: 'to write', note: '' })
  await steps.undo()
  await steps.undo()
  expect(people.of(tern)).toMatchObject({ state: 'to write', note: '' })
  await people.remove(id)
  expect(people.list).toHaveLength(1)
  // another sheaf has a list of its own
  await sheaf.add('Second')
  expect(people.list).toEqual([])
  expect(people.of({ ...tern, name: '@wren' })).toBeNull()
  await people.setLetter({ opening: 'Dear {name}' })
  const again = usePeople()
  await again.load()
  expect(again.letter.opening).toBe('Dear {name}')
})

test('creators are asked for: all, those who sell things like mine, and those of them who show mine not yet', async () => {
  const { services } = testBench()
  await useRules().load()
  await useWorkspace().reload()
  const ask = async (some: object, goods: string[] = [], most = 60) =>
    services.engine.call('creators', [{ ...allCreators, ...some }, goods, [], most])
  const all = await ask({})
  expect(all.rows.map((c) => [c.name, c.units, c.items])).toEqual([
    ['@tern', 10, 1],
    ['@wren', 3, 1],
    ['@sill', 2, 1],
    ['@moss', 1, 0],
  ])
  expect([all.of, all.found, all.branches]).toEqual([4, 4, ['Garden']])
  expect((await ask({}, [], 1)).rows).toHaveLength(1)
  // the bird bath is of another category than the hooks
  expect((await ask({ fit: 'fits' }, ['Marrowgate/A3'])).rows.map((c) => c.name)).toEqual(['@sill'])
  expect((await ask({ fit: 'free' }, ['Marrowgate/A3'])).found).toBe(0)
  const look = await services.engine.call('creator', ['Marrowgate', '@wren', []])
  expect(look?.clips.map((c) => [c.clip.title, c.item?.key])).toEqual([['A week with it', 'Marrowgate/A1']])
  expect(await services.engine.call('creator', ['Marrowgate', '@nobody', []])).toBeNull()
  expect(await services.engine.call('creator', ['Marrowgate', '@wren', ['Gavelhop']])).toBeNull()
  const at = (place: number) => services.engine.call('clipAt', [{ of: 'all' }, place, []])
  expect((await at(0))?.item?.key).toBe('Marrowgate/A1')
  expect(await at(99)).toBeNull()
  const { field } = await services.engine.call('clips', [
    { of: 'all' },
    { ...allClips, limits: { views: [600, null] } },
    [],
    9,
  ])
  expect([field.of, [...field.isFound], [...field.age]]).toEqual([4, [1, 1, 0, 0], [3, 2, 1, 0]])
})
