import { recordKind } from '@sickle/core/records'
import type { Mapping, Proposal } from '@sickle/core/intake'
import type { FileSummary } from '@/workers/intake-methods'

export interface Hint {
  key: string
  text: string
  /** the column that would be taken, and for which field, where one looks like it */
  offer: { column: number; field: string } | null
}

/**
 * What a file leaves open under a mapping: figures its kind lives on that no column gives, each with the column that looks like one,
 * and what is not read.
 *
 * @param left keys of hints that were answered with no
 */
export function importHints(
  summary: FileSummary,
  proposal: Proposal,
  mapping: Mapping,
  left: readonly string[],
): Hint[] {
  const { fields, lives } = recordKind(mapping.kind)
  const has = (field: string) => mapping.columns.some((c) => c.as === 'field' && c.field === field)
  const isWide = mapping.columns.some((c) => c.as === 'day')
  const isTiered = mapping.columns.some((c) => c.as === 'tier')
  const given = (field: string) =>
    has(field) || (isWide && (field === 'day' || field === 'units')) || (isTiered && field === 'price')
  const guess = proposal.kinds.find((k) => k.kind === mapping.kind)
  const missing = Object.entries(lives).flatMap(([field, lost]): Hint[] => {
    if (given(field)) return []
    const label = fields.find((f) => f.name === field)?.label ?? field
    const column = guess?.leftOut.find((l) => l.field === field)?.column ?? null
    const isFree = column !== null && mapping.columns[column]?.as === 'unused' && !left.includes(field)
    const text = isFree
      ? `Is '${summary.headings[column]}' the ${label.toLowerCase()}?`
      : `Without ${label.toLowerCase()}, Sickle will not know ${lost}.`
    return [
      {
        key: field,
        text: isFree ? `${text} Without it, Sickle will not know ${lost}.` : text,
        offer: isFree ? { column, field } : null,
      },
    ]
  })
  const aside = [...(summary.warnings ?? []), ...proposal.leftAside].map((text) => ({ key: text, text, offer: null }))
  return [...aside, ...missing]
}
