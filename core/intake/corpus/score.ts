import type { OpenedFile } from '../open/opened-file'
import type { ColumnUse, KindGuess, Surety, Evidence } from '../recognise/guess'
import type { CorpusFile } from './read-corpus'

export interface FileScore {
  file: CorpusFile
  kindRight: boolean
  said: string
  /** columns that can be judged */
  columns: { heading: string; wanted: string; got: string; surety: Surety; evidence?: Evidence; right: boolean }[]
  /** neither kind nor a column needs a correction */
  whole: boolean
}

/** How a guess does on a file of the corpus. */
export function scoreFile(file: CorpusFile, opened: OpenedFile, guess: KindGuess): FileScore {
  // nested names come out grouped by what they are nested in, so a column is found by its heading first
  const wantedAt = (heading: string, i: number) =>
    file.columns.find((c) => c.heading === heading)?.field ?? file.columns[i]?.field ?? 'day'
  const columns = opened.headings.flatMap((heading, i) => {
    const want = file.wide && i >= file.columns.length - 1 ? 'day' : wantedAt(heading, i)
    if (want === '?') return []
    const { use, surety, evidence } = guess.columns[i] ?? { use: { as: 'unused' as const }, surety: 'none' as const }
    const got = nameOf(use)
    return [{ heading, wanted: want, got, surety, evidence, right: got === want && guess.kind === file.kind }]
  })
  const kindRight = guess.kind === file.kind
  return { file, kindRight, said: guess.kind, columns, whole: kindRight && columns.every((c) => c.right) }
}

function nameOf(use: ColumnUse): string {
  if (use.as === 'field') return use.field
  return use.as === 'tier' ? `tier:${use.from}` : use.as === 'day' ? 'day' : '-'
}

export interface HalfScore {
  files: number
  kinds: number
  columns: number
  columnsRight: number
  sure: number
  sureWrong: number
  whole: number
}

export function sumUp(scores: readonly FileScore[]): HalfScore {
  const columns = scores.flatMap((s) => s.columns)
  const sure = columns.filter((c) => c.surety === 'sure')
  return {
    files: scores.length,
    kinds: scores.filter((s) => s.kindRight).length,
    columns: columns.length,
    columnsRight: columns.filter((c) => c.right).length,
    sure: sure.length,
    sureWrong: sure.filter((c) => !c.right).length,
    whole: scores.filter((s) => s.whole).length,
  }
}
