import { useServices } from '@/services/services'
import { useQuery } from '@/shared/stores/query'
import { useSheaf } from '@/shared/stores/sheaf'
import type { DecisionState } from '@sickle/core/verdict'

/** Records a decision on an item, with what the sheaf needs to show it later. */
export function useDecide(item: () => string | null) {
  const services = useServices()
  const sheaf = useSheaf()
  const query = useQuery()
  return async (action: DecisionState, text?: string): Promise<void> => {
    const key = item()
    if (key === null) return
    const before = sheaf.decisionOf(key)
    if (text === undefined && before?.state === action) return
    // a part of it that is seen through a lens is not what is decided on
    const seen = query.query.lens.length === 0 ? query.rowOf(key) : undefined
    const found = seen ?? (await services.engine.call('rows', [[key]]))[0]?.row
    if (!found) return
    const { title, picture, profitE4, units, listings } = found
    await sheaf.record({ key, action, text: text ?? '', snapshot: { title, picture, profitE4, units, listings } })
  }
}
