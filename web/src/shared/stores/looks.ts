import { defineStore } from 'pinia'
import { ref } from 'vue'
import { useServices } from '@/services/services'
import { keptDocument } from './document'
import { useWriteLock } from './write-lock'

interface Looks {
  /** ms */
  at: number
  /** items that were rising or fading then */
  rising: string[]
  fading: string[]
}

/** When the user looked last, and what there was to see: what is new is told against that. */
export const useLooks = defineStore('looks', () => {
  const services = useServices()
  const writeLock = useWriteLock()
  const kept = keptDocument<Looks | null>(services, 'looks', () => null)
  /** the look before this one; fixed while the application is open */
  const before = ref<Looks | null>(null)
  async function load(): Promise<void> {
    await kept.load()
    before.value = kept.value.value
  }
  async function note(rising: string[], fading: string[]): Promise<void> {
    if (writeLock.role === 'writer') await kept.set({ at: services.now(), rising, fading })
  }
  return { before, load, note }
})
