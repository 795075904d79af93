import { noChanges, type ScenarioPart } from '@sickle/core/margin'
import { changeTold, scenarioTold } from '@/shared/scenario-words'
import { nearestTurn } from './nearest-turn'

const never = Object.fromEntries(Object.keys(noChanges).map((part) => [part, null])) as Record<
  ScenarioPart,
  number | null
>

test.each<[ScenarioPart, number, string]>([
  ['price', -0.1, '−10\u00a0%'],
  ['rate', 0.125, '+12.5\u00a0%'],
  ['fees', 0.02, '+2 points'],
  ['fees', 0.01, '+1 point'],
  ['returns', -0.005, '−0.5 points'],
])('%s %p is told as %s', (part, change, told) => expect(changeTold(part, change)).toBe(told))

test('a what-if says what it changes, and nothing else', () => {
  expect(scenarioTold({ changes: { ...noChanges, price: -0.1, fees: 0.02 } })).toBe('Price −10\u00a0%, Fees +2 points')
  expect(scenarioTold({ changes: noChanges })).toBe('')
})
test('of what makes a loss the two smallest changes are told', () => {
  expect(nearestTurn({ ...never, price: -0.3, fees: 0.2, goods: 0.9 })).toBe('Fees +20 points, Price −30\u00a0%')
  expect(nearestTurn({ ...never, goods: 2.5 })).toBe('Goods +250\u00a0%')
  expect(nearestTurn({ ...never, price: 0, fees: 0.2 })).toBe('a loss as it is')
  expect(nearestTurn(never)).toBe('')
})
