import { sentences, type ProblemCode } from './sentences'

/** Anything a sentence may need to be precise: names, row numbers, limits. Plain data, so it survives a worker boundary. */
export type ProblemDetails = Record<string, string | number | boolean | null | string[]>

/**
 * The one error of Sickle. `code` says which, `details` where and how much; the sentence a seller reads comes from
 * the catalog in `sentences.ts`.
 *
 * @example new Problem('file-empty', { file: 'a.csv' }).message // 'a.csv is empty. Choose a file with at least a heading and one row.'
 */
export class Problem extends Error {
  readonly code: ProblemCode
  readonly details: ProblemDetails

  constructor(code: ProblemCode, details: ProblemDetails = {}, options?: { cause?: unknown }) {
    super(fill(sentences[code], details), options)
    this.name = 'Problem'
    this.code = code
    this.details = details
  }
}

/** What crosses a worker boundary in place of a thrown value. */
export interface ProblemMessage {
  code: ProblemCode
  details: ProblemDetails
}

/** Any thrown value as plain data; what is not a Problem becomes 'unexpected' with its text kept. */
export function toProblemMessage(thrown: unknown): ProblemMessage {
  if (thrown instanceof Problem) return { code: thrown.code, details: thrown.details }
  if (thrown instanceof DOMException && thrown.name === 'AbortError') return { code: 'cancelled', details: {} }
  return { code: 'unexpected', details: { text: thrown instanceof Error ? thrown.message : String(thrown) } }
}

/** Throws 'cancelled' if the signal was given. */
export function stopIfCancelled(signal: AbortSignal | undefined): void {
  if (signal?.aborted) throw new Problem('cancelled')
}

function fill(sentence: string, details: ProblemDetails): string {
  return sentence.replace(/\{(\w+)\}/g, (_, name: string) => {
    const value = details[name]
    return Array.isArray(value) ? value.join(', ') : String(value ?? '?')
  })
}
