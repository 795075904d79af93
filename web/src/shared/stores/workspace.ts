import { defineStore } from 'pinia'
import { computed, ref, shallowRef, type ShallowRef } from 'vue'
import { useServices } from '@/services/services'
import { toProblem } from '@/shared/problem'
import type { ImportEntry } from '@/storage/schema'
import { listImports, removeImport } from '@/storage/imports'
import type { WorkedSummary } from '@/storage/snapshot'
import { useRules } from './rules'
import { useWriteLock } from './write-lock'

export interface Summary extends WorkedSummary {
  /** imports that are set aside, by id: what of them is not as it was kept */
  spoilt: Record<string, string>
}

const nothing: Summary = {
  items: 0,
  listings: 0,
  offers: 0,
  branches: 0,
  stores: 0,
  markets: [],
  noRate: [],
  figuresTo: null,
  spoilt: {},
}

/** What has been gathered, and whether the engine is up to date with it. */
export const useWorkspace = defineStore('workspace', () => {
  const services = useServices()
  const rules = useRules()
  const writeLock = useWriteLock()
  const { work, ...engine } = useEngineWork()
  const { state, version } = engine
  const ledger = shallowRef<ImportEntry[]>([])
  const load = (onProgress: (done: unknown) => void) => {
    const { rules: r, corrections } = rules.snapshot()
    return services.engine.call('load', [r, corrections], { onProgress })
  }
  /** Reads ledger and data anew: after start and when another tab changed it. */
  const reload = () =>
    work(async (onProgress) => {
      ledger.value = await listImports(await services.database())
      return load(onProgress)
    })
  /** Lets figures follow a change of rules or corrections. */
  const follow = () => (version.value === 0 ? reload() : work(load))
  /** Reads the data anew and lets the other tabs do the same. */
  async function renew(): Promise<void> {
    writeLock.tell({ about: 'data' })
    await reload()
  }
  async function remove(id: string): Promise<void> {
    writeLock.assertWriter()
    await removeImport(await services.database(), id)
    await renew()
  }
  writeLock.onNews((news) => {
    if (news.about === 'data') void reload()
    if (news.about === 'everything') location.reload()
    const isOfFigures = news.about === 'document' && (news.name === 'rules' || news.name === 'corrections')
    if (isOfFigures) void rules.load().then(follow)
  })
  /** Looks through what rests once the screen stands: what was worked out last is no proof of it. */
  async function audit(): Promise<void> {
    // once something is found, nothing that was worked out is left: all is loaded anew, whatever came between
    if (state.value === 'ready' && (await services.engine.call('audit', []))) await reload()
  }
  const standing = useStanding(ledger, engine)
  return {
    ...engine,
    ...standing,
    reload,
    renew,
    follow,
    audit,
    remove,
  }
})

/** What was gathered, and how it stands with it. */
function useStanding(
  ledger: ShallowRef<ImportEntry[]>,
  { state, summary, version }: Omit<ReturnType<typeof useEngineWork>, 'work'>,
) {
  const entries = computed(() => ledger.value.map((e) => ({ ...e, spoilt: e.spoilt ?? summary.value.spoilt[e.id] })))
  /** whether it is not known yet if anything was gathered */
  const unread = computed(
    () => state.value === 'opening' || (state.value === 'working' && version.value === 0 && ledger.value.length === 0),
  )
  /** whether nothing of what was gathered is worked out yet, so that no count of it says anything */
  const isBeginning = computed(() => {
    const { listings, offers } = summary.value
    return state.value === 'working' && ledger.value.length > 0 && listings + offers === 0
  })
  const empty = computed(() => state.value === 'ready' && ledger.value.length === 0)
  return {
    /** what was gathered, with what is set aside marked */
    ledger: entries,
    spoilt: computed(() => entries.value.filter((e) => e.spoilt !== undefined)),
    unread,
    isBeginning,
    empty,
  }
}

/** Whether the engine is up to date, and what it says of all there is. */
function useEngineWork() {
  const state = ref<'opening' | 'working' | 'ready' | 'failed'>('opening')
  const failure = ref<string | null>(null)
  const progress = ref(0)
  const summary = shallowRef<Summary>(nothing)
  /** rises whenever answers of the engine may have changed */
  const version = ref(0)

  async function work(task: (onProgress: (done: unknown) => void) => Promise<Summary>): Promise<void> {
    state.value = 'working'
    progress.value = 0
    try {
      summary.value = await task((done) => (progress.value = done as number))
      version.value++
      state.value = 'ready'
    } catch (thrown) {
      failure.value = toProblem(thrown).message
      state.value = 'failed'
    }
  }
  return { state, failure, progress, summary, version, work }
}
