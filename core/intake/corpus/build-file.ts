import { parquetWriteBuffer } from 'hyparquet-writer'
import writeBook from 'write-excel-file/universal'
import { gtinCheckDigit, isoDay } from '../../identity'
import type { CorpusColumn, CorpusFile } from './read-corpus'
import { goods, people, places, randomFrom, type Random } from './things'

type Value = string | number

/** The bytes of a file of the corpus, the same each time. */
export async function buildFile(spec: CorpusFile, seed = 1): Promise<{ name: string; bytes: Uint8Array }> {
  const random = randomFrom(`${spec.name}${seed}`)
  const columns = spec.wide ? spread(spec.columns) : spec.columns
  const rows = makeRows({ ...spec, columns }, random)
  const typed =
    spec.format === 'json' || spec.format === 'ndjson' || spec.format === 'parquet' || spec.format === 'xlsx'
  const cells = rows.map((row) =>
    row.map((value, i) => (typed ? value : written(value, columns[i]?.recipe ?? '', spec))),
  )
  const headings = columns.map((c) => c.heading)
  const name = `${spec.name}.${spec.format}`
  const text = (s: string) => new TextEncoder().encode(s)
  switch (spec.format) {
    case 'json':
      return { name, bytes: text(JSON.stringify({ items: rows.map((r) => nested(headings, r)) })) }
    case 'ndjson':
      return { name, bytes: text(rows.map((r) => `${JSON.stringify(nested(headings, r))}\n`).join('')) }
    case 'parquet':
      return { name, bytes: parquet(headings, rows) }
    case 'xlsx': {
      const lines: Value[][] = [...(spec.preamble ? [[spec.preamble]] : []), headings, ...rows]
      const blob = await writeBook(lines.map((line) => line.map((value) => ({ value }))) as never, {
        sheet: 'Sheet1',
      }).toBlob()
      return { name, bytes: new Uint8Array(await blob.arrayBuffer()) }
    }
    default: {
      const lines: Value[][] = [
        ...(spec.preamble ? [[spec.preamble]] : []),
        ...(spec.noHeading ? [] : [headings]),
        ...cells,
      ]
      if (spec.total) lines.push([spec.total, ...columns.slice(1).map(() => '')])
      return {
        name,
        bytes: text(lines.map((l) => l.map((c) => quoted(c, spec.delimiter)).join(spec.delimiter)).join('\r\n')),
      }
    }
  }
}

/** Days across the top, three weeks of them. */
function spread(columns: readonly CorpusColumn[]): CorpusColumn[] {
  return columns.flatMap((c) =>
    c.heading === 'DAYS' ? Array.from({ length: 21 }, (_, i) => ({ ...c, heading: isoDay(20_580 + i) })) : [c],
  )
}

function makeRows(spec: CorpusFile, random: Random): Value[][] {
  const count = 14 + Math.floor(random() * 40)
  const own = goods(spec.language, spec.name, random)
  const pool = new Map<string, string[]>()
  const rows = Array.from({ length: count }, (_, row) => {
    const item = Math.floor(random() * 12)
    const base = Math.round((3 + 60 * random() ** 2) * 100) / 100
    const at = { row, item, base, first: 20_300 + Math.floor(random() * 220), values: {} as Record<string, number> }
    return spec.columns.map((column) => {
      const value = makeValue(column, { spec, random, at, own, pool })
      if (typeof value === 'number') at.values[column.field] = value
      return value
    })
  })
  const sums = spec.columns.flatMap(({ recipe }, i) =>
    recipe.startsWith('=') ? [[i, recipe.slice(1).split('*')] as const] : [],
  )
  for (const row of rows)
    for (const [i, names] of sums)
      row[i] =
        Math.round(
          100 * names.reduce((p, n) => p * Number(row[spec.columns.findIndex((c) => c.field === n)] ?? base(row)), 1),
        ) / 100
  return rows
}

const base = (row: readonly Value[]) => 4.5 + (String(row[0]).length % 7)

interface Making {
  spec: CorpusFile
  random: Random
  at: { row: number; item: number; base: number; first: number; values: Record<string, number> }
  own: string[]
  pool: Map<string, string[]>
}

function makeValue({ heading, recipe }: CorpusColumn, making: Making): Value {
  const { at, random, spec } = making
  const [kind = '', rest = ''] = /^(d2|s2|[a-zA-Z]+|[$€]m|=)?:?(.*)$/.exec(recipe)?.slice(1) ?? []
  const pick: PickOne = (list) => list[Math.floor(random() * list.length)]!
  if (/^[$€]?m/.test(recipe) && !recipe.startsWith('ms')) {
    const factor = Number(/[\d.]+/.exec(recipe)?.[0] ?? 1)
    return Math.round(at.base * (factor > 5 ? factor * (0.2 + random()) : factor) * 100) / 100
  }
  return (
    makeFigure(kind, rest, making, pick) ??
    makeDay(kind, making) ??
    makeName(kind, rest, heading, making, pick) ??
    people(kind, spec.language, pick) ??
    places(kind, spec.language, pick) ??
    unknown(recipe)
  )
}

type PickOne = <T>(list: readonly T[]) => T

function makeFigure(kind: string, rest: string, { at, random }: Making, pick: PickOne): Value | null {
  switch (kind) {
    case '=':
      return 0 // filled in when the rest of the row is there
    case 'rt':
      return [1, 10, 50][at.row % 3] ?? 1
    case 'rm':
      return Math.round((5 + Math.floor(at.row / 3)) * [1, 0.9, 0.8][at.row % 3]! * 100) / 100
    case 'seq':
      return at.row + 1
    case 'ms':
      return rest === '0' ? (random() < 0.9 ? 0 : at.base) : pick([0, 0, 2.9, 3.5, 4.95, 5.9])
    case 'n':
    case 'N':
      return Math.floor(Number(rest) * random() ** 3)
    case 'k':
      return 1 + Math.floor(3 * random() ** 4)
    case 'r':
      return Math.round(10 * (3.2 + 1.8 * random())) / 10
    case 'p':
      return `${pick(['', '', '-'])}${Math.floor(60 * random())} %`
    case 'P':
      return Math.floor(100 * random()) / (random() < 0.5 ? 1 : 2)
    case 'q':
      return Math.round(1000 * random()) / 1000
    case 'R':
      return rest === '' ? 1 + Math.floor(5 * random() ** 0.4) : null
    default:
      return null
  }
}

function makeDay(kind: string, { at, random, spec }: Making): Value | null {
  switch (kind) {
    case 'D':
      return day(20_560 + Math.floor(at.row / 4), spec)
    case 'W':
      return day(20_496 + 7 * Math.floor(at.row / 5), spec)
    case 'd':
      return day(at.first, spec)
    case 'd2':
      return day(at.first + 3 + Math.floor(random() * 40), spec)
    case 'dt':
      return `${isoDay(at.first)}T${String(Math.floor(random() * 24)).padStart(2, '0')}:15:00Z`
    case 'dm':
      return `${isoDay(20_454 + 31 * (at.row % 4)).slice(0, 8)}01`
    default:
      return null
  }
}

function makeName(kind: string, rest: string, heading: string, making: Making, pick: PickOne): Value | null {
  const { spec, random, at, own, pool } = making
  const id = (pattern: string) =>
    pattern.replace(/#/g, () => String(Math.floor(random() * 10))).replace(/@/g, () => pick([...'ABCDEFGHKLMNPRST']))
  const many = (make: () => string, size = 9) => {
    const known = pool.get(heading) ?? Array.from({ length: size }, make)
    pool.set(heading, known)
    return known
  }
  switch (kind) {
    case 'i':
      return numberIfPlain(id(rest), spec)
    case 'I':
      return numberIfPlain(many(() => id(rest))[at.item % 9] ?? '', spec)
    case 'R':
      return many(() => id(rest), 30)[Math.floor(at.row / 3)] ?? ''
    case 'RT':
      return own[Math.floor(at.row / 3) % own.length] ?? ''
    case 't':
      return own[at.row % own.length] ?? ''
    case 'T':
      return own[at.item % 9] ?? ''
    case 'g':
    case 'G': {
      const body = `29${id('##########')}`
      const whole = body + gtinCheckDigit(body)
      return kind === 'g' ? whole : (many(() => whole)[at.item % 9] ?? whole)
    }
    case 'u':
      return `https://shop.example/${id('@@####')}`
    case 'ui':
      return `https://img.example/${id('@@####')}.jpg`
    case 'w':
      return pick(rest.split('/'))
    default:
      return null
  }
}

function unknown(recipe: string): never {
  throw new Error(`no recipe ${recipe}`)
}

/** In typed formats an identifier of digits is often a number. */
function numberIfPlain(text: string, spec: CorpusFile): Value {
  return (spec.format === 'xlsx' || spec.format === 'parquet') && /^[1-9]\d{0,11}$/.test(text) ? Number(text) : text
}

function day(n: number, { date, format }: CorpusFile): string {
  const iso = isoDay(n)
  if (format !== 'csv' && format !== 'tsv') return iso
  const [y = '', m = '', d = ''] = iso.split('-')
  if (date === 'dmy.') return `${d}.${m}.${y}`
  if (date === 'dmy/') return `${d}/${m}/${y}`
  if (date === 'dmy-') return `${d}-${m}-${y}`
  return date === 'mdy/' ? `${Number(m)}/${Number(d)}/${y}` : iso
}

/** A value as a text file of this style writes it. */
function written(value: Value, recipe: string, { decimal }: CorpusFile): string {
  if (typeof value === 'string') return decimal === ',' ? value.replace(/(\d)\.(\d+ %)/, '$1,$2') : value
  const isMoney = /^[$€]?m|^rm|^=/.test(recipe)
  const plain = isMoney ? value.toFixed(2) : String(value)
  const [whole = '', part] = plain.split('.')
  const grouped = recipe.startsWith('N') ? whole.replace(/\B(?=(\d{3})+$)/g, decimal === ',' ? '.' : ',') : whole
  const text = part === undefined ? grouped : `${grouped}${decimal}${part}`
  if (recipe.startsWith('$')) return `$${text}`
  const sign = /(€|zł)$/.exec(recipe)?.[1]
  return sign ? `${text} ${sign}` : text
}

function quoted(cell: Value, delimiter: string): string {
  const text = String(cell)
  return text.includes(delimiter) || /["\n]/.test(text) ? `"${text.replaceAll('"', '""')}"` : text
}

function nested(headings: readonly string[], row: readonly Value[]): Record<string, unknown> {
  const record: Record<string, unknown> = {}
  headings.forEach((heading, i) => {
    const path = heading.split('.')
    let at = record
    for (const key of path.slice(0, -1)) at = (at[key] ??= {}) as Record<string, unknown>
    at[path.at(-1) ?? ''] = row[i]
  })
  return record
}

function parquet(headings: readonly string[], rows: readonly Value[][]): Uint8Array {
  const columnData = headings.map((name, i) => {
    const data = rows.map((r) => r[i] ?? null)
    const isText = data.some((v) => typeof v === 'string')
    return { name, data: isText ? data.map(String) : data, type: isText ? ('STRING' as const) : ('DOUBLE' as const) }
  })
  return new Uint8Array(parquetWriteBuffer({ columnData }))
}
