import Papa from 'papaparse'
import fc from 'fast-check'
import { zipSync, strToU8 } from 'fflate'
import { guardFormula, unguardFormula, writeCsv } from '../../notation/write-delimited'
import { importRows } from './import-rows'
import { learnFrom, nothingLearned } from '../recognise/learned'
import { openFile } from '../open/open-file'
import { openQuestions } from '../recognise/questions'
import { proposeMapping } from '../recognise/propose-mapping'
import { rejectedAsTable } from '../rejected-rows'
import { shapeOf } from '../recognise/shape-of'
import { hashText, numbers, textAt, textColumn, textIn } from '../../tables'

const now = Date.UTC(2026, 5, 1)
const file = (content: BlobPart, name = 'a.csv') => new File([content], name)
async function bring(content: BlobPart, name = 'a.csv', answers = {}) {
  const opened = await openFile(file(content, name))
  const proposal = proposeMapping(opened, now)
  return {
    opened,
    proposal,
    result: await importRows(opened, {
      ...proposal.mapping,
      market: 'Marrowgate',
      currency: proposal.mapping.currency ?? 'EUR',
      ...answers,
    }),
  }
}
const code = (content: BlobPart, name = 'x') =>
  openFile(file(content, name)).then(
    () => 'opened',
    (e: { code: string }) => e.code,
  )

test('bad input is named, never guessed at', async () => {
  const png = new Uint8Array([0x89, 0x50, 0x4e, 0x47, 13, 10, 26, 10, 0, 0, 0, 13, 73, 72, 68, 82])
  expect(await code('')).toBe('file-empty')
  expect(await code('   \n \n')).toBe('file-empty')
  expect(await code(png, 'picture.csv')).toBe('file-binary')
  expect(await code(new Uint8Array([0xd0, 0xcf, 0x11, 0xe0]), 'old.xls')).toBe('file-old-spreadsheet')
  expect(await code(new Uint8Array([0x50, 0x4b, 3, 4, 1, 2, 3]), 'broken.xlsx')).toBe('file-xlsx-broken')
  expect(await code(zipSync({ 'a.txt': strToU8('no book') }) as BlobPart, 'zip.xlsx')).toBe('file-xlsx-broken')
  expect(await code('{"a": [1, 2', 'cut.json')).toBe('file-json-broken')
  expect(await code(`${'['.repeat(5000)}${']'.repeat(5000)}`, 'deep.json')).toBe('file-json-deep')
  expect(await code('just a line of words', 'note.txt')).toBe('file-no-table')
  expect(await code(`${'a,'.repeat(500)}\n${'1,'.repeat(500)}`, 'wide.csv')).toBe('file-wide')
})

test('a gigabyte is refused before it is read', async () => {
  const huge = {
    name: 'big.csv',
    size: 1e9,
    slice: () => file('a,b\n1,2'),
    stream: () => file('').stream(),
    arrayBuffer: () => Promise.reject(new Error('read')),
  }
  await expect(openFile(huge)).rejects.toMatchObject({ code: 'file-too-large', details: { megabytes: 1000 } })
})

test('rows that cannot be taken come back with number and reason, can be corrected and brought again', async () => {
  const csv = 'Item ID,Title,Price (EUR),Units sold\n1,Bird bath,12.50,3\n2,,9.00,1\n3,Nest box,free,2\n4,Hook,4.00,x\n'
  const { opened, proposal, result } = await bring(csv)
  expect(result.taken).toBe(2)
  expect(result.rejected.map((r) => [r.row, r.reason])).toEqual([
    [3, 'no usable title (empty)'],
    [4, "no usable price ('free')"],
  ])
  expect(result.doubts).toEqual([{ row: 5, field: 'units', reason: "'x' is no number" }])
  const again = writeCsv(rejectedAsTable(opened.headings, result.rejected))
    .replace('"2","","9.00"', '"2","Mended","9.00"')
    .replace('"free","2"', '"5.00","2"')
  const back = await openFile(file(again, 'not-taken.csv'))
  expect(shapeOf(back.headings)).toBe(shapeOf(opened.headings))
  const final = { ...proposal.mapping, market: 'Marrowgate' }
  const about = { headings: opened.headings, holds: [], file: 'a.csv' }
  const learned = learnFrom(nothingLearned, about, {
    proposed: proposal.mapping,
    guess: proposal.mapping.columns,
    final,
  })
  const { mapping, answered } = proposeMapping(back, now, { learned })
  expect([mapping.market, answered, learned.columns]).toEqual(['Marrowgate', true, []])
  const second = await importRows(back, mapping)
  expect(second.taken).toBe(2)
  expect(textAt(textColumn(second.table, 'title'), 0)).toBe('Mended')
})

test('a wide sales file: one record a day, an empty cell is no figure', async () => {
  const { proposal, result } = await bring('Listing ID,2026-05-01,2026-05-02,2026-05-03\nA1,3,,0\nA2,1,2,3\n')
  expect(proposal.mapping.kind).toBe('sales')
  expect([...numbers(result.table, 'units')]).toEqual([3, 0, 1, 2, 3])
  expect(result.capturedOn).toBe(20576)
})

test('a day to come across a wide file is doubted, not taken, and does not move the window', async () => {
  const { result } = await bring('Listing ID,2026-05-01,2026-05-02,2206-05-03\nA1,3,1,9\nA2,1,2,3\n')
  expect([...numbers(result.table, 'units')]).toEqual([3, 1, 1, 2])
  expect(result.capturedOn).toBe(20575)
  expect(result.doubts[0]).toEqual({ row: 2, field: 'units', reason: '2206-05-03 is still to come' })
})

test('weeks: the figures reach to the end of the last week', async () => {
  const { result } = await bring('Listing ID,Week starting,Units\nA1,2026-05-04,3\nA1,2026-05-11,4\n')
  expect(result.capturedOn).toBe(20584 + 6)
})

test('a file speaks up to its newest day: months to their end, single days to themselves, whenever it is brought in', async () => {
  const up = async (text: string) => (await bring(text)).result.capturedOn
  const day = (iso: string) => Date.parse(iso) / 86_400_000
  const terms = (...months: string[]) =>
    `Search term,Month,Searches\n${months.map((m, i) => `mug,${m},${i + 5}`).join('\n')}\n`
  expect(await up(terms('2026-04-01', '2026-05-01'))).toBe(day('2026-05-31'))
  expect(await up(terms('2026-02-01', '2026-01-01'))).toBe(day('2026-02-28'))
  // four weeks apart and firsts of a month all the same
  expect(await up(terms('2026-02-01', '2026-03-01'))).toBe(day('2026-03-31'))
  const sellers =
    'Item ID,Seller,Offer price (EUR),Feedback 30 days,Seen on\nA1,Wren,9.00,3,2026-05-04\nA1,Tern,9.50,0,2026-05-11\n'
  expect(await up(sellers)).toBe(day('2026-05-11'))
  const clips =
    'Clip ID,Creator,Posted on,Views,Likes,Listing ID\nC1,@tern,2026-04-02,900,12,A1\nC2,@wren,2026-03-30,40,1,A1\n'
  expect(await up(clips)).toBe(day('2026-04-02'))
  const ads =
    'Ad ID,Advertiser,Channel,First seen,Last seen\nA1,Sill,feed,2026-03-01,2026-04-20\nA2,Rail,feed,2026-04-09,2026-04-12\n'
  expect(await up(ads)).toBe(day('2026-04-20'))
})

test('truly ambiguous files lead to a question', async () => {
  const opened = await openFile(
    file('Listing ID,Date,Units,Price\nA,01/02/2026,1,"$ 1.234"\nA,03/04/2026,2,"$ 5.678"\n'),
  )
  const { questions, mapping } = proposeMapping(opened, now)
  expect(openQuestions(questions, mapping).map((q) => q.about)).toEqual(['order', 'number', 'currency', 'market'])
})

test('splitting agrees with PapaParse on hostile CSV, across chunk borders', async () => {
  const cell = fc.oneof(
    fc.string({ maxLength: 8 }),
    fc.constantFrom('a"b', 'x,y', 'line\nbreak', '=1+1', ' ', '""', 'ü'),
  )
  await fc.assert(
    fc.asyncProperty(fc.array(fc.tuple(cell, cell, cell), { minLength: 3, maxLength: 30 }), async (rows) => {
      const usable = rows.map((r, i) => [`id${i}`, ...r.map((c) => c.replace(/\r/g, ''))])
      const text = Papa.unparse([['Item ID', 'Title', 'Store', 'Price'], ...usable], { newline: '\r\n' })
      const opened = await openFile(file(text))
      const got: unknown[] = []
      for await (const { batch } of opened.rows()) got.push(...batch.map((b) => b.cells))
      const expected = Papa.parse<string[]>(text, { delimiter: ',', newline: '\r\n' })
        .data.slice(1)
        .filter((r) => !r.every((c) => c.trim() === ''))
      expect(got).toEqual(expected)
    }),
    { numRuns: 150 },
  )
})

test('a long file is read in pieces, with progress, and can be stopped', async () => {
  const lines = Array.from({ length: 60_000 }, (_, i) => `${i},"Bird bath, no. ${i}",${(i % 90) + 0.5},${i % 7}`)
  const opened = await openFile(file(`Item ID,Title,Price (EUR),Units sold\n${lines.join('\n')}`))
  const { mapping } = proposeMapping(opened, now)
  const seen: number[] = []
  const result = await importRows(opened, { ...mapping, market: 'M' }, { onProgress: (done) => seen.push(done) })
  expect(result.taken).toBe(60_000)
  expect(seen.length).toBeGreaterThan(1)
  expect(seen.at(-1)).toBe(1)
  const stop = new AbortController()
  const stopped = importRows(
    opened,
    { ...mapping, market: 'M' },
    { signal: stop.signal, onProgress: () => stop.abort() },
  )
  await expect(stopped).rejects.toMatchObject({ code: 'cancelled' })
})

test('formulas are disarmed on the way out and whole on the way back', () => {
  const nasty = fc
    .tuple(
      fc.constantFrom('', "'", ' ', '\n', '\r\n', '\t', '\u200e', '\u202e', '\u2066', '\ufeff', '\u00a0', "''\u061c"),
      fc.constantFrom('=', '+', '-', '@', '＝', '＋', '－', '＠', ''),
      fc.string(),
    )
    .map((parts) => parts.join(''))
  fc.assert(
    fc.property(nasty, (text) => {
      const guarded = guardFormula(text)
      expect(unguardFormula(guarded)).toBe(text)
      expect(guarded).not.toMatch(/^[\s\p{Cf}\p{Cc}]*[=+\-@＝＋－＠]/u)
      expect(writeCsv([[text, -5]])).toBe(`"${guarded.replaceAll('"', '""')}",-5`)
    }),
    { verbose: true },
  )
  expect(writeCsv([['=HYPERLINK("x")', -5, 'plain', null]])).toBe('"\'=HYPERLINK(""x"")",-5,"plain",')
})

test.each(['bytes', 'text'])('a disarmed cell comes back as it was, read as %s', async (lane) => {
  const titles = ['=Herb trough + saucer', '-50 % seed packets', '@home bird bath', "'Tis the season wreath"]
  const csv = writeCsv([['Item ID', 'Title', 'Price', 'Units sold'], ...titles.map((t, i) => [`N-${i}`, t, 2, 3])])
  const { byteRows, ...plain } = await openFile(new File([csv], 'own.csv'))
  const opened = lane === 'bytes' ? { ...plain, byteRows } : plain
  const { table } = await importRows(opened, { ...proposeMapping(opened, now).mapping, market: 'M', currency: 'EUR' })
  expect(titles.map((_, row) => textIn(table, 'title', row))).toEqual(titles)
})

test.each(['bytes', 'text'])('a row without an end is refused with its number, read as %s', async (lane) => {
  const text = `Item ID,Title,Price\r\n1,Herb trough,2.00\r\n"${'and so on, '.repeat(2_500_000)}`
  const opened = await openFile(new File([text], 'endless.csv'))
  const { byteRows, ...plain } = opened
  const run = importRows(lane === 'bytes' ? { ...plain, byteRows } : plain, {
    ...proposeMapping(opened, now).mapping,
    market: 'M',
    currency: 'EUR',
  })
  await expect(run).rejects.toMatchObject({ code: 'row-too-long', details: { row: 3, megabytes: 16 } })
})

test('a price list says in how many days goods come, what they weigh and measure, whichever way it is read', async () => {
  const head = 'Supplier;Offer number;Title;Unit price;Lead time;Weight (kg);Parcel size (cm);Currency'
  const rows = [
    'Sill Mill;1;Window feeder;2,50;7-10 days;0,35;30 x 20 x 10;EUR',
    'Sill Mill;2;Ladle, oak;1,20;5 days;;;EUR',
  ]
  const { result } = await bring([head, ...rows].join('\r\n'))
  const { table, doubts } = result
  expect(doubts).toEqual([])
  expect([...numbers(table, 'leadDays')]).toEqual([10, 5])
  expect([...numbers(table, 'leadDaysLeast')]).toEqual([7, NaN])
  expect([...numbers(table, 'weight')]).toEqual([350, NaN])
  expect([0, 1].map((row) => textIn(table, 'size', row))).toEqual(['30 x 20 x 10 cm', null])
})

test('rows whose only other cell has the same 32 bits of hash are two rows', async () => {
  const [one, other] = ['mug stand blue 13730', 'string box oak 29769']
  expect(hashText(one)).toBe(hashText(other))
  const head = 'Market,What,Sort,Status,Note'
  const row = (what: string) => `Marrowgate,"${what}",phrase,Allowed,x`
  const { result } = await bring([head, row(one), row(other), row(one)].join('\n'))
  expect(result.table.rows).toBe(2)
  expect(result.rejected.map((r) => [r.row, r.reason])).toEqual([[4, 'an exact repeat of row 2']])
})
