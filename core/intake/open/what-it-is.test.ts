import { detectEncoding, looksBinary } from './decode-text'
import { openFile } from './open-file'
import { limits } from './opened-file'

const bytes = (...list: number[]) => Uint8Array.from(list)
const utf8 = (text: string) => new TextEncoder().encode(text)
/** Text as two bytes a letter, the low one first or last. */
const wide = (text: string, isLow: boolean) =>
  Uint8Array.from([...text].flatMap((c) => (isLow ? [c.charCodeAt(0), 0] : [0, c.charCodeAt(0)])))

describe('the encoding of a text', () => {
  test('is told by a mark, by zeros in every other byte, by what is valid UTF-8, or else is that of old Windows', () => {
    expect(detectEncoding(bytes(0xff, 0xfe, 0x41, 0))).toBe('utf-16le')
    expect(detectEncoding(bytes(0xfe, 0xff, 0, 0x41))).toBe('utf-16be')
    expect(detectEncoding(bytes(0xff, 0x41))).toBe('windows-1252')
    expect(detectEncoding(bytes(0xfe, 0x41))).toBe('windows-1252')
    expect(detectEncoding(wide('id,title', true))).toBe('utf-16le')
    expect(detectEncoding(wide('id,title', false))).toBe('utf-16be')
    expect(detectEncoding(utf8('größe'))).toBe('utf-8')
    expect(detectEncoding(bytes(0x67, 0x72, 0xf6, 0xdf, 0x65))).toBe('windows-1252')
    expect(detectEncoding(bytes())).toBe('utf-8')
  })
  test('is UTF-8 too where the bytes end within a letter, but for a file that is over', () => {
    const cut = utf8('größ').subarray(0, 5)
    expect([detectEncoding(cut, false), detectEncoding(cut, true)]).toEqual(['utf-8', 'windows-1252'])
  })
  test('takes zeros in a fifth of the bytes, and hardly any on the other side', () => {
    const zeros = (at: (i: number) => boolean) => Uint8Array.from({ length: 200 }, (_, i) => (at(i) ? 0 : 65))
    expect(detectEncoding(zeros((i) => i % 4 === 1))).toBe('utf-16le')
    expect(detectEncoding(zeros((i) => i % 4 === 0))).toBe('utf-16be')
    expect(detectEncoding(zeros((i) => i % 10 === 1))).toBe('utf-8')
    expect(detectEncoding(zeros((i) => i % 4 === 1 || i % 10 === 0))).toBe('utf-8')
    expect(detectEncoding(zeros((i) => i % 4 === 1 || i === 0))).toBe('utf-16le')
  })
})

test('data of a program have zeros, or marks that no text has, in two of a hundred bytes', () => {
  expect([bytes(), utf8('a,b\r\n\t1'), wide('a,b,c,d', true)].map(looksBinary)).toEqual([false, false, false])
  expect(looksBinary(bytes(0x41, 0, 0x42, 0x43, 0x44, 0x45, 0x46, 0x47))).toBe(true)
  const odd = (many: number, mark: number) => Uint8Array.from({ length: 100 }, (_, i) => (i < many ? mark : 65))
  for (const mark of [1, 8, 14, 26, 31])
    expect([looksBinary(odd(3, mark)), looksBinary(odd(2, mark))]).toEqual([true, false])
  // tabs, line ends of all sorts, the mark that begins a colour, spaces
  for (const mark of [9, 10, 13, 27, 32]) expect(looksBinary(odd(50, mark))).toBe(false)
})

const code = (content: BlobPart, name = 'x') =>
  openFile(new File([content], name)).then(
    ({ format }) => format,
    (e: { code: string }) => e.code,
  )
test('what a file is, by its first bytes and not by its name', async () => {
  const old = (...last: number[]) => bytes(0xd0, 0xcf, ...last, 1, 2, 3)
  expect(await code(old(0x11), 'a.csv')).toBe('file-old-spreadsheet')
  expect(await code(old(0x12), 'a.xls')).not.toBe('file-old-spreadsheet')
  expect(await code(bytes(0x50, 0x4b, 3, 4), 'a.csv')).toBe('file-xlsx-broken')
  expect(await code('PK,4\nx,5\ny,6\n', 'a.xlsx')).toBe('delimited')
  expect(await code('PAR1 is no file', 'a.csv')).toBe('file-parquet-broken')
  expect(await code('PAR,4\nx,5\ny,6\n')).toBe('delimited')
  const lines = '{"id":"1","title":"a","price":3}\n{"id":"2","title":"b","price":4}\n'
  expect(await code(lines)).toBe('ndjson')
  expect(await code(`[${lines.trim().replace('\n', ',')}]`)).toBe('json')
  // one record on one line is a document, and so is what goes on below without another
  expect(await code('{"items":[{"id":"1","title":"a"},{"id":"2","title":"b"}]}\n')).toBe('json')
  expect(await code('{"items":\n[{"id":"1","title":"a"},{"id":"2","title":"b"}]}')).toBe('json')
})

test('a table may be as wide as is allowed, and no wider', async () => {
  const wide = (columns: number) =>
    [(c: number) => `name ${c}`, (c: number) => `${c}`, (c: number) => `${c + 1}`]
      .map((cell) => Array.from({ length: columns }, (_, c) => cell(c)).join(','))
      .join('\n')
  expect(await code(wide(limits.columns))).toBe('delimited')
  expect(await code(wide(limits.columns + 1))).toBe('file-wide')
})

test('a file may be as large as its format allows, and no larger', async () => {
  const sized = (head: BlobPart, megabytes: number, extra = 0) => {
    const small = new File([head], 'big')
    return openFile({
      name: 'big',
      size: megabytes * 1_000_000 + extra,
      slice: (from?: number, to?: number) => small.slice(from, to),
      stream: () => small.stream(),
      arrayBuffer: () => small.arrayBuffer(),
    }).then(
      () => 'opened',
      (e: { code: string }) => e.code,
    )
  }
  for (const [head, most] of [
    [bytes(0x50, 0x4b, 3, 4), limits.bookMegabytes],
    ['PAR1', limits.parquetMegabytes],
    ['a,b\n1,2\n', limits.textMegabytes],
    ['[{"a":1}]', limits.jsonMegabytes],
  ] as const) {
    expect(await sized(head, most, 1)).toBe('file-too-large')
    expect(await sized(head, most)).not.toBe('file-too-large')
  }
})
