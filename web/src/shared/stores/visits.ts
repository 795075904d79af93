import { defineStore } from 'pinia'
import { ref } from 'vue'
import { useServices } from '@/services/services'
import { keptDocument } from './document'
import { useWriteLock } from './write-lock'

interface Visit {
  /** ms */
  at: number
  /** items that were rising or fading then */
  rising: string[]
  fading: string[]
}

/** When the user looked last, and what there was to see: what is new is told against that. */
export const useVisits = defineStore('looks', () => {
  const services = useServices()
  const writeLock = useWriteLock()
  const kept = keptDocument<Visit | null>(services, 'looks', () => null)
  /** the visit before this one; fixed while the application is open */
  const before = ref<Visit | null>(null)
  async function load(): Promise<void> {
    await kept.load()
    before.value = kept.value.value
  }
  async function note(rising: string[], fading: string[]): Promise<void> {
    if (writeLock.role === 'writer') await kept.set({ at: services.now(), rising, fading })
  }
  return { before, load, note }
})
