import { readFileSync, readdirSync } from 'node:fs'
import type { KindName } from '../../records'

/** A column of a file of the corpus: its heading, what a person takes it for, and how its cells are made. */
export interface CorpusColumn {
  heading: string
  /** name of a field, 'tier:10', 'day', '-' for none, '?' where nobody could tell */
  field: string
  recipe: string
}

export interface CorpusFile {
  kind: KindName
  language: string
  format: 'csv' | 'tsv' | 'xlsx' | 'json' | 'ndjson' | 'parquet'
  delimiter: string
  decimal: '.' | ','
  date: string
  name: string
  /** the first row is data */
  noHeading: boolean
  /** days across the top */
  wide: boolean
  /** word of a line of totals at the end */
  total: string | null
  /** a line above the heading */
  preamble: string | null
  columns: CorpusColumn[]
  half: Half
}

/** What a file is for: to find words and rules by, or to judge by. */
export type Half = 'tuned' | 'aside' | 'last' | 'everyday'

/** Sets that were written after the words were; of all others every second file, in order, is kept aside. */
const laterSets: Record<string, Half> = { tuned: 'tuned', fresh: 'last', everyday: 'everyday' }

/** The corpus; what was written later comes last. */
export function readCorpus(): CorpusFile[] {
  const folder = new URL('.', import.meta.url)
  const blocks = readdirSync(folder)
    .filter((name) => name.endsWith('.txt'))
    .sort()
    .flatMap((name) => {
      const list = readFileSync(new URL(name, folder), 'utf8').split(/^@ /m).slice(1)
      return list.map((block) => ({ block, later: laterSets[name.split(/[-.]/)[0] ?? ''] }))
    })
  return [...blocks.filter((b) => !b.later), ...blocks.filter((b) => b.later)].map(({ block, later }, i) => ({
    ...readBlock(block),
    half: later ?? (i % 2 === 1 ? 'aside' : 'tuned'),
  }))
}

function readBlock(block: string): Omit<CorpusFile, 'half'> {
  const [head = '', ...rest] = block.split('\n')
  const [kind = '', language = '', form = ''] = head.split(' ')
  const option = (name: string) => new RegExp(`\\b${name}=(?:"([^"]*)"|(\\S+))`).exec(head)?.slice(1).find(Boolean)
  const format = form.replace(/[^a-z]/g, '') as CorpusFile['format']
  return {
    kind: kind as KindName,
    language,
    format,
    delimiter: format === 'tsv' ? '\t' : form.replace(/[a-z]/g, '') || ',',
    decimal: (option('dec') ?? '.') as '.' | ',',
    date: option('date') ?? 'iso',
    name: /"([^"]+)"/.exec(head.replace(/\w+="[^"]*"/g, ''))?.[1] ?? 'unnamed',
    noHeading: / nohead /.test(head),
    wide: / wide/.test(head),
    total: option('total') ?? null,
    preamble: option('pre') ?? null,
    columns: rest
      .join(' ')
      .split(' | ')
      .map((text) => {
        const [heading = '', rest = ''] = text.split(' => ')
        const [field = '', recipe = ''] = rest.split(' ~ ')
        if (recipe === '') throw new Error(`not a column: ${text}`)
        return { heading: heading.trim(), field: field.trim(), recipe: recipe.trim() }
      }),
  }
}
