import fc from 'fast-check'
import Papa from 'papaparse'
import { exportedColumns } from '../../exports'
import { importRows } from './import-rows'
import { openFile } from '../open/open-file'
import { proposeMapping } from '../recognise/propose-mapping'
import { Recogniser } from '../recognise/guess-columns'

const pick = (...cells: string[]) => fc.constantFrom(...cells)
const cells = {
  'Item ID': pick('000123', 'Total', 'Razem:', 'Total May', '17', '17', 'X-9', '', '9007199254740993', 'a'.repeat(90)),
  Title: pick(
    'Herb trough',
    'Herb trough',
    ' Herb  trough',
    'Nest box for tits – Kärnten',
    'R&amp;D',
    'n/a',
    '',
    '鳥の巣箱',
    'say "hi"',
    'a\nb',
    'ok',
    'x'.repeat(2100),
  ),
  Price: pick(
    '12.50',
    '€12.50',
    'GBP 3',
    '0',
    '-4',
    '1,234.50',
    '12.34567',
    '',
    'free',
    '99999999999999',
    '.5',
    '7',
    '12.',
  ),
  Units: pick('3', '0', '-1', '3.0', '2.5', '', 'n/a', '１２', '1e3'),
  Rating: pick('4.5', '5', '5.1', '', '4.55'),
  Change: pick('0.25', '25 %', '4', '-0.3', ''),
  Listed: pick('2026-05-01', '31/12/2025', '', 'soon'),
  Tags: pick('a, b', 'a|b', 'c', ''),
  EAN: pick('4006381333931', '4006381333930', ''),
  Currency: pick('EUR', 'usd', '€', '', 'XXXX'),
}
const recogniser = new Recogniser()
const headings = Object.keys(cells)
const row = fc.tuple(...Object.values(cells))

test('from bytes or from text: the same records, the same refusals, the same doubts', async () => {
  const columns = fc.subarray(headings.slice(3), { minLength: 1 }).map((some) => [...headings.slice(0, 3), ...some])
  await fc.assert(
    fc.asyncProperty(
      fc.array(row, { minLength: 3, maxLength: 30 }),
      columns,
      fc.constantFrom('\n', '\r\n'),
      fc.boolean(),
      fc.constantFrom('', 'x"y,"z" w,3\n'),
      async (rows, names, newline, quotes, broken) => {
        const table = rows.map((r) => names.map((n) => r[headings.indexOf(n)] ?? ''))
        const text =
          Papa.unparse([names, ['id0', 'A plain row', '3.20', ...names.slice(3).map(() => '')], ...table], {
            newline,
            quotes,
          }) +
          newline +
          broken
        const file = await openFile(new File([text], 'x.csv'))
        const mapping = {
          ...proposeMapping(file, Date.UTC(2026, 11, 1), { recogniser }).mapping,
          market: 'Marrowgate',
          currency: 'EUR',
        }
        if (mapping.kind === 'offers') return
        const { byteRows, ...plain } = file
        expect(byteRows).toBeDefined()
        const [ours, theirs] = [await importRows(file, mapping), await importRows(plain, mapping)]
        const shown = (r: typeof ours) => ({ ...r, table: exportedColumns([r.table], mapping.kind) })
        expect(shown(ours)).toEqual(shown(theirs))
      },
    ),
    { numRuns: 300 },
  )
})

test('segments hold the words of their own rows only', async () => {
  const text = `Item ID,Title,Price\n${Array.from({ length: 40 }, (_, i) => `i${i},A title of its own ${i},${i % 7 ? '2.00' : 'free'}`).join('\n')}\n`
  const file = await openFile(new File([text], 'x.csv'))
  const words: number[] = []
  const { mapping } = proposeMapping(file, Date.UTC(2026, 11, 1), { recogniser })
  const { taken, table } = await importRows(
    file,
    { ...mapping, market: 'Marrowgate', currency: 'EUR' },
    { segmentRows: 10, onSegment: () => Promise.resolve() },
  )
  const title = table.columns.title
  if (title?.type === 'text') words.push(title.words.length, title.codes.length)
  expect(taken).toBe(34)
  expect(words[0]).toBe(words[1])
})
