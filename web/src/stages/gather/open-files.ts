import { useFileDialog } from '@vueuse/core'
import { ref, shallowRef, toRaw } from 'vue'
import type { Mapping, Proposal } from '@sickle/core/intake'
import { Problem } from '@sickle/core/problem'
import { useServices } from '@/services/services'
import { toProblem } from '@/shared/problem'
import { useSettings } from '@/shared/stores/settings'
import { plain } from '@/storage/plain'
import type { FileSummary } from '@/workers/intake-methods'

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

/** Files that were chosen, opened one after another. @param onOpen called with each that is open, before it is shown */
export function useOpenFiles(fail: (file: string, thrown: unknown) => void, onOpen: () => Promise<void>) {
  const services = useServices()
  const settings = useSettings()
  const waiting = ref<File[]>([])
  const current = shallowRef<OpenImport | null>(null)
  const opening = ref<{ file: string; done: number | null } | null>(null)
  let stop: AbortController | null = null

  // Of the store, not of what is on the screen: the screen may change while the seller still chooses, and no file is lost by it.
  const dialog = useFileDialog({ accept: '.csv,.tsv,.txt,.xlsx,.json,.ndjson,.jsonl,.parquet', multiple: true })
  dialog.onChange((files) => {
    if (files?.length) void offer([...files])
    dialog.reset()
  })
  const choose = () => dialog.open()

  /** Takes files in; the first is opened at once. */
  async function offer(files: readonly File[]): Promise<void> {
    waiting.value = [...waiting.value, ...files]
    if (!current.value && !opening.value) await next()
  }

  async function next(): Promise<void> {
    current.value = null
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
      current.value = { file, summary, proposal, mapping: proposal.mapping, remembered }
      await onOpen()
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
  return { waiting, current, opening, choose, offer, next, open, stopOpening }
}
