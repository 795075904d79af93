import { defineStore } from 'pinia'
import { computed } from 'vue'
import { noPeople, type CreatorLetter, type People, type Person } from '@sickle/core/social'
import { useServices } from '@/services/services'
import { asSteps } from './as-steps'
import { keptDocument } from './document'
import { useSheaf } from './sheaf'

const dayMs = 86_400_000

/** Creators who are to show goods of a sheaf: whom to write to, how, and what came of it. Each change is a step that can be taken back. */
export const usePeople = defineStore('people', () => {
  const services = useServices()
  const sheaf = useSheaf()
  const kept = keptDocument<People>(services, 'people', () => noPeople)
  const set = asSteps(kept)
  const all = computed(() => kept.value.value.list)
  const today = () => Math.floor(services.now() / dayMs)
  const say = (label: string, list: readonly Person[]) => set(label, { ...kept.value.value, list: [...list] })
  const isSame = (a: Pick<Person, 'market' | 'name'>, b: Pick<Person, 'market' | 'name'>) =>
    a.market === b.market && a.name === b.name
  /** those of the open sheaf */
  const list = computed(() => all.value.filter((p) => p.sheaf === sheaf.current.id))
  const of = (creator: Pick<Person, 'market' | 'name'>) => list.value.find((p) => isSame(p, creator)) ?? null

  return {
    list,
    of,
    letter: computed(() => kept.value.value.letter),
    load: kept.load,
    setLetter: (some: Partial<CreatorLetter>) =>
      kept.set({ ...kept.value.value, letter: { ...kept.value.value.letter, ...some } }),
    /** Puts creators on the list of the open sheaf; who is on it stays as she is. */
    add(creators: readonly Pick<Person, 'market' | 'name'>[]): Promise<void> {
      const fresh = creators.filter((c) => of(c) === null)
      if (fresh.length === 0) return Promise.resolve()
      const made = fresh.map(({ market, name }): Person => ({
        id: services.newId(),
        sheaf: sheaf.current.id,
        market,
        name,
        state: 'to write',
        on: today(),
        note: '',
      }))
      return say('who is written to', [...all.value, ...made])
    },
    setState: (id: string, state: Person['state']) =>
      say(
        'how it stands',
        all.value.map((p) => (p.id === id ? { ...p, state, on: today() } : p)),
      ),
    setNote: (id: string, note: string) =>
      say(
        'a note',
        all.value.map((p) => (p.id === id ? { ...p, note } : p)),
      ),
    remove: (id: string) =>
      say(
        'who is written to',
        all.value.filter((p) => p.id !== id),
      ),
  }
})
