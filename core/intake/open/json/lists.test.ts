import { openFile } from '../open-file'
import { limits } from '../opened-file'
import { OutlineReader } from './find-lists'
import { listElements } from './list-elements'
import { nesting } from './nesting'
import { openNdjson } from './open-ndjson'

const outline = (text: string, piece = 1e9) => {
  const reader = new OutlineReader()
  const bytes = new TextEncoder().encode(text)
  for (let at = 0; at < bytes.length; at += piece) reader.push(bytes.subarray(at, at + piece))
  return reader.outline()
}
/** A file whose stream comes in pieces, and how much of it was asked for, bytes. */
function inPieces(text: string, piece = 1e6) {
  const whole = new File([text], 'pieces.ndjson')
  let taken = 0
  const stream = () => {
    let at = 0
    return new ReadableStream<Uint8Array>({
      async pull(to) {
        if (at >= whole.size) return to.close()
        const bytes = new Uint8Array(await whole.slice(at, at + piece).arrayBuffer())
        taken += bytes.length
        at += piece
        to.enqueue(bytes)
      },
    })
  }
  const file = {
    name: whole.name,
    size: whole.size,
    slice: (from: number, to: number) => whole.slice(from, to),
    arrayBuffer: () => whole.arrayBuffer(),
    stream,
  }
  return { file, taken: () => taken }
}
const many = (n: number) => Array.from({ length: n }, (_, i) => ({ id: i }))

describe('the outline of a document', () => {
  test('has its lists, the longest first, and what stands beside and above each', () => {
    const text =
      '{"made": "2026-05-31", "shop": {"name": "Sill \\"Mill\\"", "open": true}, "b": [{}, {}], "a": {"by": 7, "rows": [{}, {}, {}]}, "end": null}'
    const { lists, depth, isWhole, isSeries } = outline(text)
    expect([depth, isWhole, isSeries]).toEqual([4, true, false])
    expect(lists.map((l) => [l.records, text.slice(l.at, l.at + 2)])).toEqual([
      [3, '{}'],
      [2, '{}'],
    ])
    expect(lists[0]?.notes).toEqual(['made 2026-05-31', 'end null', 'by 7'])
    expect(lists[1]?.notes).toEqual(['made 2026-05-31', 'end null'])
    for (const piece of [1, 2, 3, 7, 40]) expect(outline(text, piece)).toEqual(outline(text))
  })
  test('counts records and lists within a list, and no plain values', () => {
    expect(outline('[1, "x", {}, [2], null]').lists).toMatchObject([{ records: 2 }])
    expect(outline('[1, 2]').lists).toEqual([])
    expect(outline('[[1],[2],[3]]').lists).toMatchObject([{ records: 3 }])
  })
  test('has lists five levels deep and no deeper, fifty of them, forty notes of two hundred letters', () => {
    const within = (n: number) => `${'{"a":'.repeat(n)}[{}]${'}'.repeat(n)}`
    expect([outline(within(4)).lists.length, outline(within(5)).lists.length]).toEqual([1, 0])
    const lists = `{${Array.from({ length: 60 }, (_, i) => `"k${i}":${JSON.stringify(many(i + 1))}`).join(',')}}`
    const found = outline(lists).lists
    expect([found.length, found[0]?.records, found.at(-1)?.records]).toEqual([50, 60, 11])
    const notes = `{${Array.from({ length: 45 }, (_, i) => `"n${i}":${i}`).join(',')},"rows":[{}]}`
    expect(outline(notes).lists[0]?.notes).toHaveLength(40)
    expect(outline(`{"n":"${'x'.repeat(300)}","rows":[{}]}`).lists[0]?.notes[0]).toHaveLength(202)
  })
  test('is whole where all closes and nothing comes after, and a series where more comes', () => {
    const told = (text: string) => {
      const { isWhole, isSeries } = outline(text)
      return isWhole ? 'whole' : isSeries ? 'series' : 'broken'
    }
    expect(['{}', ' [ ] ', '{}\n{}', '[]{}'].map(told)).toEqual(['whole', 'whole', 'series', 'series'])
    expect(['{', '}', '{]', '[}', '{"a', '{"a\\"}', 'x{}', '{}x', ''].map(told)).toEqual(Array(9).fill('broken'))
    expect(told('{"a":"\\\\"}')).toBe('whole')
    expect(told('{"a":"}]"}')).toBe('whole')
  })
  test('nests as deep as its brackets do, texts apart', () => {
    for (const text of [
      '{}',
      '[[{}]]',
      '{"a":"[[[["}',
      '{"a\\"{":[1]}',
      '[[],[[]]]',
      '[{},{},{"a":{}}]',
      '{"a":{},"b":[],"c":{}}',
    ])
      expect([text, nesting(text)]).toEqual([text, outline(text).depth])
  })
})

test('records are cut out whole, wherever a piece of the file ends', async () => {
  const records = Array.from({ length: 9000 }, (_, i) => ({
    id: i,
    text: `${'x'.repeat((i * 37) % 500)}"]}\\${'\\'.repeat(i % 3)}[{`,
    in: [[i], { a: '"' }],
  }))
  const text = `{"rows": ["plain", 7, ${records.map((r) => JSON.stringify(r)).join(' , ')}, "last"], "more": [{}]}`
  const file = new File([text], 'x.json')
  expect(file.size).toBeGreaterThan(2_000_000)
  const found: unknown[] = []
  const shares: number[] = []
  for await (const { elements, done } of listElements(file, text.indexOf('[') + 1)) {
    found.push(...elements.map((bytes) => JSON.parse(new TextDecoder().decode(bytes)) as unknown))
    shares.push(done)
  }
  expect(found).toEqual(records)
  expect(shares.at(-1)).toBe(1)
  expect(shares.slice(0, -1).every((s, i) => s < 1 && s > (shares[i - 1] ?? 0))).toBe(true)
})

test('a record that is larger than any row is refused by its number, and Cancel is heard', async () => {
  const long = `[{"id":1},{"id":"${'x'.repeat(3 * limits.rowMegabytes * 1e6)}"}]`
  const all = async (signal?: AbortSignal) => {
    for await (const _ of listElements(new File([long], 'x.json'), 1, signal));
  }
  await expect(all()).rejects.toMatchObject({ code: 'row-too-long', details: { row: 2 } })
  await expect(all(AbortSignal.abort())).rejects.toMatchObject({ code: 'cancelled' })
})

async function open(text: string) {
  const file = await openFile(new File([text], 'x.json'))
  const rows: { row: number; cells: unknown[] }[] = []
  for await (const { batch } of file.rows()) rows.push(...batch)
  return { headings: file.headings, rows, sample: file.sample, format: file.format }
}
const code = (text: string) =>
  open(text).then(
    () => 'opened',
    (e: { code: string }) => e.code,
  )

test('one record with two plain values of its own is a table of a row; with one, or none, it is none', async () => {
  expect(await open('{"id":"a1","price":4,"tags":{"x":true}}')).toMatchObject({
    headings: ['id', 'price', 'tags.x'],
    rows: [{ row: 1, cells: ['a1', 4, true] }],
  })
  expect(await code('{"id":"a1","ok":true}')).toBe('file-no-table')
  expect(await code('{"id":"a1","price":nope,"c":3}')).toBe('file-json-broken')
})

test('rows that are lists begin under their heading, are numbered by their place, and what is no list is told of', async () => {
  const grid = await open('[["made in May"],["Item ID","Title","Price"],["a","Bell",2],{"id":1},["b",null,3]]')
  expect(grid.headings).toEqual(['Item ID', 'Title', 'Price'])
  expect(grid.rows.map((r) => [r.row, r.cells])).toEqual([
    [3, ['a', 'Bell', 2]],
    [4, ['{"id":1}']],
    [5, ['b', null, 3]],
  ])
  expect(grid.sample.map((r) => [r.row, r.cells[0]])).toEqual([
    [3, 'a'],
    [4, ''],
    [5, 'b'],
  ])
  // half of them are not most of them
  expect((await open('[["a","b"],{"id":1,"title":"x"}]')).headings).toEqual(['id', 'title'])
})

test('lines are records each; blank ones count in the numbering and are no rows', async () => {
  const lines = '{"id":1,"t":"a"}\n\n{"id":2,"t":"b"}\nnot json\n{"id":3,"t":"c"}'
  const told = await open(lines)
  expect(told.format).toBe('ndjson')
  expect(told.rows.map((r) => [r.row, r.cells])).toEqual([
    [1, [1, 'a']],
    [3, [2, 'b']],
    [4, ['not json']],
    [5, [3, 'c']],
  ])
  expect(told.sample.map((r) => r.row)).toEqual([1, 3, 4, 5])
  // a list, a text and what nests too deep are no records, and are told of with what they say
  const deep = `{"a":${'['.repeat(limits.depth)}${']'.repeat(limits.depth)}}`
  const odd = await open(`{"id":1,"t":"a"}\n{"id":2,"t":"b"}\n[1, 2]\n"x"\n${deep}\n{"id":3,"t":"c"}`)
  expect(odd.rows.map((r) => r.cells)).toEqual([[1, 'a'], [2, 'b'], ['[1, 2]'], ['"x"'], [deep], [3, 'c']])
  // many lines that come at once are no long one
  const usual = `{"id":1,"t":"${'x'.repeat(1000)}"}\n`.repeat(limits.rowMegabytes * 1100)
  expect((await open(usual)).rows).toHaveLength(limits.rowMegabytes * 1100)
  const broken = `{"id":1,"t":"a"}\n{"id":2,"t":"${'x'.repeat(limits.rowMegabytes * 1e6 + 10)}"}\n`
  await expect(open(broken)).rejects.toMatchObject({ code: 'row-too-long', details: { row: 2 } })
  // nor is a line waited for that never ends
  const { file, taken } = inPieces(`{"id":1}\n{"id":2}\n{"id":3,"t":"${'x'.repeat(5 * limits.rowMegabytes * 1e6)}`)
  const rows = openNdjson(file, 'utf-8').then(async (opened) => {
    for await (const { batch } of opened.rows()) expect(batch.every(({ row }) => row < 3)).toBe(true)
  })
  await expect(rows).rejects.toMatchObject({ code: 'row-too-long', details: { row: 3 } })
  expect(taken()).toBeLessThan(2.1 * limits.rowMegabytes * 1e6)
})
