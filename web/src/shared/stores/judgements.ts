import { defineStore } from 'pinia'
import { useServices } from '@/services/services'
import { keptDocument } from './document'

/** What the seller has judged of each item by eye: names of the points that were ticked. */
export const useJudgements = defineStore('judgements', () => {
  const kept = keptDocument<Record<string, string[]>>(useServices(), 'judgements', () => ({}))
  const of = (key: string) => kept.value.value[key] ?? []
  function toggle(key: string, point: string): Promise<void> {
    const before = of(key)
    const after = before.includes(point) ? before.filter((p) => p !== point) : [...before, point]
    return kept.set({ ...kept.value.value, [key]: after })
  }
  return { load: kept.load, of, toggle }
})
