import { scenarioPartNames, scenarioParts, type Scenario, type ScenarioPart } from '@sickle/core/margin'
import { decimal, perCent } from './format'

/** A change as it is read: '+10 %', '−2 points'. */
export function changeTold(part: ScenarioPart, change: number): string {
  const hundredths = Math.abs(change) * 100
  const amount = decimal(hundredths, Number.isInteger(Number(hundredths.toPrecision(9))) ? 0 : 1)
  const unit = scenarioParts[part].as === 'share' ? perCent : hundredths === 1 ? ' point' : ' points'
  return `${change < 0 ? '−' : '+'}${amount}${unit}`
}

/** What a what-if changes; '' where nothing. */
export const scenarioTold = ({ changes }: Pick<Scenario, 'changes'>): string =>
  scenarioPartNames
    .filter((part) => changes[part] !== 0)
    .map((part) => `${scenarioParts[part].label} ${changeTold(part, changes[part])}`)
    .join(', ')
