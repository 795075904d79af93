import { fromLog, fromStock, unlearnedStock, z80, type StockReading } from '.'
import { chance } from '../../standins/random'

const looks = (...pairs: [number, number][]): StockReading[] => pairs.map(([day, stock]) => ({ day, stock }))
const spreadOf = (readings: StockReading[]) => {
  const { estimate } = fromStock(readings)
  return estimate ? Math.log(estimate.high / estimate.units) / z80 : NaN
}

test('gaps longer than a third of the time between restocks are not judged, where shorter ones are left', () => {
  // four restocks in 36 days: one every nine, so gaps over three days may hide one
  const often = looks(
    [0, 40],
    [3, 34],
    [6, 28],
    [9, 60],
    [12, 54],
    [18, 50],
    [21, 70],
    [24, 64],
    [27, 90],
    [30, 84],
    [33, 78],
    [36, 99],
  )
  const found = fromStock(often)
  expect(found).toMatchObject({ restocks: 4, judgedDays: 18, hiddenDays: 18, fallen: 36 })
  // the same fall over the long gap counts where nothing was ever restocked
  expect(fromStock(looks([0, 40], [3, 34], [9, 30]))).toMatchObject({ restocks: 0, judgedDays: 9, fallen: 10 })
  // where only long gaps are left they are judged up to two weeks
  expect(fromStock(looks([0, 40], [10, 20], [20, 60], [30, 40]))).toMatchObject({
    judgedDays: 20,
    hiddenDays: 10,
    fallen: 40,
  })
  expect(fromStock(looks([0, 40], [14, 20]))).toMatchObject({ judgedDays: 14 })
  expect(fromStock(looks([0, 40], [15, 20]))).toMatchObject({ judgedDays: 0, estimate: null })
})

test('stock that stays is no restock, and a gap in which nothing sold is judged', () => {
  expect(fromStock(looks([0, 9], [1, 9], [2, 8]))).toMatchObject({ restocks: 0, fallen: 1, judgedDays: 2 })
  // one restock in nine days: gaps over three days may hide one, and the flat ones of three are enough to judge by
  expect(fromStock(looks([0, 9], [3, 9], [7, 20], [10, 20], [13, 20]))).toMatchObject({ restocks: 1, judgedDays: 9 })
})

test('a stricter bound is kept where it leaves a quarter of the days', () => {
  // restocks at 8 and at 16 of 24 days: one every 12, so gaps of up to four days are judged, where they are six days of 24
  const kept = looks([0, 90], [6, 80], [8, 99], [10, 98], [14, 97], [16, 120], [24, 110])
  expect(fromStock(kept)).toMatchObject({ restocks: 2, judgedDays: 6, fallen: 2 })
  // five of them are less than a quarter: all up to two weeks are judged
  const lost = looks([0, 90], [6, 80], [8, 99], [10, 98], [13, 97], [16, 120], [24, 110])
  expect(fromStock(lost)).toMatchObject({ restocks: 2, judgedDays: 19, fallen: 22 })
})

test('a restock of what ran low adds what chance sells more in such a gap; one by the calendar does not', () => {
  // by hand: six falls of 6 in three days each are as even as can be, so one is the least dispersion
  const ranLow = looks([0, 24], [3, 18], [6, 12], [9, 48], [12, 42], [15, 36], [18, 30], [21, 24])
  expect(fromStock(ranLow)).toMatchObject({ fallen: 36, judgedDays: 18, hiddenDays: 3 })
  // 12 left, and two gaps sell 12: it may have run out; (36 + a half + half a piece) × 21 / 18
  expect(fromStock(ranLow).estimate?.units).toBeCloseTo(37 * (21 / 18), 9)
  const byCalendar = ranLow.map(({ day, stock }) => ({ day, stock: stock + 1 }))
  expect(fromStock(byCalendar).estimate?.units).toBeCloseTo(36.5 * (21 / 18), 9)
  // share hidden 1/7; chance, another pace, half a piece unsure, and a hundredth
  expect(spreadOf(byCalendar)).toBeCloseTo(Math.sqrt(1 / 7 / 36.5 + (0.25 / 7) ** 2 + (0.5 / 36.5) ** 2 + 1e-4), 9)
})

test('uneven sales are less sure: variance of a gap over its mean, by hand', () => {
  // falls of 0, 12, 0, 12 in gaps of three days at two a day: (36 + 36 + 36 + 36) / 6 / 3 = 8
  const uneven = looks([0, 24], [3, 24], [6, 12], [9, 12], [12, 0], [30, 90])
  expect(fromStock(uneven)).toMatchObject({ fallen: 24, judgedDays: 12, hiddenDays: 18 })
  // the restock lies in a gap longer than is judged: it says nothing of what was sold in it
  expect(fromStock(uneven).estimate?.units).toBeCloseTo(24.5 * 2.5, 9)
  expect(spreadOf(uneven)).toBeCloseTo(Math.sqrt((8 * 0.6) / 24.5 + 0.15 ** 2 + 1e-4), 9)
  // two gaps say nothing of it, and nothing sold has none
  expect(spreadOf(looks([0, 9], [1, 9], [2, 5]))).toBeCloseTo(0.01, 9)
  expect(spreadOf(looks([0, 9], [1, 9], [2, 9], [3, 9]))).toBeCloseTo(0.01, 9)
})

test.each([
  ['as it runs low', (stock: number) => stock < 2],
  ['by the calendar', (_: number, day: number) => day % 10 === 0],
])('small lots restocked %s: the middle of many estimates is what was sold', (_, isDue) => {
  const random = chance(11)
  let [guessed, sold] = [0, 0]
  for (let n = 0; n < 400; n++) {
    let stock = random.whole(2, 12)
    const seen: StockReading[] = []
    let units = 0
    for (let day = 0; day < 90; day++) {
      if (isDue(stock, day)) stock += 12
      const buys = Math.min(stock, random.poisson(1))
      stock -= buys
      if (day > 0) units += buys
      if (day === 0 || day === 89 || random.happens(0.35)) seen.push({ day, stock })
    }
    sold += units
    guessed += fromStock(seen).estimate?.units ?? 0
  }
  expect(guessed / sold).toBeGreaterThan(0.94)
  expect(guessed / sold).toBeLessThan(1.06)
})

test('before anything is learned of a market stock may lie off by a spread of 0.6 beside its own; its middle and its mean stay', () => {
  const wide = unlearnedStock(fromLog('stock', Math.log(40), 0.25, 42))
  expect([wide.units, wide.mean]).toEqual([expect.closeTo(40, 9), 42])
  // √(0.25² + 0.6²) is 0.65
  expect(Math.log(wide.high / 40) / z80).toBeCloseTo(0.65, 9)
  expect(Math.log(40 / wide.low) / z80).toBeCloseTo(0.65, 9)
})
