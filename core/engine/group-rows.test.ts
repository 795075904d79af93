import fc from 'fast-check'
import { groupRows } from './group-rows'
import { inOrder } from './in-order'
import { Screen } from './screen'
import { sortedPlaces } from './sorted-places'

const value = fc.oneof(fc.double({ noNaN: true, min: -1e6, max: 1e6 }), fc.constant(NaN), fc.constant(-0))

test('a roll-up worked by hand', () => {
  const codes = Int32Array.of(0, 1, 0, -1, 1)
  const units = Float64Array.of(3, 4, NaN, 5, 6)
  const all = groupRows(codes, 3, [units], null)
  expect([...all.rows]).toEqual([2, 2, 0])
  expect([...(all.sums[0] as Float64Array)]).toEqual([3, 10, 0])
  expect([...(all.known[0] as Int32Array)]).toEqual([1, 2, 0])
  const some = groupRows(codes, 3, [units], Uint32Array.of(0, 4, 0, 0, 0))
  expect([...some.rows]).toEqual([2, 1, 0])
  expect([...(some.sums[0] as Float64Array)]).toEqual([3, 6, 0])
})

test('places are in the order of a stable comparison sort, unknown ones last', () => {
  fc.assert(
    fc.property(fc.array(value), (list) => {
      const { places, known } = sortedPlaces(Float64Array.from(list))
      const at = list.map((_, i) => i)
      const plain = [
        ...at.filter((i) => !Number.isNaN(list[i])).sort((a, b) => (list[a] as number) - (list[b] as number) || a - b),
        ...at.filter((i) => Number.isNaN(list[i])),
      ]
      expect([...places]).toEqual(plain)
      expect(known).toBe(list.filter((v) => !Number.isNaN(v)).length)
    }),
  )
})

test('limits that move, near or far, leave the same counts and rows as limits that are tested row by row', () => {
  const spans = fc.array(
    fc.tuple(fc.nat(1), fc.option(fc.tuple(fc.integer({ min: -5, max: 20 }), fc.integer({ min: -5, max: 40 })))),
    { maxLength: 12 },
  )
  const rowsOf = fc.array(fc.tuple(value, fc.oneof(fc.integer({ min: 0, max: 30 }), fc.constant(NaN))), {
    minLength: 1,
  })
  fc.assert(
    fc.property(rowsOf, spans, (list, moves) => {
      const columns = [0, 1].map((c) => Float64Array.from(list, (r) => r[c] as number))
      const binOf = (v: number) => (Number.isNaN(v) ? 3 : v < 5 ? 0 : v < 15 ? 1 : 2)
      const screen = new Screen(
        list.length,
        columns.map((values) => ({ values, binOf })),
        3,
        [],
        [],
      )
      screen.prepare(0)
      screen.prepare(1)
      const set: ([number, number] | null)[] = [null, null]
      for (const [strip, span] of moves) {
        set[strip] = span
        screen.setSpan(strip, span)
        const passes = (i: number, s: number) => {
          const limit = set[s]
          const v = columns[s]?.[i] as number
          return !limit || (v >= limit[0] && v <= limit[1])
        }
        const counts = screen.counts()
        const matching = list.map((_, i) => i).filter((i) => passes(i, 0) && passes(i, 1))
        expect(counts.matching).toBe(matching.length)
        for (const s of [0, 1]) {
          const others = list.map((_, i) => i).filter((i) => passes(i, 1 - s))
          const bars = [0, 1, 2, 3].map((b) => others.filter((i) => binOf(columns[s]?.[i] as number) === b).length)
          expect([...counts.passing.subarray(s * 4, s * 4 + 4)]).toEqual(bars)
          expect(counts.returning[s]).toBe(others.filter((i) => !passes(i, s)).length)
        }
        const order = [...inOrder(screen.mask, sortedPlaces(columns[0] as Float64Array), true)]
        expect([...order].sort((a, b) => a - b)).toEqual(matching)
      }
    }),
    { numRuns: 200 },
  )
})

test('any number of measures: what adding up row by row comes to', () => {
  const row = fc.record({
    code: fc.integer({ min: -1, max: 4 }),
    fails: fc.boolean(),
    values: fc.array(fc.constantFrom(NaN, -2, 0, 1, 2.5), { minLength: 4, maxLength: 4 }),
  })
  fc.assert(
    fc.property(fc.array(row), fc.integer({ min: 0, max: 4 }), fc.boolean(), (list, count, masked) => {
      const measures = Array.from({ length: count }, (_, m) => Float64Array.from(list, (r) => r.values[m] as number))
      const mask = masked ? Uint32Array.from(list, (r) => (r.fails ? 8 : 0)) : null
      const { rows, sums, known } = groupRows(
        Int32Array.from(list, (r) => r.code),
        5,
        measures,
        mask,
      )
      for (let g = 0; g < 5; g++) {
        const mine = list.filter((r) => r.code === g && !(masked && r.fails))
        expect(rows[g]).toBe(mine.length)
        measures.forEach((_, m) => {
          const values = mine.map((r) => r.values[m] as number).filter((v) => !Number.isNaN(v))
          expect(known[m]?.[g]).toBe(values.length)
          expect(sums[m]?.[g]).toBe(values.reduce((a, b) => a + b, 0))
        })
      }
      expect([sums.length, known.length]).toEqual([count, count])
    }),
  )
})
