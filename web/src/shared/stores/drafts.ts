import { defineStore } from 'pinia'
import { computed, toRaw } from 'vue'
import type { Item } from '@sickle/core/catalog'
import { makeDraft, type Draft } from '@sickle/core/launch'
import { useServices } from '@/app/services'
import { keptDocument } from './document'
import { useRules } from './rules'

/** Drafts of listings. */
export const useDrafts = defineStore('drafts', () => {
  const services = useServices()
  const rules = useRules()
  const drafts = keptDocument<Draft[]>(services, 'drafts', () => [])

  /** Makes a draft for each item that has none yet, on the market where it earns most or the one chosen. */
  async function draftItems(items: Item[]): Promise<number> {
    const known = new Set(drafts.value.value.map((d) => d.item))
    const made = items
      .filter((i) => !known.has(i.key))
      .flatMap((item) => {
        const priced = item.markets.find((m) => rules.priceOf(item.key, m) !== null)
        const market = priced ?? item.best?.market ?? item.markets[0]
        if (market === undefined) return []
        return makeDraft(item, {
          market,
          rules: toRaw(rules.rules),
          corrections: toRaw(rules.corrections),
          setPriceE4: rules.priceOf(item.key, market),
          id: services.newId(),
        })
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
  return { load: drafts.load, all: computed(() => drafts.value.value), draftItems, change, remove, take }
})
