import { computed, ref, shallowRef, type ShallowRef } from 'vue'
import { openQuestions, type ColumnUse, type Mapping, type Preview } from '@sickle/core/intake'
import { recordKind } from '@sickle/core/records'
import { useServices } from '@/services/services'
import { importHints } from './import-hints'
import type { OpenImport } from './open-files'

/** How the open file is read, what is still asked of it, and how the seller corrects it. */
export function useReview(current: ShallowRef<OpenImport | null>) {
  const services = useServices()
  const preview = shallowRef<Preview | null>(null)
  let asked = 0

  async function readPreview(): Promise<void> {
    const now = current.value
    if (!now) return
    const mine = ++asked
    const got = await services.opener.call('preview', [now.file, now.summary.sheet, now.mapping])
    if (mine === asked) preview.value = got
  }

  async function correct(some: Partial<Mapping>): Promise<void> {
    if (!current.value) return
    current.value = { ...current.value, mapping: { ...current.value.mapping, ...some } }
    await readPreview()
  }

  /** Another kind of record: its columns are proposed anew. */
  async function chooseKind(kind: Mapping['kind']): Promise<void> {
    const guess = current.value?.proposal.kinds.find((k) => k.kind === kind)
    const said = [...(current.value?.mapping.said ?? []), 'kind']
    if (guess) await correct({ kind, columns: guess.columns.map((c) => c.use), said })
  }

  /** hints that were answered with no, for the open file */
  const left = ref<string[]>([])
  const hints = computed(() => {
    const now = current.value
    if (!now) return []
    return importHints(now.summary, now.proposal, now.mapping, left.value).map(({ offer, ...hint }) => ({
      ...hint,
      take: offer && (() => take(offer.column, offer.field)),
    }))
  })
  const leave = (key: string) => void (left.value = [...left.value, key])

  /** Takes a column for a field; one that was taken for it before is so no more. */
  function take(column: number, field: string): Promise<void> {
    const columns = (current.value?.mapping.columns ?? []).map((use, at): ColumnUse => {
      if (at === column) return { as: 'field', field }
      return use.as === 'field' && use.field === field ? { as: 'unused' } : use
    })
    return correct({ columns })
  }

  const stillOpen = computed(() => {
    const now = current.value
    return now ? openQuestions(now.proposal.questions, now.mapping) : []
  })
  const missing = computed(() => (current.value ? missingFields(current.value.mapping) : []))
  /** Another file is open. */
  function begin(): Promise<void> {
    left.value = []
    preview.value = null
    return readPreview()
  }
  return { preview, begin, correct, chooseKind, openQuestions: stillOpen, hints, leave, missing }
}

/** Required fields of the kind that no column is used for. */
function missingFields(mapping: Mapping): string[] {
  const has = (field: string) => mapping.columns.some((c) => c.as === 'field' && c.field === field)
  const kind = recordKind(mapping.kind)
  const wide = mapping.columns.some((c) => c.as === 'day')
  const tiers = mapping.columns.some((c) => c.as === 'tier')
  const needed = kind.fields.filter((f) => f.required && !(wide && (f.name === 'day' || f.name === 'units')))
  const lacking = needed.filter((f) => !has(f.name)).map((f) => f.label)
  return mapping.kind === 'offers' && !has('price') && !tiers ? [...lacking, 'Unit price'] : lacking
}
