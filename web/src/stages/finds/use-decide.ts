import { useServices } from '@/app/services'
import { useQuery } from '@/shared/stores/query'
import { useSheaf } from '@/shared/stores/sheaf'
import type { DecisionState } from '@sickle/core/verdict'

/** Records a decision on the selected item, with what the sheaf needs to show it later; a second time takes it back. */
export function useDecide() {
  const services = useServices()
  const query = useQuery()
  const sheaf = useSheaf()
  return async (action: DecisionState, text?: string): Promise<void> => {
    const key = query.selected
    if (key === null) return
    const before = sheaf.decisionOf(key)
    if (text === undefined && before?.state === action) return
    const found = (await services.engine.call('rows', [[key]]))[0]?.row
    if (!found) return
    const { title, picture, profitE4, units, listings } = found
    await sheaf.record({ key, action, text: text ?? '', snapshot: { title, picture, profitE4, units, listings } })
  }
}
