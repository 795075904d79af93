import { firstFault } from '../schema'
import { tableOf } from '../records/table-of'
import { answersRead, electricTold } from './answers-read'
import {
  answerTime,
  boughtGoods,
  isOverdue,
  lateBy,
  mergeOffers,
  noQuotes,
  offerOfQuote,
  onTimeRecord,
  plainLetter,
  priceMoves,
  promisesOf,
  purchasesSchema,
  quoteMessage,
  quotesSchema,
  quoteState,
  readAnswer,
  sampleNeed,
  splitAnswers,
  type Purchase,
  type Quote,
  type QuoteAnswer,
  type Sample,
} from '.'

const asked: Quote = {
  id: 'q1',
  item: 'Marrowgate/A1',
  title: 'Window feeder, 2 pack',
  supplier: 'Sill Mill',
  offer: null,
  quantities: [10, 50],
  place: 1,
  of: 1,
  askedOn: 100,
  dueOn: 105,
  answer: null,
  sample: null,
}
const answer: QuoteAnswer = {
  on: 103,
  tiers: [{ from: 1, priceE4: 20_000 }],
  currency: 'EUR',
  minOrder: null,
  deliveryE4: null,
  leadDays: 9,
  sampleE4: null,
  pack: null,
  note: '',
}
const sample: Sample = { orderedOn: 104, dueOn: 113, arrivedOn: null, passed: null, judgedOn: null }

describe('how far a quote has come', () => {
  test.each<[string, Partial<Quote>]>([
    ['asked', {}],
    ['declined', { answer: { ...answer, tiers: [] } }],
    ['answered', { answer }],
    ['sampled', { answer, sample }],
    ['passed', { answer, sample: { ...sample, passed: true } }],
    ['failed', { sample: { ...sample, passed: false } }],
  ])('%s', (state, some) => expect(quoteState({ ...asked, ...some })).toBe(state))

  test('an answer is late after its day, a sample after the promised one until it is here', () => {
    expect(lateBy(asked, 105)).toBeNull()
    expect(lateBy(asked, 107)).toEqual({ what: 'answer', days: 2 })
    const sampled = { ...asked, answer, sample }
    expect(lateBy(sampled, 113)).toBeNull()
    expect(lateBy(sampled, 114)).toEqual({ what: 'sample', days: 1 })
    expect(lateBy({ ...sampled, sample: { ...sample, arrivedOn: 113 } }, 120)).toBeNull()
    expect(lateBy({ ...sampled, sample: { ...sample, dueOn: null } }, 999)).toBeNull()
    expect(lateBy({ ...asked, answer }, 999)).toBeNull()
  })

  test.each<[string, object, string]>([
    ['list 1.quantities', { quantities: [] }, 'must name a quantity'],
    ['a tier twice', { answer: { ...answer, tiers: [answer.tiers[0], answer.tiers[0]] } }, 'names a quantity twice'],
    ['a currency', { answer: { ...answer, currency: 'XQX' } }, 'is no currency of ISO 4217'],
  ])('%s that cannot be is refused', (_, some, what) => {
    expect(firstFault(quotesSchema, { ...noQuotes, list: [{ ...asked, ...some }] })?.what).toBe(what)
    expect(firstFault(quotesSchema, { ...noQuotes, list: [{ ...asked, answer, sample }] })).toBeNull()
  })
})

describe('the message', () => {
  const one = { title: 'Seed tray', number: null, isSame: false, quantities: [10, 50, 200] }
  test('of one item says the packs, the questions and no number', () => {
    expect(quoteMessage([one], { ...plainLetter, questions: ['Price', ' '] })).toBe(
      'Hello,\n\nplease quote for:\n\nSeed tray: 10, 50 and 200 packs\n\n- Price\n\nThank you\n',
    )
  })
  test('of several are numbered, with the supplier’s own numbers; what is only like it is said to be', () => {
    const two = { title: 'Bird bath', number: 'B7', isSame: true, quantities: [1] }
    expect(quoteMessage([{ ...one, number: 'S1' }, two], { opening: '', closing: '', questions: [] })).toBe(
      '1. Seed tray (like your number S1): 10, 50 and 200 packs\n2. Bird bath (your number B7): 1 pack\n',
    )
  })
})

describe('what is answered', () => {
  // 44 answers in eight languages, labelled before the reader was written; one hand wrote both
  test.each([0, 1] as const)('half %d of the figures: nothing is read that is not said', (half) => {
    const { right, wrong, missed, extra } = answersRead(half)
    expect(wrong + extra).toBe(0)
    expect(missed).toBeLessThanOrEqual(2)
    expect(right).toBeGreaterThan(85)
  })
  test('without a price nothing is read, whatever days it names', () => {
    expect(readAnswer('We answer within 3 days. Shipping 5 EUR.')).toEqual({
      tiers: [],
      currency: null,
      minOrder: null,
      deliveryE4: null,
      leadDays: null,
      sampleE4: null,
    })
  })
  test('of two prices at one quantity the first stands; steps are put in order', () => {
    expect(readAnswer('50 pcs: 2.00 EUR\n10 pcs: 3.00 EUR\n10 pcs: 9.00 EUR').tiers).toEqual([
      { from: 10, priceE4: 30_000 },
      { from: 50, priceE4: 20_000 },
    ])
  })
  test('several items are told apart by the numbers they were asked under; what stands before is said of all', () => {
    const text = 'Shipping 9 EUR.\n1. 2 EUR each\nfrom stock\n2) 3 EUR each\n1. not again'
    expect(splitAnswers(text, 3)).toEqual([
      '2 EUR each\nfrom stock\nShipping 9 EUR.',
      '3 EUR each\n1. not again\nShipping 9 EUR.',
      null,
    ])
    expect(splitAnswers('no numbers', 2)).toEqual(['no numbers', 'no numbers'])
    expect(splitAnswers('1. one item alone', 1)).toEqual(['1. one item alone'])
  })
})

test('an answer becomes an offer: prices by the answer, what it does not say by the offer that was asked about', () => {
  const rows = [
    {
      supplier: 'Sill Mill',
      id: 'S1',
      title: 'Feeder 2 pack',
      tiers: '1:90000',
      minOrder: 40,
      delivery: 50_000,
      leadDays: 12,
      leadDaysLeast: 8,
      rating: 4.5,
      since: 5,
      stock: 7,
    },
  ]
  const table = tableOf('offers', rows)
  const [about] = mergeOffers([{ id: 'o', kind: 'offers', capturedOn: 90, windowDays: 30, table }])
  const offer = offerOfQuote(asked, answer, { about: about!, other: null })
  expect(offer).toMatchObject({
    key: 'offer:Sill Mill/S1 quoted',
    title: 'Feeder 2 pack',
    pack: 2,
    tiers: answer.tiers,
    minOrder: 1,
    deliveryE4: 50_000,
    leadDays: 9,
    leadDaysLeast: null,
    rating: 4.5,
    stock: 7,
    capturedOn: 103,
  })
  expect(offerOfQuote(asked, { ...answer, pack: 6 }, { about: about!, other: null })).toMatchObject({ pack: 6 })
  const other = offerOfQuote(asked, { ...answer, minOrder: 5, deliveryE4: 0 }, { about: null, other: about! })
  expect(other).toMatchObject({ id: 'quote q1', pack: 2, minOrder: 5, deliveryE4: 0, rating: 4.5, stock: null })
})

describe('the record of a supplier', () => {
  const order = (promisedOn: number | null, arrivedOn: number | null): Purchase => ({
    id: `${promisedOn} ${arrivedOn}`,
    supplier: 'Sill Mill',
    what: 'feeders',
    orderedOn: 50,
    promisedOn,
    arrivedOn,
  })
  test('what came by its day is on time; what has not come is late once its day is past, and underway before', () => {
    const record = onTimeRecord(
      [order(60, 60), order(60, 58), order(60, 65), order(70, null), order(90, null), order(null, 66)],
      80,
    )
    // 2 of 4: Wilson's interval by hand is 0.15003898 to 0.84996102
    expect(record).toMatchObject({ known: 4, onTime: 2, middleDaysLate: 0, unpromised: 1, underway: 1 })
    expect(record.share?.low).toBeCloseTo(0.15003898, 7)
    expect(record.share?.high).toBeCloseTo(0.84996102, 7)
    expect(onTimeRecord([], 80)).toEqual({
      known: 0,
      onTime: 0,
      share: null,
      middleDaysLate: null,
      unpromised: 0,
      underway: 0,
    })
  })
  test('a sample is an order like others, of its own supplier alone', () => {
    const quotes = [
      { ...asked, sample },
      { ...asked, supplier: 'Other', sample },
    ]
    expect(promisesOf('Sill Mill', [order(1, 2), { ...order(3, 4), supplier: 'Other' }], quotes)).toEqual([
      order(1, 2),
      { promisedOn: 113, arrivedOn: null },
    ])
  })
  test('an order is overdue from the day after', () => {
    expect([
      isOverdue(order(60, null), 60),
      isOverdue(order(60, null), 61),
      isOverdue(order(60, 70), 99),
      isOverdue(order(null, null), 99),
    ]).toEqual([false, true, false, false])
  })
  test('an order that arrives or is promised before it is given is refused', () => {
    expect(firstFault(purchasesSchema, [order(60, 60)])).toBeNull()
    expect(firstFault(purchasesSchema, [order(49, null)])?.what).toMatch(/promised for before/)
    expect(firstFault(purchasesSchema, [order(null, 49)])?.what).toMatch(/arrives before/)
  })
  test('answers: how many, how soon at the middle, and which are late', () => {
    const after = (days: number) => ({ ...asked, answer: { ...answer, on: 100 + days } })
    expect(answerTime([after(1), after(2), after(7), asked], 106)).toEqual({
      asked: 4,
      answered: 3,
      middleDays: 2,
      late: 1,
    })
    expect(answerTime([asked], 105)).toEqual({ asked: 1, answered: 0, middleDays: null, late: 0 })
  })
  test('own orders say what was bought where they name a supplier', () => {
    const rows: Parameters<typeof tableOf>[1] = [
      { order: '1', day: 50, title: 'Feeder', units: 1, price: 1, supplier: 'Sill Mill', promised: 60, arrived: 61 },
      { order: '2', day: 51, sku: 'K2', units: 1, price: 1, supplier: 'Sill Mill' },
      { order: '3', day: 51, title: 'Feeder', units: 1, price: 1 },
    ]
    const capture = {
      id: 'o',
      kind: 'orders' as const,
      capturedOn: 70,
      windowDays: null,
      table: tableOf('orders', rows),
    }
    expect(boughtGoods([capture as never])).toEqual([
      { id: 'Sill Mill/1/Feeder', supplier: 'Sill Mill', what: 'Feeder', orderedOn: 50, promisedOn: 60, arrivedOn: 61 },
      { id: 'Sill Mill/2/K2', supplier: 'Sill Mill', what: 'K2', orderedOn: 51, promisedOn: null, arrivedOn: null },
    ])
  })
})

test('prices that moved between lists: the newest move of each, the largest first; another currency is none', () => {
  const list = (capturedOn: number, rows: Parameters<typeof tableOf>[1]) => ({
    id: String(capturedOn),
    kind: 'offers' as const,
    capturedOn,
    windowDays: 30,
    table: tableOf(
      'offers',
      rows.map((r) => ({ supplier: 'Sill Mill', currency: 'EUR', ...r })),
    ),
  })
  const moves = priceMoves(
    [
      list(20, [
        { id: 'a', title: 'A', tiers: '1:11000;10:9000' },
        { id: 'b', title: 'B', tiers: '1:5000' },
        { id: 'c', title: 'C', tiers: '1:9000', currency: 'USD' },
        { id: 'e', title: 'E', tiers: '1:700' },
        { id: 'a', title: 'A', tiers: '1:1', supplier: 'Other' },
      ]),
      list(10, [
        { id: 'a', title: 'A', tiers: '1:10000' },
        { id: 'b', title: 'B', tiers: '1:10000' },
        { id: 'c', title: 'C', tiers: '1:8000' },
        { id: 'd', title: 'D', tiers: '1:100' },
        { id: 'e', title: 'E', tiers: '1:700' },
      ]),
    ],
    'Sill Mill',
  )
  expect(moves).toMatchObject({ compared: 3, dearer: 1, cheaper: 1, gone: 1 })
  expect(moves.moves.map((m) => [m.id, m.beforeE4, m.nowE4, m.beforeOn, m.nowOn])).toEqual([
    ['b', 10_000, 5_000, 10, 20],
    ['a', 10_000, 11_000, 10, 20],
  ])
})

describe('of what a sample is looked at first', () => {
  test('of what runs on electricity, and of a dear first order', () => {
    expect(sampleNeed({ title: 'USB lamp', outlayE4: null }, null)).toBe('electric')
    expect(sampleNeed({ title: 'Oak bench', outlayE4: 10_000_000 }, 10_000_000)).toBe('dear')
    expect(sampleNeed({ title: 'Oak bench', outlayE4: 9_999_999 }, 10_000_000)).toBeNull()
    expect(sampleNeed({ title: 'Oak bench', outlayE4: null }, 0)).toBeNull()
    expect(sampleNeed({ title: 'Oak bench', outlayE4: 9e9 }, null)).toBeNull()
  })
  // 108 titles in eight languages, labelled before the words were chosen; one hand wrote both
  test.each([0, 1] as const)('half %d of titles: what is electric, and what only goes with it', (half) => {
    const { titles, missed, extra } = electricTold(half)
    expect(titles).toBe(54)
    expect(missed).toBeLessThanOrEqual(2)
    expect(extra).toBe(0)
  })
})
