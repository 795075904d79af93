import { openFile } from '../open/open-file'
import { proposeMapping, type Proposal } from './propose-mapping'
import type { Mapping } from '../mapping'
import { answerOf, answerTo, openQuestions } from './questions'
import { Recogniser } from './guess-columns'

const recogniser = new Recogniser()
const propose = async (csv: string) =>
  proposeMapping(await openFile(new File([csv], 'x.csv')), Date.UTC(2026, 11, 1), { recogniser })
const asked = ({ questions, mapping }: Proposal, some: Partial<Mapping> = {}) =>
  openQuestions(questions, { ...mapping, ...some }).map((q) => q.id)

test('market and currency are asked for until they are said, or a column says them', async () => {
  const p = await propose('Item ID,Title,Seller,Price\nA1,Bell,Wren,3.50\nA2,Lead,Tern,9.00\n')
  expect(asked(p)).toEqual(['currency', 'market'])
  expect(asked(p, { market: 'Marrowgate' })).toEqual(['currency'])
  expect(asked(p, { market: 'Marrowgate', currency: 'EUR' })).toEqual([])
  const said = await propose(
    'Market,Item ID,Title,Seller,Price,Currency\nM,A1,Bell,Wren,3.50,EUR\nM,A2,Lead,Tern,9.00,EUR\n',
  )
  expect(asked(said)).toEqual([])
})

test('a supplier is asked for where offers are meant', async () => {
  const p = await propose(
    'Ref,Description,Unit cost EUR,MOQ,Lead time\nS1,Bell,0.80,10,5 days\nS2,Lead,2.00,5,7 days\n',
  )
  expect([p.mapping.kind, asked(p)]).toEqual(['offers', ['supplier']])
  expect(asked(p, { supplier: 'Kestrel' })).toEqual([])
})

test('order of day and month, and what a mark means, are asked until said', async () => {
  const p = await propose('Listing ID,Date,Units,Price EUR\nA,01/02/2026,1,"1.234"\nB,03/04/2026,2,"5.678"\n')
  expect(asked(p, { market: 'M' })).toEqual(['order', 'number'])
  expect(asked(p, { market: 'M', said: ['order'] })).toEqual(['number'])
  expect(p.questions.find((q) => q.id === 'number')?.text).toBe('Does 1.234 mean 1234 or 1.234?')
})

test('percent or share is asked only while a column is taken for a share', async () => {
  const p = await propose('Search term,Searches,Change\nmug,10,1.5\nbell,20,0.2\nmat,4,2.5\n')
  expect(asked(p, { market: 'M' })).toEqual(['ratio:2'])
  const unused = p.mapping.columns.map((c, i) => (i === 2 ? { as: 'unused' as const } : c))
  expect(asked(p, { market: 'M', columns: unused })).toEqual([])
  expect(asked(p, { market: 'M', said: ['ratio:2'] })).toEqual([])
})

test('what is asked of an example shows what either answer would make of it', async () => {
  const share = await propose('Search term,Searches,Change\nmug,10,1.5\nbell,20,0.2\nmat,4,2.5\n')
  expect(share.questions.find((q) => q.id === 'ratio:2')).toMatchObject({
    text: "Under 'Change', does 1.5 mean 1.5 % or 150 %?",
    options: [
      { label: '1.5 %', value: 'percent' },
      { label: '150 %', value: 'share' },
    ],
  })
  const marks = await propose('Listing ID;Date;Units;Price EUR\nA;2026-05-01;1;"1,234"\nB;2026-05-02;2;"5,678"\n')
  expect(marks.questions.find((q) => q.id === 'number')).toMatchObject({
    text: 'Does 1,234 mean 1234 or 1.234?',
    options: [
      { label: '1234', value: '.' },
      { label: '1.234', value: ',' },
    ],
  })
})

test('a day to come is asked about, and the window ends with the last day that is no mistake', async () => {
  const p = await propose('Listing ID,Date,Units\nA,2026-05-01,1\nA,2206-05-01,2\nB,2026-05-03,4\n')
  expect(asked(p, { market: 'M' })).toEqual(['future:1'])
  expect(asked(p, { market: 'M', latestDay: null })).toEqual([])
  expect(p.mapping.capturedOn).toBe(Date.UTC(2026, 4, 3) / 86_400_000)
})

test('where two kinds fit nearly as well, the kind is asked', async () => {
  const p = await propose(
    '10001;Bell brass;4,50\n10002;Lead red;9,00\n10003;Mat blue;12,00\n10004;Clock oak;3,20\n10005;Train wood;8,00\n10006;Knife oak;7,50\n',
  )
  const near = p.kinds[0]!.score - p.kinds[1]!.score
  expect(p.questions.some((q) => q.id === 'kind')).toBe(near < 0.5)
})

test('a file that no kind explains is taken for nothing without asking', async () => {
  const p = await propose('Town,Rain,Wind\nHarrow Quay,3,2\nSill,4,1\n')
  expect(asked(p)).toContain('kind')
  expect(p.questions.find((q) => q.id === 'kind')?.options).toHaveLength(12)
})

test('an answer changes what it is about, closes the question, and can be changed', async () => {
  const p = await propose(
    'Search term,Searches,Change,Month\nmug,10,1.5,01/02/2026\nbell,20,0.2,03/02/2026\nmat,4,2.5,05/06/2206\n',
  )
  const answers = { 'ratio:2': ['percent', 'share'], order: ['dmy', 'mdy'], 'future:3': ['unknown', 'take'] }
  for (const [id, values] of Object.entries(answers)) {
    const question = p.questions.find((q) => q.id === id)!
    expect([id, answerOf(question, p.mapping)]).toEqual([id, null])
    let mapping = p.mapping
    for (const value of values) {
      mapping = { ...mapping, ...answerTo(question, value, mapping) }
      expect([id, answerOf(question, mapping), openQuestions([question], mapping)]).toEqual([id, value, []])
    }
  }
  const ratio = p.questions.find((q) => q.id === 'ratio:2')!
  expect(answerTo(ratio, 'percent', p.mapping).styles?.[2]).toEqual({ ratio: 'percent' })
  const number = { id: 'number', about: 'number' as const, text: '', options: [] }
  expect(answerTo(number, ',', p.mapping).number).toEqual({ decimal: ',', group: '.' })
})
