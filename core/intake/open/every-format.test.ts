import { parquetWriteBuffer } from 'hyparquet-writer'
import writeBook from 'write-excel-file/universal'
import { importRows } from '../read/import-rows'
import { proposeMapping } from '../recognise/propose-mapping'
import { openFile } from './open-file'
import { limits, type FileSource, type OpenedFile } from './opened-file'

const many = 12_000
const rows = Array.from({ length: many }, (_, i) => ({
  id: `A${i}`,
  title: `Bird bath no ${i} of stone and glazed with a bell and a long näme 鳥`,
  price: 3 + (i % 50) / 4,
  units: i % 40,
}))
const names = ['id', 'title', 'price', 'units'] as const
const table = (mark: string) => [names, ...rows.map((r) => names.map((n) => r[n]))].map((r) => r.join(mark)).join('\n')
const utf16 = (text: string) =>
  Uint8Array.from([0xff, 0xfe, ...new Uint8Array(Uint16Array.from(text, (c) => c.charCodeAt(0)).buffer)])

const windows = (text: string) => Uint8Array.from(text.replaceAll('鳥', 'ß'), (c) => c.charCodeAt(0))

async function book() {
  const lines = [names.map((value) => ({ value })), ...rows.map((r) => names.map((n) => ({ value: r[n] })))]
  return new Uint8Array(await (await writeBook(lines as never, { sheet: 'S' }).toBlob()).arrayBuffer())
}
const parquet = () =>
  new Uint8Array(
    parquetWriteBuffer({
      columnData: names.map((name) => ({ name, data: rows.map((r) => r[name]) })),
      rowGroupSize: 4000,
    }),
  )

/** A file whose stream comes in pieces, as a browser's does; they end within letters too. */
function inPieces(content: Uint8Array<ArrayBuffer> | string, piece = 65_537): FileSource {
  const file = new File([content], 'x')
  let at = 0
  const stream = () =>
    new ReadableStream<Uint8Array>({
      start: () => void (at = 0),
      async pull(to) {
        if (at >= file.size) return to.close()
        to.enqueue(new Uint8Array(await file.slice(at, at + piece).arrayBuffer()))
        at += piece
      },
    })
  return {
    name: 'x',
    size: file.size,
    slice: (a, b) => file.slice(a, b),
    arrayBuffer: () => file.arrayBuffer(),
    stream,
  }
}

/** form → its bytes, and how many rows stand above the first record */
const forms: [string, () => Promise<Uint8Array | string> | Uint8Array | string, number][] = [
  ['csv', () => table(';'), 1],
  ['csv that is not UTF-8', () => windows(table(';')), 1],
  ['tsv', () => table('\t'), 1],
  ['csv in UTF-16', () => utf16(table(',')), 1],
  ['json', () => JSON.stringify({ items: rows }), 0],
  ['ndjson', () => rows.map((r) => JSON.stringify(r)).join('\n'), 0],
  ['xlsx', book, 1],
  ['parquet', parquet, 0],
]

describe.each(forms)('%s', (_, make, above) => {
  let file: OpenedFile
  beforeAll(async () => {
    file = await openFile(inPieces((await make()) as Uint8Array<ArrayBuffer> | string))
  })

  test('every row comes once, in order, under its number, with the share that is read', async () => {
    const [ids, numbers, shares] = [[] as unknown[], [] as number[], [] as number[]]
    const titles: unknown[] = []
    for await (const { batch, done } of file.rows()) {
      ids.push(...batch.map((r) => r.cells[0]))
      titles.push(...batch.map((r) => r.cells[1]))
      numbers.push(...batch.map((r) => r.row))
      shares.push(done)
    }
    expect(ids.length).toBe(many)
    expect(ids.filter((id, i) => id !== `A${i}`)).toEqual([])
    expect(
      titles.filter(
        (title, i) => title !== rows[i]?.title.replace('鳥', file.encoding === 'windows-1252' ? 'ß' : '鳥'),
      ),
    ).toEqual([])
    expect(numbers.filter((n, i) => n !== i + 1 + above)).toEqual([])
    expect(shares.length).toBeGreaterThan(1)
    expect(shares.filter((s, i) => s <= 0 || s > 1 || s < (shares[i - 1] ?? 0))).toEqual([])
    expect(shares[0]).toBeLessThan(1)
    expect(shares.at(-1)).toBe(1)
  })

  test('the sample is its first two thousand rows, and reading can begin again', async () => {
    expect(file.sample).toHaveLength(limits.sampleRows)
    expect([file.sample[0]?.row, file.sample.at(-1)?.row]).toEqual([1 + above, limits.sampleRows + above])
    const first = async () => {
      for await (const { batch } of file.rows()) if (batch.length > 0) return batch[0]
      return null
    }
    expect(await first()).toEqual(file.sample[0])
    expect(await first()).toEqual(file.sample[0])
  })

  test('Cancel is heard before anything is read, and in the midst of it', async () => {
    const read = async (signal: AbortSignal, onBatch: () => void = () => undefined) => {
      let seen = 0
      for await (const { batch } of file.rows(signal)) {
        seen += batch.length
        onBatch()
      }
      return seen
    }
    await expect(read(AbortSignal.abort())).rejects.toMatchObject({ code: 'cancelled' })
    const stop = new AbortController()
    await expect(read(stop.signal, () => stop.abort())).rejects.toMatchObject({ code: 'cancelled' })
    if (!file.byteRows) return
    const blocks = async (signal: AbortSignal, onBlock: () => void = () => undefined) => {
      for await (const _ of file.byteRows!.blocks(signal)) onBlock()
    }
    await expect(blocks(AbortSignal.abort())).rejects.toMatchObject({ code: 'cancelled' })
  })

  test('its records go over in segments, each row taken once, with progress', async () => {
    const { mapping } = proposeMapping(file, Date.UTC(2026, 5, 1))
    const [sizes, told] = [[] as number[], [] as [number, number][]]
    const result = await importRows(
      file,
      { ...mapping, market: 'Marrowgate', currency: 'EUR' },
      {
        segmentRows: 3000,
        onSegment: async ({ rows: n }, at) => {
          expect(at).toBe(sizes.length)
          sizes.push(n)
        },
        onProgress: (done, taken) => told.push([done, taken]),
      },
    )
    expect([result.taken, result.rejected, result.doubts]).toEqual([many, [], []])
    expect(result.segments.reduce((a, b) => a + b, 0)).toBe(many)
    expect(result.segments.slice(0, sizes.length)).toEqual(sizes)
    expect(sizes.every((n) => n >= 3000)).toBe(true)
    expect(told.at(-1)).toEqual([1, many])
    expect(told.every(([done, n], i) => done >= (told[i - 1]?.[0] ?? 0) && n >= (told[i - 1]?.[1] ?? 0))).toBe(true)
  })
})

test('three bytes that begin like a byte order mark are part of the first cell', async () => {
  // U+FF41 is EF BD 81 in UTF-8, the mark EF BB BF; U+FEFF within is no mark either
  const read = async (text: string) => {
    const file = await openFile(new File([text], 'x.csv'))
    const { mapping } = proposeMapping(file, 0)
    const columns = ['id', 'title', 'price'].map((field) => ({ as: 'field' as const, field }))
    const { table: taken } = await importRows(file, { ...mapping, kind: 'listings', columns, market: 'M' })
    return [file.headings[0], taken.rows]
  }
  const body = ',title,price\na,Bell,2\nb,Mat,3\n'
  expect(await read(`\uff41id${body}`)).toEqual(['\uff41id', 2])
  expect(await read(`id${body}`)).toEqual(['id', 2])
  expect((await read(`\ufeffid${body}`))[1]).toBe(2)
})

test('a wide sheet of weeks speaks to the end of its last week, one of days to its last day', async () => {
  const up = async (heads: string[]) => {
    const text = [
      ['Listing ID', ...heads].join(','),
      `A1,${heads.map(() => 3).join()}`,
      `A2,${heads.map(() => 4).join()}`,
    ].join('\n')
    const file = await openFile(new File([text], 'x.csv'))
    const { mapping } = proposeMapping(file, Date.UTC(2026, 5, 1))
    return (await importRows(file, { ...mapping, market: 'M' })).capturedOn
  }
  const day = (iso: string) => Date.parse(iso) / 86_400_000
  expect(await up(['2026-05-04', '2026-05-11', '2026-05-18'])).toBe(day('2026-05-24'))
  expect(await up(['2026-05-04', '2026-05-11', '2026-05-19'])).toBe(day('2026-05-19'))
  expect(await up(['2026-02-01', '2026-03-01', '2026-04-01'])).toBe(day('2026-04-30'))
})

test('a name that none of the first rows has is told of once, and no more than a hundred such', async () => {
  const records = Array.from({ length: 2300 }, (_, i) => ({
    ...{ id: i, title: 'Bell', price: 2 },
    ...(i < 2100 ? {} : { [`late${i % 150}`]: 1, again: 2 }),
  }))
  const file = await openFile(new File([JSON.stringify(records)], 'x.json'))
  const { mapping } = proposeMapping(file, 0)
  const { doubts, taken } = await importRows(file, { ...mapping, market: 'M', currency: 'EUR' })
  expect([taken, doubts.length]).toEqual([2300, 100])
  expect(doubts.filter((d) => d.field === 'again')).toEqual([
    { row: 2101, field: 'again', reason: 'a name that none of the first rows has: it is not read' },
  ])
  expect(new Set(doubts.map((d) => d.field)).size).toBe(100)
})
