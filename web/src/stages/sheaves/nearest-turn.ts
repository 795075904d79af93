import type { ItemScenarios } from '@sickle/core/catalog'
import { scenarioParts, type ScenarioPart } from '@sickle/core/margin'
import { changeTold } from '@/shared/scenario-words'

/** How many changes are told. */
const told = 2

/** The smallest changes that make a loss, each alone; points and shares are compared by their size. */
export function nearestTurn(turns: ItemScenarios['turns']): string {
  const known = (Object.entries(turns) as [ScenarioPart, number | null][]).flatMap(([part, at]) =>
    at === null ? [] : [{ part, at }],
  )
  if (known.some(({ at }) => at === 0)) return 'a loss as it is'
  known.sort((a, b) => Math.abs(a.at) - Math.abs(b.at))
  return known
    .slice(0, told)
    .map(({ part, at }) => `${scenarioParts[part].label} ${changeTold(part, at)}`)
    .join(', ')
}
