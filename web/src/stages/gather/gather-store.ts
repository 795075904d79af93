import { useFileDialog } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef, toRaw } from 'vue'
import {
  learnFrom,
  openQuestions,
  type ColumnUse,
  type Mapping,
  type Preview,
  type Proposal,
} from '@sickle/core/intake'
import { recordKind } from '@sickle/core/records'
import { Problem } from '@sickle/core/problem'
import { plain } from '@/storage/plain'
import { useServices } from '@/services/services'
import { toProblem } from '@/shared/problem'
import { useJobs } from '@/shared/stores/jobs'
import { useSettings } from '@/shared/stores/settings'
import { useWriteLock } from '@/shared/stores/write-lock'
import { useWorkspace } from '@/shared/stores/workspace'
import type { FileSummary } from '@/workers/intake-methods'
import { importHints } from './import-hints'

export interface OpenImport {
  file: File
  summary: FileSummary
  proposal: Proposal
  mapping: Mapping
  /** read, in part at least, as the seller once said */
  remembered: boolean
}

/** how long a file may take to open, and how long a stopped worker may take to say so, ms */
const [openingMs, graceMs] = [10_000, 400]

/** Files on their way in: opened, looked at and corrected one by one, then brought in as jobs. */
export const useGather = defineStore('gather', () => {
  const services = useServices()
  const jobs = useJobs()
  const settings = useSettings()
  const workspace = useWorkspace()
  const writeLock = useWriteLock()
  const waiting = ref<File[]>([])
  const current = shallowRef<OpenImport | null>(null)
  const preview = shallowRef<Preview | null>(null)
  const opening = ref<{ file: string; done: number | null } | null>(null)
  let stop: AbortController | null = null
  const failures = ref<{ file: string; text: string }[]>([])
  let asked = 0
  let brought: OpenImport | null = null

  function fail(file: string, thrown: unknown): void {
    failures.value = [...failures.value, { file, text: toProblem(thrown).message }]
  }

  // Of the store, not of what is on the screen: the screen may change while the seller still chooses, and no file is lost by it.
  const dialog = useFileDialog({ accept: '.csv,.tsv,.txt,.xlsx,.json,.ndjson,.jsonl,.parquet', multiple: true })
  dialog.onChange((files) => {
    if (files?.length) void offer([...files])
    dialog.reset()
  })
  /** Lets the seller choose files to take in. */
  const choose = () => dialog.open()

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
    opening.value = { file: file.name, done: null }
    const mine = (stop = new AbortController())
    const late = setTimeout(() => services.opener.restart(new Problem('file-slow', { file: file.name })), openingMs)
    try {
      const { file: summary, proposal } = await services.opener.call(
        'plan',
        [file, sheet, services.now(), plain(settings.learned)],
        {
          signal: mine.signal,
          graceMs,
          onProgress: (done) => (opening.value = { file: file.name, done: done as number }),
        },
      )
      const remembered = proposal.learned.length > 0 || proposal.answered
      left.value = []
      current.value = { file, summary, proposal, mapping: proposal.mapping, remembered }
      await readPreview()
    } catch (thrown) {
      if (toProblem(thrown).code !== 'cancelled') fail(file.name, thrown)
      opening.value = null
      clearTimeout(late)
      await next()
    } finally {
      clearTimeout(late)
      opening.value = null
    }
  }

  /** Stops reading the file that is being opened, whatever it does to the reader. */
  const stopOpening = () => stop?.abort()

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

  async function bringIn(now: OpenImport): Promise<void> {
    const { file, summary, mapping } = now
    writeLock.assertWriter()
    await jobs.run(`Bring in ${file.name}`, async ({ signal, report }) => {
      const about = { id: services.newId(), now: services.now(), demo: false }
      const { entry, rejects } = await services.intake.call('run', [file, summary.sheet, mapping, about], {
        signal,
        graceMs: 2000,
        onProgress: (p) => showProgress(p, report),
      })
      const known = `${entry.taken} rows taken${entry.rejected ? `, ${entry.rejected} not: see the ledger` : ''}`
      report(1, entry.taken === 0 ? 'No row could be taken; nothing was kept.' : known)
      if (entry.taken === 0)
        fail(
          file.name,
          new Problem('file-none-taken', {
            file: file.name,
            rows: entry.rejected,
            reason: rejects.rejected[0]?.reason ?? '',
          }),
        )
      else await settings.learn(learned(now))
    })
    await workspace.renew()
  }

  /** What the file taught, by what the seller changed in it. */
  function learned({ file, summary, proposal, mapping }: OpenImport) {
    const guess = proposal.kinds.find((k) => k.kind === mapping.kind)?.columns.map((c) => c.use) ?? []
    const about = { headings: summary.headings, holds: summary.holds, file: file.name }
    return learnFrom(plain(settings.learned), about, { proposed: proposal.mapping, guess, final: mapping })
  }

  const skip = () => next()
  const dismiss = (at: number) => void (failures.value = failures.value.filter((_, i) => i !== at))
  return {
    waiting,
    current,
    preview,
    opening,
    failures,
    choose,
    offer,
    skip,
    open,
    stopOpening,
    correct,
    chooseKind,
    openQuestions: stillOpen,
    hints,
    leave,
    missing,
    bring,
    dismiss,
  }
})

export function showProgress(progress: unknown, report: (done: number, note: string) => void): void {
  const { done, rows } = progress as { done: number; rows: number }
  report(done, `${rows.toLocaleString('en')} rows`)
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
