import {
  allCreators,
  askCreators,
  creatorMessage,
  creatorsOf,
  fitting,
  noPeople,
  peopleSchema,
  type About,
  type Clip,
  type CreatorQuery,
} from '.'
import { firstFault } from '../schema'
import { aClip } from './fixtures/a-clip'

const clip = (key: string, some: Partial<Clip> = {}) => aClip({ key, ...some })
const clips = [
  clip('a', { creator: '@tern', units: 5, revenueE4: 500_000, day: 100, views: 1000, isPaid: true, commission: 0.2 }),
  clip('b', { creator: '@tern', units: 0, revenueE4: 0, day: 110, isLive: true, isPaid: false, commission: 0.1 }),
  clip('c', { creator: '@tern', units: null, revenueE4: 300_000 }),
  clip('d', { creator: '@wren', units: 9, revenueE4: 900_000, day: 120 }),
  // the same name on another market is somebody else
  clip('e', { creator: '@tern', market: 'Farholt', units: 1, day: 90 }),
  clip('f', { creator: '@moss' }),
]
const about: About[] = [
  { item: 1, category: 'Garden / Birds' },
  { item: 1, category: 'Garden / Birds' },
  { item: 2, category: 'Home' },
  { item: 3, category: 'Garden / Tools' },
  { item: 2, category: 'Home' },
  null,
]
const all = creatorsOf(clips, about)
const plain = fitting(all, clips, about, null)
const names = (some: Partial<CreatorQuery>, of = plain) => askCreators(of, { ...allCreators, ...some }).map((c) => c.key.replace('Loopreel/@', '').replace('Farholt/@', 'far ')) // prettier-ignore

test('what a creator comes to is summed over what is known', () => {
  expect(all[1]).toEqual({
    key: 'Loopreel/@tern',
    market: 'Loopreel',
    name: '@tern',
    clips: 2,
    lives: 1,
    views: 1000,
    units: 5,
    revenueE4: 800_000,
    middleE4: 300_000,
    meanE4: 800_000 / 3,
    nothingRatio: 0.5,
    paidRatio: 0.5,
    firstDay: 100,
    lastDay: 110,
    items: 2,
    branches: [
      { path: 'Garden / Birds', units: 5 },
      { path: 'Home', units: 0 },
    ],
    commission: expect.closeTo(0.15, 9) as number,
  })
  expect(all.at(-1)).toMatchObject({ name: '@moss', units: null, revenueE4: null, middleE4: null, nothingRatio: null, paidRatio: null, firstDay: null, items: 0, branches: [] }) // prettier-ignore
  expect(creatorsOf([clip('a', { revenueE4: 1 }), clip('b', { revenueE4: 4 })], [])[0]?.middleE4).toBe(2.5)
})

test.each<[Partial<CreatorQuery>, string[]]>([
  [{}, ['wren', 'tern', 'far tern', 'moss']],
  [{ descending: false }, ['far tern', 'tern', 'wren', 'moss']],
  [{ words: 'TER' }, ['tern', 'far tern']],
  // what nobody bought is no branch of hers
  [{ branch: 'Home' }, ['far tern']],
  [{ branch: 'Garden' }, ['wren', 'tern']],
  [{ branch: 'Gard' }, []],
  [{ limits: { clips: [2, null] } }, ['tern']],
  [{ limits: { mean: [20, 27] } }, ['tern']],
  [{ limits: { last: [null, 9] } }, ['wren']],
  [{ limits: { last: [10, 29] } }, ['tern']],
  [{ limits: { span: [11, 11] } }, ['tern']],
  [{ by: 'lives' }, ['tern', 'wren', 'far tern', 'moss']],
  [{ fit: 'fits' }, []],
])('%j: %j', (some, wanted) => expect(names(some)).toEqual(wanted))

test('who sold things like mine, and who shows mine already', () => {
  const goods = { items: new Set([3]), categories: new Set(['Garden / Tools', 'Garden / Birds']) }
  const fits = fitting(all, clips, about, goods)
  expect(fits.map((c) => [c.key, c.fitUnits, c.shows])).toEqual([
    ['Loopreel/@wren', 9, 1],
    ['Loopreel/@tern', 5, 0],
    ['Farholt/@tern', 0, 0],
    ['Loopreel/@moss', 0, 0],
  ])
  expect(names({ fit: 'fits', by: 'fit' }, fits)).toEqual(['wren', 'tern'])
  expect(names({ fit: 'free', by: 'fit' }, fits)).toEqual(['tern'])
})

test('a message names the goods and what each pays; the list judges what rests', () => {
  const letter = { opening: 'Hello {name},', closing: 'Kind regards' }
  expect(creatorMessage('@tern', [{ title: 'Nest box', commission: 0.15 }, { title: 'Bath', commission: null }], letter)).toBe(
    'Hello tern,\n\n- Nest box (commission 15 %)\n- Bath\n\nKind regards\n',
  ) // prettier-ignore
  expect(creatorMessage('tern', [], { opening: ' ', closing: 'Bye' })).toBe('Bye\n')
  expect(firstFault(peopleSchema, noPeople)).toBeNull()
  const person = { id: 'p', sheaf: 's', market: 'Loopreel', name: '@tern', state: 'written', on: 20_000, note: '' }
  expect(firstFault(peopleSchema, { ...noPeople, list: [person] })).toBeNull()
  expect(firstFault(peopleSchema, { ...noPeople, list: [{ ...person, state: 'gone' }] })?.where).toMatch(/state/)
})
