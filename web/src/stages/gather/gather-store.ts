import { defineStore } from 'pinia'
import { computed, ref, shallowRef, toRaw } from 'vue'
import {
  applyRemembered,
  recordKind,
  shapeOf,
  type Mapping,
  type Preview,
  type Proposal,
  type Question,
} from '@sickle/core/intake'
import { plain } from '@/shared/plain'
import { useServices } from '@/app/services'
import { toProblem } from '@/shared/problem'
import { useJobs } from '@/shared/stores/jobs'
import { useSettings } from '@/shared/stores/settings'
import { useTurn } from '@/shared/stores/turn'
import { useWorkspace } from '@/shared/stores/workspace'
import type { FileSummary } from '@/workers/intake.worker'

export interface OpenImport {
  file: File
  summary: FileSummary
  proposal: Proposal
  mapping: Mapping
  remembered: boolean
}

/** Files on their way in: opened, looked at and corrected one by one, then brought in as jobs. */
export const useGather = defineStore('gather', () => {
  const services = useServices()
  const jobs = useJobs()
  const settings = useSettings()
  const workspace = useWorkspace()
  const turn = useTurn()
  const waiting = ref<File[]>([])
  const current = shallowRef<OpenImport | null>(null)
  const preview = shallowRef<Preview | null>(null)
  const opening = ref<string | null>(null)
  const failures = ref<{ file: string; text: string }[]>([])
  let asked = 0
  let brought: OpenImport | null = null

  function fail(file: string, thrown: unknown): void {
    failures.value = [...failures.value, { file, text: toProblem(thrown).message }]
  }

  /** Takes files in; the first is opened at once. */
  async function offer(files: readonly File[]): Promise<void> {
    waiting.value = [...waiting.value, ...files]
    if (!current.value && !opening.value) await next()
  }

  async function next(): Promise<void> {
    current.value = null
    preview.value = null
    const file = waiting.value.shift()
    if (file) await open(toRaw(file), null)
  }

  async function open(file: File, sheet: string | null): Promise<void> {
    opening.value = file.name
    try {
      const { file: summary, proposal } = await services.intake.call('plan', [file, sheet, services.now()])
      const known = settings.rememberedFor(shapeOf(summary.headings))
      const mapping = known ? applyRemembered(plain(known), summary.headings, proposal.mapping) : proposal.mapping
      current.value = { file, summary, proposal, mapping, remembered: known !== null }
      await look()
    } catch (thrown) {
      fail(file.name, thrown)
      opening.value = null
      await next()
    } finally {
      opening.value = null
    }
  }

  async function look(): Promise<void> {
    const now = current.value
    if (!now) return
    const mine = ++asked
    const got = await services.intake.call('preview', [now.file, now.summary.sheet, now.mapping])
    if (mine === asked) preview.value = got
  }

  async function correct(some: Partial<Mapping>): Promise<void> {
    if (!current.value) return
    current.value = { ...current.value, mapping: { ...current.value.mapping, ...some } }
    await look()
  }

  /** Another kind of record: its columns are proposed anew. */
  async function chooseKind(kind: Mapping['kind']): Promise<void> {
    const guess = current.value?.proposal.kinds.find((k) => k.kind === kind)
    if (guess) await correct({ kind, columns: guess.columns.map((c) => c.use) })
  }

  const stillOpen = computed(() => (current.value ? openQuestions(current.value) : []))
  const missing = computed(() => (current.value ? missingFields(current.value.mapping) : []))

  /** Brings the open file in, in the background, and goes on to the next. */
  async function bring(): Promise<void> {
    const now = current.value
    if (!now || now === brought || stillOpen.value.length > 0 || missing.value.length > 0) return
    brought = now
    void bringIn(now).catch((thrown: unknown) => {
      if (toProblem(thrown).code !== 'cancelled') fail(now.file.name, thrown)
    })
    await new Promise((resolve) => setTimeout(resolve)) // the click is answered before the screen changes
    await next()
  }

  async function bringIn({ file, summary, mapping }: OpenImport): Promise<void> {
    turn.assertWriter()
    await jobs.run(`Bring in ${file.name}`, async ({ signal, report }) => {
      const about = { id: services.newId(), now: services.now(), demo: false }
      const { entry } = await services.intake.call('run', [file, summary.sheet, mapping, about], {
        signal,
        onProgress: (p) => showProgress(p, report),
      })
      const known = `${entry.taken} rows taken${entry.rejected ? `, ${entry.rejected} not: see the ledger` : ''}`
      report(1, entry.taken === 0 ? 'No row could be taken; nothing was kept.' : known)
      if (entry.taken === 0)
        fail(file.name, new Error(`none of its ${entry.rejected} rows could be read under this mapping`))
      await settings.remember(shapeOf(summary.headings), summary.headings, mapping)
    })
    await workspace.renew()
  }

  const skip = () => next()
  const dismiss = (at: number) => void (failures.value = failures.value.filter((_, i) => i !== at))
  return {
    waiting,
    current,
    preview,
    opening,
    failures,
    offer,
    skip,
    open,
    correct,
    chooseKind,
    openQuestions: stillOpen,
    missing,
    bring,
    dismiss,
  }
})

export function showProgress(progress: unknown, report: (done: number, note: string) => void): void {
  const { done, rows } = progress as { done: number; rows: number }
  report(done, `${rows.toLocaleString('en')} rows`)
}

/** Questions to which the mapping still has no answer. Order and number style count as answered once confirmed. */
function openQuestions({ proposal, mapping, remembered }: OpenImport): Question[] {
  const has = (field: string) => mapping.columns.some((c) => c.as === 'field' && c.field === field)
  return proposal.questions.filter((q) => {
    if (q.about === 'market' || q.about === 'supplier')
      return recordKind(mapping.kind).from === q.about && mapping[q.about] === null && !has(q.about)
    if (q.about === 'currency') return mapping.currency === null && !has('currency')
    if (remembered || q.about === 'kind') return false
    return !mapping.said?.includes(q.about)
  })
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
