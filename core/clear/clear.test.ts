import { tableOf } from '../records/table-of'
import {
  answerFields,
  answersFile,
  avoidEntries,
  clearEntries,
  Clearer,
  clearItems,
  identifiersOf,
  pastedAnswers,
  statusOrder,
  type Asked,
} from '.'
import { PhraseIndex } from './phrase-index'

const item = {
  gtin: '04006381333931',
  brand: 'Wren-Works',
  category: 'Garden / Birds / Feeders',
  listings: [{ key: 'Marrowgate/7', title: 'Wren-Works peanut feeders, filled', tags: 'nut holder|for tits' }],
}
const line = (some: object) => ({ market: 'Marrowgate', what: 'x y z', status: 'restricted', ...some })
const listOf = (...records: object[]) => clearEntries([{ records: records as never[], day: 20_604 }])
const says = (some: object) => new Clearer(listOf(line(some))).clear(item).status

describe('an entry speaks of an item', () => {
  test.each<[object, string]>([
    [{ gtin: '04006381333931' }, 'restricted'],
    [{ what: '4006381333931' }, 'restricted'],
    [{ what: '4006381333931', sort: 'barcode' }, 'restricted'],
    [{ gtin: '00036000291452' }, 'unknown'],
    [{ id: '7' }, 'restricted'],
    [{ id: '7', market: 'Fernhand' }, 'unknown'],
    [{ what: 'garden / birds', sort: 'category' }, 'restricted'],
    [{ what: 'Garden/Birds', sort: 'Kategorie' }, 'restricted'],
    [{ category: 'Garden > Birds > Feeders' }, 'restricted'],
    [{ what: 'Garden / Bird', sort: 'category' }, 'unknown'],
    [{ what: '/', sort: 'category' }, 'unknown'],
    [{ what: 'wren works', sort: 'brand' }, 'restricted'],
    [{ what: 'wren work', sort: 'Marke' }, 'unknown'], // a brand has no other forms
    [{ what: 'peanut feeder' }, 'restricted'], // words have
    [{ what: 'Peanuts feeder', sort: 'phrase' }, 'restricted'],
    [{ what: 'nut holders' }, 'restricted'],
    [{ what: 'tit' }, 'restricted'],
    [{ what: 'feeder peanut' }, 'unknown'],
    [{ what: 'holder for' }, 'unknown'], // not from one tag to the next
    [{ what: 'ren', sort: 'phrase' }, 'unknown'], // never inside a word
    [{ what: 'pea' }, 'unknown'],
    [{ what: 'eeders filled' }, 'unknown'],
    [{ what: 'feeders filled today' }, 'unknown'],
    [{ what: 'Wren-Works peanut feeders', sort: 'item' }, 'restricted'],
    [{ what: 'Wren-Works peanut feeders', sort: 'item', id: '99' }, 'unknown'], // said of another listing
    [{ what: ' ' }, 'unknown'],
  ])('%j: %s', (some, status) => expect(says(some)).toBe(status))

  test('in other scripts and with accents, by whole words too', () => {
    const other = {
      gtin: null,
      brand: null,
      category: null,
      listings: [{ key: '', title: 'Futterhaus für Vögel', tags: null }],
    }
    expect(new Clearer(listOf(line({ what: 'vögel' }))).clear(other).status).toBe('restricted')
    expect(new Clearer(listOf(line({ what: 'ögel' }))).clear(other).status).toBe('unknown')
  })
  test('a brand that is stated counts though no title says it', () => {
    const silent = { ...item, listings: [{ key: 'M/1', title: 'Feeder', tags: null }] }
    expect(new Clearer(listOf(line({ what: 'WREN WORKS', sort: 'brand' }))).clear(silent).status).toBe('restricted')
  })
})

test('the strictest of all that speaks of it counts, and every line is told', () => {
  const { status, because } = new Clearer(
    listOf(line({ id: '7', status: 'allowed' }), line({ what: 'peanut', status: 'ask first', note: 'food' })),
  ).clear(item)
  expect(status).toBe('needs approval')
  expect(because.map((b) => [b.what, b.status, b.note])).toEqual([
    ['peanut', 'needs approval', 'food'],
    ['x y z', 'allowed', null],
  ])
  expect(new Clearer([]).clear(item)).toEqual({ status: 'unknown', because: [] })
})

test('a later list takes the place of an earlier one, of the same thing on the same market', () => {
  const clear = (...lists: [number, object][]) =>
    new Clearer(clearEntries(lists.map(([day, record]) => ({ day, records: [record as never] })))).clear(item)
  const [no, yes] = [line({ gtin: item.gtin }), line({ gtin: item.gtin, status: 'allowed' })]
  expect(clear([1, no], [2, yes])).toMatchObject({ status: 'allowed', because: [{ checked: null, readOn: 2 }] })
  expect(clear([2, no], [1, yes]).status).toBe('restricted')
  expect(clear([1, no], [2, { ...yes, market: 'Fernhand' }]).status).toBe('restricted')
  expect(clear([5, line({ gtin: item.gtin, checked: 3 })]).because[0]?.checked).toBe(3)
})

test('what the seller avoids is restricted on every market, with the reason', () => {
  const entries = avoidEntries([{ what: 'peanuts', sort: 'phrase', why: 'allergy' }])
  expect(new Clearer(entries).clear(item)).toMatchObject({
    status: 'restricted',
    because: [{ by: 'you', market: null, note: 'allergy', checked: null, readOn: null }],
  })
})

test('many items at once come to what each by itself comes to', async () => {
  const rows: Record<string, string>[] = [
    { market: 'Marrowgate', id: '1', title: 'Nut holders, filled' },
    { market: 'Marrowgate', id: '2', title: 'Plain thing', tags: 'gift|peanut feeder' },
    { market: 'Fernhand', id: '3', title: 'Plain thing', gtin: '04006381333931' },
    { market: 'Fernhand', id: '4', title: 'Plain thing', brand: 'Tern', category: 'Garden / Birds / Baths' },
    { market: 'Fernhand', id: '5', title: 'Nothing of the kind' },
    { market: 'Fernhand', id: '6', title: 'Nut holder' },
  ]
  const clearer = new Clearer(
    listOf(
      line({ what: 'nut holder', status: 'ask first' }),
      line({ what: 'peanut feeder', status: 'allowed' }),
      line({ gtin: '04006381333931' }),
      line({ what: 'Garden / Birds', sort: 'category', status: 'allowed' }),
      line({ what: 'tern', sort: 'brand', status: 'ask first' }),
      line({ market: 'Fernhand', id: '6' }),
    ),
  )
  const itemOf = Int32Array.from([0, 0, 1, 2, 3, 4])
  let turns = 0
  const codes = await clearItems(clearer, tableOf('listings', rows), {
    itemOf,
    items: 5,
    onProgress: async () => void turns++,
  })
  expect([...codes].map((c) => statusOrder[c])).toEqual([
    'needs approval',
    'restricted',
    'needs approval',
    'unknown',
    'restricted',
  ])
  expect(turns).toBe(1)
  rows.forEach((r, i) => {
    const { gtin = null, brand = null, category = null, tags = null, title, market, id } = r
    const alone = clearer.clear({
      gtin,
      brand,
      category,
      listings: [{ key: `${market}/${id}`, title: title ?? '', tags }],
    })
    const least = statusOrder.indexOf(alone.status)
    expect(codes[itemOf[i] as number]).toBeLessThanOrEqual(least)
  })
})

describe('asking a market, and what it answers', () => {
  const asked: Asked[] = [
    { item: 'a', market: 'Marrowgate', id: 'MG-100', gtin: '04006381333931', title: 'Hanging seed feeder, 30 cm' },
    { item: 'b', market: 'Marrowgate', id: 'MG-101', gtin: '00036000291452', title: 'No-drill bracket' },
    { item: 'c', market: 'Marrowgate', id: '102', gtin: null, title: 'Hanging seed feeder, 30 cm, green' },
  ]
  const read = (text: string) => {
    const { answers, unread } = pastedAnswers(text, asked)
    return [answers.map((a) => `${a.asked.item} ${a.status}`).sort(), unread]
  }
  const all = ['a restricted', 'b allowed', 'c needs approval']

  test('identifiers in the form wanted, one a line; what has none is left out', () => {
    expect(identifiersOf(asked, 'barcode')).toEqual(['4006381333931', '0036000291452'])
    expect(identifiersOf(asked, 'listing')).toEqual(['MG-100', 'MG-101', '102'])
    expect(identifiersOf([...asked, ...asked], 'title')).toHaveLength(3)
  })
  test.each([
    [
      'a table with headings',
      'Item ID,Status,Reason\nMG-100,Restricted,brand\nMG-101,Allowed,\n102,Needs approval,food',
    ],
    ['tabs, barcodes without headings', '4006381333931\tgesperrt\n036000291452\terlaubt\n102\tFreigabe nötig'],
    [
      'titles beside numbers',
      'mg-100; Hanging seed feeder, 30 cm; not allowed\nMG-101; No-drill bracket; ok\n102; approval required',
    ],
    [
      'whole titles',
      'Hanging seed feeder, 30 cm, green - ask first\nHanging seed feeder, 30 cm - banned\nNo-drill bracket - fine',
    ],
    ['lists under headings', 'Restricted:\nMG-100\n\nAllowed\n- MG-101\n\nNeeds approval\n102'],
  ])('%s', (_, text) => expect(read(text)).toEqual([all, []]))
  test('what is not understood, or was not asked, is told and not guessed', () => {
    expect(read('MG-100 perhaps\nMG-999 allowed, they say\nMG-101 allowed')).toEqual([
      ['b allowed'],
      ['MG-999 allowed, they say', 'MG-100 perhaps'],
    ])
  })
  test('the last of two answers counts; a "no" within a title is no answer', () => {
    expect(read('MG-100 allowed\nMG-100 restricted')[0]).toEqual(['a restricted'])
    expect(read('MG-101 No-drill bracket')).toEqual([[], ['MG-101 No-drill bracket']])
  })
  test('answers are a file that says all of them', () => {
    const { answers } = pastedAnswers('MG-100 restricted, =brand owner', asked)
    const [head, row] = answersFile(answers, '2026-11-27').trim().split(/\r?\n/)
    expect(head?.split(',')).toHaveLength(answerFields.length)
    expect(row).toContain('Marrowgate')
    expect(row).toMatch(/"4006381333931","MG-100"$/)
  })
})

test('phrases are found in texts as they rest just as in texts, plain or not, however many words there are', () => {
  const known = ['Bird bath', 'vögel', 'x2 pack', 'nut']
  const index = new PhraseIndex(
    known.map((phrase, i) => [i, phrase]),
    true,
  )
  const texts = [
    'Hanging BIRD-baths, copper',
    'Futterhaus für Vögel, nuts',
    'X2 packs',
    'birdbath',
    'bird',
    '',
    ...Array.from({ length: 6000 }, (_, i) => `word${i} nut thing${i * 7}`),
  ]
  const encoder = new TextEncoder()
  const all = (read: (found: (entry: number) => void) => void) => {
    const found: number[] = []
    read((entry) => found.push(entry))
    return found
  }
  const inTexts = texts.map((text) => all((found) => index.forEachIn(text, found)))
  expect(inTexts.slice(0, 7)).toEqual([[0], [1, 3], [2], [], [], [], [3]])
  const inBytes = texts.map((text) => {
    const bytes = encoder.encode(`nut ${text} nut`)
    return all((found) => index.forEachInBytes(bytes, 4, bytes.length - 4, found))
  })
  expect(inBytes).toEqual(inTexts)
})
