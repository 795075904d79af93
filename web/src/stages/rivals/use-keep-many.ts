import { ref } from 'vue'
import { useServices } from '@/services/services'
import { plural } from '@/shared/format'
import { useSheaf } from '@/shared/stores/sheaf'

/** Keeps many items in the open sheaf at once, as one step that can be taken back whole. Those that are decided on already stay as they are. */
export function useKeepMany() {
  const services = useServices()
  const sheaf = useSheaf()
  const busy = ref(false)
  /** how many were kept last */
  const last = ref(0)

  async function keep(keys: readonly string[]): Promise<void> {
    busy.value = true
    try {
      const fresh = keys.filter((key) => sheaf.decisionOf(key) === null)
      const rows = await services.engine.call('rows', [fresh])
      const events = rows.flatMap(({ key, row }) => {
        if (!row) return []
        const { title, picture, profitE4, units, listings } = row
        return [{ key, action: 'keep' as const, text: '', snapshot: { title, picture, profitE4, units, listings } }]
      })
      await sheaf.recordAll(events, `keep ${plural(events.length, 'item')}`)
      last.value = events.length
    } finally {
      busy.value = false
    }
  }
  return { busy, last, keep }
}
