import { adCutsSchema, AdList, adScore, allAds, groupAds, mergeAds, type Ad, type AdGroup, type AdQuery } from '.'
import { firstFault } from '../schema'
import { tableOf } from '../records/table-of'
import type { RowRecord } from '../tables'

const ad = (key: string, some: Partial<Ad> = {}): Ad => ({
  key,
  market: 'Openstall',
  listing: null,
  advertiser: 'Perch Shop',
  channel: null,
  medium: null,
  language: null,
  country: null,
  title: `Headline ${key.repeat(4)}`,
  text: '',
  picture: null,
  url: null,
  firstSeen: null,
  lastSeen: null,
  views: null,
  reactions: null,
  looks: [],
  ...some,
})
const capture = (id: string, capturedOn: number, rows: RowRecord[]) => ({
  id,
  kind: 'ads' as const,
  capturedOn,
  windowDays: 30,
  table: tableOf('ads', rows),
})

test('an ad seen twice has its whole run, what was said last, and both counts of views', () => {
  const row = { market: 'Openstall', ad: '7', advertiser: 'Perch', title: 'Feeder', firstSeen: 100, lastSeen: 110, views: 500, likes: 4, comments: 1 } // prettier-ignore
  const merged = mergeAds([
    capture('b', 130, [{ ...row, lastSeen: 130, firstSeen: 102, views: 900, likes: 9, comments: null, text: 'New' }]),
    capture('a', 110, [row, { market: 'Openstall', ad: '8', advertiser: 'Sill' }]),
  ] as never)
  expect(merged[0]).toMatchObject({ key: 'Openstall/7', firstSeen: 100, lastSeen: 130, views: 900, reactions: 9, text: 'New', looks: [{ day: 110, views: 500 }, { day: 130, views: 900 }] }) // prettier-ignore
  expect(merged[1]).toMatchObject({ firstSeen: null, views: null, reactions: null, looks: [], listing: null })
})

test('the same ad under many numbers is one; another advertiser’s, another thing’s and another picture’s is not', () => {
  const said = 'The feeder that sticks to your window'
  const groups = groupAds([
    ad('a', { title: `${said}. Order today!`, firstSeen: 90, lastSeen: 100, views: 100, channel: 'boards', listing: 'Openstall/1', reactions: 3 }),
    ad('b', { title: `${said} - 20 % off`, firstSeen: 60, lastSeen: 80, views: 300, channel: 'clips', listing: 'Openstall/2', reactions: null }),
    ad('c', { title: said, advertiser: 'Sill' }),
    ad('d', { title: 'The planter that hangs on your railing' }),
    ad('e', { title: '', picture: '/p.png' }),
    ad('f', { title: '', picture: '/p.png' }),
    ad('g', { title: '', picture: '/q.png' }),
    ad('h', { title: '' }),
    ad('i', { title: '' }),
  ]) // prettier-ignore
  expect(groups.map((g) => [g.key, g.numbers])).toEqual([
    ['b', 2],
    ['c', 1],
    ['d', 1],
    ['e', 2],
    ['g', 1],
    ['h', 1],
    ['i', 1],
  ])
  expect(groups[0]).toMatchObject({ firstSeen: 60, lastSeen: 100, days: 41, views: 400, reactions: 3, channels: ['boards', 'clips'], listings: ['Openstall/1', 'Openstall/2'] }) // prettier-ignore
})

test.each([
  ['runs long', 71, 100],
  ['runs', 72, 100],
  ['runs', 85, 99],
  ['new', 87, 100],
  ['new', 100, 100],
  ['runs long', 60, 97],
  ['stopped', 60, 96],
  ['stopped', 60, 74],
  ['tried and stopped', 60, 73],
])('%s: from day %i to %i of 100', (state, firstSeen, lastSeen) => {
  const groups = groupAds([ad('a', { firstSeen, lastSeen }), ad('z', { lastSeen: 100 })])
  expect(groups.find((g) => g.key === 'a')?.state).toBe(state)
})
test('the run of an ad of which a day is missing is not known; another market’s last day is its own', () => {
  const [far, near] = groupAds([
    ad('a', { firstSeen: 10, lastSeen: 60, market: 'Farholt' }),
    ad('z', { lastSeen: 100 }),
  ])
  expect([far?.state, near?.state, near?.days]).toEqual(['runs long', null, null])
})

test('views a day since the look before, by hand', () => {
  const growth = (looks: Ad['looks'], firstSeen: number | null = 90) => groupAds([ad('a', { firstSeen, lastSeen: 120, looks })])[0]?.growth // prettier-ignore
  // 100 in ten days, then 300 in twenty: 15 a day against 10
  expect(growth([{ day: 100, views: 100 }, { day: 120, views: 400 }])).toBeCloseTo(0.5, 9) // prettier-ignore
  expect(growth([{ day: 120, views: 400 }])).toBeNull()
  expect(growth([{ day: 100, views: 0 }, { day: 120, views: 400 }])).toBeNull() // prettier-ignore
  expect(growth([{ day: 90, views: 5 }, { day: 120, views: 400 }])).toBeNull() // prettier-ignore
  expect(growth([{ day: 100, views: 5 }, { day: 120, views: 400 }], null)).toBeNull() // prettier-ignore
})

describe('ads asked', () => {
  const made = groupAds([
    ad('a', { firstSeen: 60, lastSeen: 100, views: 1000, reactions: 50, channel: 'boards', country: 'IE' }),
    ad('b', { firstSeen: 90, lastSeen: 92, views: 500, channel: 'clips', country: 'IE', advertiser: 'Café Sill' }),
    ad('c', { firstSeen: 95, lastSeen: 100, channel: 'boards', country: 'PT' }),
    ad('d'),
  ])
  const list = new AdList(made)
  const keys = (some: Partial<AdQuery>) => Array.from(list.ask({ ...allAds, ...some }).found, (at) => list.ads[at]?.key).join('') // prettier-ignore
  test.each<[Partial<AdQuery>, string]>([
    [{}, 'acbd'],
    [{ descending: false }, 'bcad'],
    [{ by: 'views' }, 'abcd'],
    [{ by: 'last', descending: false }, 'acbd'],
    [{ channels: ['boards'] }, 'ac'],
    [{ channels: ['boards', 'clips'], countries: ['IE'] }, 'ab'],
    [{ states: ['runs long'] }, 'a'],
    [{ states: ['tried and stopped'] }, 'b'],
    [{ limits: { days: [6, null] } }, 'ac'],
    [{ limits: { rate: [0.05, null] } }, 'a'],
    [{ limits: { last: [8, 8] } }, 'b'],
    [{ words: 'cafe' }, 'b'],
    [{ words: 'nothing' }, ''],
  ])('%j: %s', (some, wanted) => expect(keys(some)).toBe(wanted))
  test('a facet counts under all other limits, not under its own', () => {
    const { facets } = list.ask({ ...allAds, channels: ['boards'], countries: ['IE'] })
    expect(facets.channels).toEqual([
      { value: 'boards', count: 1 },
      { value: 'clips', count: 1 },
    ])
    expect(facets.countries).toEqual([
      { value: 'IE', count: 1 },
      { value: 'PT', count: 1 },
    ])
    expect(list.ask(allAds).facets.states.map((s) => s.value)).toEqual(['runs long', 'new', 'tried and stopped'])
  })
})

test('the score is the mean of what is known, and nothing of one part alone', () => {
  const group = groupAds([ad('a', { firstSeen: 71, lastSeen: 100, views: 1000, reactions: 25 })])[0] as AdGroup
  // 30 of 60 days, running, one number of five, half of five reactions a hundred: (0.5 + 1 + 0.2 + 0.5) / 4
  expect(adScore(group).value).toBe(55)
  expect(adScore({ ...group, growth: 3 }).parts[2]?.value).toBe(1)
  expect(adScore({ ...group, days: null, state: null, reactions: null }).value).toBeNull()
})

test('a Cut of ads is judged by its schema', () => {
  const cut = { name: 'Long', query: { ...allAds, limits: { days: [30, null] } } }
  expect(firstFault(adCutsSchema, [cut])).toBeNull()
  expect(firstFault(adCutsSchema, [{ ...cut, name: '' }])?.where).toMatch(/name/)
  expect(firstFault(adCutsSchema, [{ ...cut, query: { ...cut.query, by: 'luck' } }])?.where).toMatch(/by/)
  expect(firstFault(adCutsSchema, [{ ...cut, query: { ...cut.query, limits: { days: ['x', null] } } }])).not.toBeNull()
})
