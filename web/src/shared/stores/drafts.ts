import { defineStore } from 'pinia'
import { computed, shallowRef, toRaw, watch, type ShallowRef } from 'vue'
import { bestMarketOf, type Item, type ItemSampleNeed } from '@sickle/core/catalog'
import { draftObstacles, makeDraft, refreshDraft, type Draft } from '@sickle/core/launch'
import { useServices } from '@/services/services'
import { plain } from '@/storage/plain'
import { keptDocument } from './document'
import { sampleAdvice } from '../sample-words'
import { useQuotes } from './quotes'
import { useRules } from './rules'
import { useSettings } from './settings'
import { useSheaf } from './sheaf'
import { useWorkspace } from './workspace'
import type { DraftTexts, ItemClearance } from '@/workers/clearing-methods'

/** Drafts of listings: as they rest, and as costs, fees, rivals and decisions make them now. */
export const useDrafts = defineStore('drafts', () => {
  const services = useServices()
  const rules = useRules()
  const sheaf = useSheaf()
  const drafts = keptDocument<Draft[]>(services, 'drafts', () => [])
  const quotes = useQuotes()
  const { items, allowed, needs } = useDraftedItems(drafts.value)
  const options = (item: string, market: string) => ({
    rules: toRaw(rules.rules),
    corrections: toRaw(rules.corrections),
    setPriceE4: rules.priceOf(item, market),
  })
  const all = computed(() =>
    drafts.value.value.map((d) => refreshDraft(plain(d), items.value.get(d.item) ?? null, options(d.item, d.market))),
  )
  /** What stands in the way of a draft; empty where it can go up. */
  const obstaclesOf = (draft: Draft): string[] =>
    draftObstacles(draft, {
      decision: sheaf.decisionOf(draft.item)?.state ?? null,
      allowed: allowed.value.get(draft.id) ?? null,
    })
  /** What is to be thought of before a draft goes up, and does not stand in its way; null where nothing is. */
  const adviceOf = ({ item }: Draft): string | null =>
    sampleAdvice(needs.value.get(item) ?? null, quotes.passedOf(item))

  /** Makes a draft for each item that has none yet, on the market where it earns most or the one chosen. */
  async function draftItems(list: Item[]): Promise<number> {
    const known = new Set(drafts.value.value.map((d) => d.item))
    const made = list
      .filter((i) => !known.has(i.key))
      .map((item) => {
        const priced = item.markets.find((m) => rules.priceOf(item.key, m) !== null)
        const market = priced ?? bestMarketOf(item)
        return makeDraft(item, { ...options(item.key, market), market, id: services.newId() })
      })
    await drafts.set([...drafts.value.value, ...made])
    return made.length
  }
  const change = (id: string, some: Partial<Draft>) =>
    drafts.set(drafts.value.value.map((d) => (d.id === id ? { ...d, ...some } : d)))
  const remove = (ids: readonly string[]) => drafts.set(drafts.value.value.filter((d) => !ids.includes(d.id)))
  /** Takes drafts from a file: those with a known id are replaced, others added. */
  async function take(list: Draft[]): Promise<void> {
    const byId = new Map(drafts.value.value.map((d) => [d.id, d]))
    for (const d of list) byId.set(d.id, d)
    await drafts.set([...byId.values()])
  }
  return { load: drafts.load, all, items, obstaclesOf, adviceOf, draftItems, change, remove, take }
})

const textsOf = ({ id, item, title, tags }: Draft): DraftTexts => ({ id, item, title, tags: [...tags] })

/** The items that drafts were made of, as they are now, and whether they may be listed. */
function useDraftedItems(drafts: ShallowRef<Draft[]>) {
  const services = useServices()
  const workspace = useWorkspace()
  const items = shallowRef(new Map<string, Item>())
  const allowed = shallowRef(new Map<string, ItemClearance>())
  const needs = shallowRef(new Map<string, ItemSampleNeed>())
  const settings = useSettings()
  let asked = 0
  watch(
    [() => workspace.version, () => JSON.stringify(drafts.value.map(textsOf)), () => settings.value.dearFromE4],
    async ([version]) => {
      const keys = [...new Set(drafts.value.map((d) => d.item))]
      const mine = ++asked
      if (version === 0 || keys.length === 0) return
      const [found, may, first] = await Promise.all([
        services.engine.call('itemsByKey', [keys]),
        services.engine.call('clearDrafts', [drafts.value.map(textsOf)]),
        services.engine.call('sampleNeeds', [keys, settings.value.dearFromE4]),
      ])
      if (mine === asked) [items.value, allowed.value, needs.value] = [found, may, first]
    },
    { immediate: true },
  )
  return { items, allowed, needs }
}
