import { defineStore } from 'pinia'
import { computed } from 'vue'
import type { Query } from '@sickle/core/engine'
import { emptyTrail, returnTo, stepTo, trailLines, type Place, type Trail } from '@sickle/core/trail'
import { useServices } from '@/services/services'
import { plain } from '@/storage/plain'
import { keptDocument } from './document'
import { useWriteLock } from './write-lock'

/** A stop of the Trail with what opens it again. */
export interface TrailPlace extends Place {
  to: string
  /** the limits of Finds at that stop */
  query?: Query
}

/** The way walked from item to seller to item; kept, so that a reload does not lose it. */
export const useTrail = defineStore('trail', () => {
  const writeLock = useWriteLock()
  const kept = keptDocument<Trail<TrailPlace>>(useServices(), 'trail', () => emptyTrail)
  const trail = computed(() => kept.value.value)
  const lines = computed(() => trailLines(trail.value))
  const here = computed(() => trail.value.stops.find((s) => s.id === trail.value.here) ?? null)

  /** A tab that follows walks for itself; what it walks is not kept. */
  async function set(next: Trail<TrailPlace>): Promise<void> {
    if (writeLock.role === 'follower') kept.value.value = next
    else await kept.set(next)
  }
  const step = (place: TrailPlace) => set(stepTo(trail.value, plain(place)))
  /** Stands at a stop again. @returns where that is */
  async function goTo(id: number): Promise<TrailPlace | null> {
    await set(returnTo(trail.value, id))
    return here.value?.place ?? null
  }
  const forget = () => set(emptyTrail)
  return { load: kept.load, trail, lines, here, step, goTo, forget }
})
