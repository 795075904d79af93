import { strToU8 } from 'fflate'

const rowOf = (i: number) => `A${i},Bell ${i},${(i % 90) + 0.5}`
const csv = (rows: number) =>
  `Item ID,Title,Price (EUR)\n${Array.from({ length: rows }, (_, i) => rowOf(i)).join('\n')}\n`
const keys = (n: number, value: (i: number) => unknown = (i) => i) =>
  Object.fromEntries(Array.from({ length: n }, (_, i) => [`key${i}`, value(i)]))
const mb = 1_000_000

/** one MB of what makes patterns go wild */
const wild = [
  '1',
  'a',
  ' ',
  '1.',
  '1,',
  'a1',
  '- ',
  '1/',
  '"',
  "'",
  'é',
  '&',
  '%',
  '\t',
  '(',
  '€',
  '1 ',
  'x 1 ',
  '2026-',
].map((s) => s.repeat(Math.ceil(mb / s.length)).slice(0, mb))

/** Texts that are long where none expects it, or tables that go on and on. */
export function hostileTexts(random: () => number): [string, string][] {
  const pick = <T>(list: readonly T[]) => list[Math.floor(random() * list.length)] as T
  const long = pick(wild)
  const other = pick(wild)
  const n = 5 + Math.floor(random() * 50)
  return [...tables(long, other, n, pick), ...records(long, other)]
}

function tables(long: string, other: string, n: number, pick: (list: readonly string[]) => string): [string, string][] {
  return [
    ['long-note.csv', `${long.replaceAll('"', '_')}\nsold 1 May 2026 to 31 May 2026\n${csv(n)}`],
    ['long-heading.csv', `Item ID,Title,${long.replaceAll('"', '').replaceAll(',', ';')}\n1,a,3\n2,b,4\n3,c,5\n`],
    [
      'long-cell.csv',
      `${csv(n)}B1,"${long.replaceAll('"', '""')}",3\nB2,x,"${other.replaceAll('"', '""')}"\n"${long.replaceAll('"', '""')}",x,3\n`,
    ],
    ['long-first-cell.csv', `Item ID,Title,Price\n"${long.replaceAll('"', '""')}",a,1\n2,b,2\n3,c,3\n`],
    ['every-row-refused.csv', `Item ID,Title,Price (EUR)\n${'x,y,free\n'.repeat(500 + n)}`],
    ['row-too-long.csv', `Item ID,Title,Price (EUR)\n1,a,2\n2,"${'and so on, '.repeat(1_700_000)}`],
    ['one-line-of-20-mb.csv', 'word '.repeat(4_000_000)],
    ['only-delimiters.csv', `${','.repeat(300)}\n`.repeat(3000)],
    ['line-ends-mixed.csv', csv(n).replaceAll('\n', pick(['\r', '\n\r', '\r\n\n', '\r\r\n']))],
    ['only-carriage-returns.csv', csv(20_000).replaceAll('\n', '\r')],
    ['quotes-everywhere.csv', `Item ID,Title,Price\n${'"a"b,"c",1\n'.repeat(2000)}`],
    ['never-closing-quotes.csv', `Item ID,Title,Price\n${'"a,b,1\n'.repeat(30_000)}`],
    ['zeros.csv', csv(n) + '\u0000'.repeat(3000)],
  ]
}

function records(long: string, other: string): [string, string][] {
  return [
    ['keys-30000.json', JSON.stringify([keys(30_000), keys(30_000)])],
    ['keys-1000000.json', JSON.stringify([keys(mb)])],
    [
      'ever-new-keys.json',
      JSON.stringify(
        Array.from({ length: 3000 }, (_, i) => ({ id: i, title: `t${i}`, [`k${i}`]: 1, [`m${i * 7}`]: 2 })),
      ),
    ],
    [
      'new-keys-late.json',
      JSON.stringify(
        Array.from({ length: 6000 }, (_, i) => ({
          id: `i${i}`,
          title: `t${i}`,
          price: 3,
          ...(i > 3000 ? { [`k${i}`]: 1 } : {}),
        })),
      ),
    ],
    ['deep.json', `${'[{"a":'.repeat(60_000)}1`],
    ['deep-and-closed.json', `${'['.repeat(50_000)}${']'.repeat(50_000)}`],
    [
      'long-text.json',
      JSON.stringify([
        { id: 1, title: long, price: 2 },
        { id: 2, title: other, price: 3 },
      ]),
    ],
    ['text-without-end.json', `[{"id":1,"title":"${'x'.repeat(20 * mb)}`],
    ['record-of-20-mb.json', JSON.stringify([{ id: 1, title: 'x'.repeat(18 * mb), price: 1 }])],
    ['million-plain-values.json', `[${'1,'.repeat(mb)}1]`],
    ['million-empty-records.json', `[${'{},'.repeat(mb)}{}]`],
    [
      'lists-of-lists.json',
      JSON.stringify(Array.from({ length: 2000 }, (_, i) => Array.from({ length: 1 + ((i * 7) % 300) }, (_x, j) => j))),
    ],
    [
      'numbers-without-end.json',
      '[{"id":"a","title":"t","price":1e999,"units":-1e308},{"id":"b","title":"u","price":0.1e-400,"units":99999999999999999999}]',
    ],
    [
      'odd-names.json',
      '[{"__proto__":{"x":1},"constructor":"a","hasOwnProperty":"b","title":"t","id":1,"price":2},{"toString":1,"id":2,"title":"q","price":4}]',
    ],
    ['keys-30000.ndjson', `${JSON.stringify(keys(30_000))}\n${JSON.stringify(keys(30_000))}\n`],
    [
      'ever-new-keys.ndjson',
      Array.from({ length: 3000 }, (_, i) => JSON.stringify({ id: i, title: 'a', [`k${i}`]: 1 })).join('\n'),
    ],
    ['line-of-20-mb.ndjson', `{"id":1,"title":"a","price":2}\n{"id":2,"title":"${'x'.repeat(20 * mb)}","price":1}\n`],
    ['deep.ndjson', `{"id":1,"title":"a","price":2}\n{"id":2,"a":${'['.repeat(100_000)}${']'.repeat(100_000)}}\n`],
    ['nothing-but-brackets.json', '[]'.repeat(200_000)],
  ]
}

export const asBytes = (files: [string, string][]): [string, Uint8Array][] =>
  files.map(([name, text]) => [name, strToU8(text)])
