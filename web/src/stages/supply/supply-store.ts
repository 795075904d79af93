import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch, type Ref } from 'vue'
import type { DeskCandidate, MatchDesk } from '@sickle/core/catalog'
import type { MatchJudgement } from '@sickle/core/supply'
import { useServices } from '@/services/services'
import { useRules } from '@/shared/stores/rules'
import { useSheaf } from '@/shared/stores/sheaf'
import { useWorkspace } from '@/shared/stores/workspace'
import { useLatest } from '@/shared/use-latest'
import type { ItemScope } from '@/workers/item-scope'
import type { QueuedRow } from '@/workers/supply-methods'

/** Which items wait to be judged. */
export type QueueOf = 'sheaf' | 'found' | 'all'

/** time that typing or judging rests before figures follow, ms */
const restMs = 400

/** The match desk: the queue, the item on the desk, and the candidate that is looked at. */
export const useSupply = defineStore('supply', () => {
  const queued = useMatchQueue()
  const desk = useDesk(queued.queue)
  return { ...queued, ...desk, ...useJudging(desk) }
})

/** The item on the desk beside its candidates. */
function useDesk(queue: Readonly<Ref<QueuedRow[] | null>>) {
  const services = useServices()
  const workspace = useWorkspace()
  /** the item on the desk; null lets the first of the queue lie there */
  const wanted = ref<string | null>(null)
  const words = ref('')
  const key = computed(() => wanted.value ?? queue.value?.[0]?.row.key ?? null)
  const desk = useLatest([key, words, () => workspace.version], async (): Promise<MatchDesk | null> => {
    if (key.value === null || workspace.version === 0) return null
    return services.engine.call('desk', [key.value, words.value])
  })
  const candidates = computed(() => desk.value?.candidates ?? [])
  /** key of the offer that is looked at; the first where none is, or it is not there any more */
  const looked = ref('')
  const isLooked = (c: DeskCandidate) => c.match.offer.key === looked.value
  const at = computed(() => Math.max(0, candidates.value.findIndex(isLooked)))
  const candidate = computed(() => candidates.value[at.value] ?? null)
  watch(key, () => {
    looked.value = ''
    words.value = ''
  })
  const look = (place: number) => void (looked.value = candidates.value[place]?.match.offer.key ?? looked.value)
  const move = (by: number) => look(at.value + by)
  /** The next item of the queue, or the one before. */
  function turn(by: number): void {
    const list = queue.value ?? []
    const now = list.findIndex(({ row }) => row.key === key.value)
    const next = list[now < 0 ? 0 : now + by]
    if (next) wanted.value = next.row.key
  }
  return { wanted, words, key, desk, candidates, at, candidate, look, move, turn }
}

/** What the seller says of the candidates. */
function useJudging({ key, candidates, at, candidate, look }: ReturnType<typeof useDesk>) {
  const workspace = useWorkspace()
  const rules = useRules()
  const judgedOf = (item: string, offer: string): MatchJudgement | null =>
    rules.corrections.judged[item]?.[offer] ?? null
  const isJudged = (item: string) =>
    Object.keys(rules.corrections.judged[item] ?? {}).length > 0 || rules.corrections.offers[item] !== undefined

  let later: ReturnType<typeof setTimeout> | undefined
  /** The desk says at once what was judged; figures follow when judging rests. */
  function followLater(): void {
    clearTimeout(later)
    later = setTimeout(() => void workspace.follow(), restMs)
  }
  /** Judges the candidate that is looked at, and looks at the next that is not judged yet. */
  async function judge(judgement: MatchJudgement): Promise<void> {
    const [item, offer] = [key.value, candidate.value?.match.offer.key]
    if (item === null || offer === undefined) return
    const isTakenBack = judgedOf(item, offer) === judgement
    await rules.judge(item, offer, isTakenBack ? null : judgement)
    const next = candidates.value.findIndex((c, i) => i > at.value && judgedOf(item, c.match.offer.key) === null)
    if (!isTakenBack && next >= 0) look(next)
    followLater()
  }
  return { judgedOf, isJudged, judge, followLater }
}

/** The queue stands as it was filled, so that what was judged last stays in its place; it is filled anew when it is asked for otherwise. */
function useMatchQueue() {
  const services = useServices()
  const workspace = useWorkspace()
  const sheaf = useSheaf()
  const of = ref<QueueOf>('all')
  const isJudgedShown = ref(false)
  const isBarredShown = ref(true)
  const filled = ref(0)
  const refill = () => void filled.value++
  const queue = shallowRef<QueuedRow[] | null>(null)
  const isReady = computed(() => workspace.version > 0)
  const gathered = computed(() => workspace.ledger.map((e) => e.id).join())
  const found = useLatest([of, isJudgedShown, isBarredShown, filled, isReady, gathered], async () =>
    isReady.value
      ? services.engine.call('matchQueue', [
          scopeOf(of.value),
          { judged: isJudgedShown.value, barred: isBarredShown.value },
        ])
      : null,
  )
  watch(found, (now) => (queue.value = now))

  function scopeOf(which: QueueOf): ItemScope {
    if (which === 'sheaf') return { of: 'keys', keys: [...sheaf.kept, ...sheaf.held].map((d) => d.key) }
    return { of: which }
  }
  return { of, isJudgedShown, isBarredShown, queue, refill }
}
