import { mount } from '@vue/test-utils'
import PriceSpread from '@/stages/rivals/PriceSpread.vue'
import PutUpBars from '@/stages/rivals/PutUpBars.vue'

test('months: heights go with how many were put up, the darker part with how many of them sell', () => {
  const months = [
    { month: '2026-01', count: 4, sold: 1 },
    { month: '2026-02', count: 0, sold: 0 },
    { month: '2026-03', count: 8, sold: 8 },
  ]
  const bars = mount(PutUpBars, { props: { months } })
  const heights = bars.findAll('svg g').map((g) => g.findAll('rect').map((r) => Number(r.attributes('height'))))
  // by hand: 70 px are 8; a month of none has no bar
  expect(heights).toEqual([[35, 8.75], [], [70, 70]])
  // they stand on the line, one third of the width each
  const [first] = bars.findAll('rect')
  expect([first?.attributes('y'), first?.attributes('x')]).toEqual(['35', '0%'])
  expect(bars.findAll('svg g')[2]?.get('rect').attributes('x')).toBe(`${200 / 3}%`)
  expect(bars.text()).toContain('most 8 a month')
  expect(bars.get('table').text()).toContain('4 put up, 1 of them sell')
})

test('prices: steps even on a logarithmic scale, the dearest in the last, the middle between the two middle ones', () => {
  const spread = mount(PriceSpread, {
    props: { prices: Float64Array.of(10_000, 20_000, 40_000, 160_000), home: 'EUR' },
  })
  const groups = spread.findAll('svg g')
  // by hand: sixteenfold over 24 steps; 1 is in the first, 2 at a quarter, 4 at the half, 16 in the last
  const filled = groups.flatMap((g, i) => (g.find('rect').exists() ? [i] : []))
  expect(filled).toEqual([0, 6, 12, 23])
  expect(spread.get('figcaption').text()).toMatch(/1\.00.*middle.*3\.00.*16\.00/)
  // all alike: one bar
  const even = mount(PriceSpread, { props: { prices: Float64Array.of(10_000, 10_000), home: 'EUR' } })
  expect(
    even
      .findAll('svg g')
      .map((g) => g.find('rect').exists())
      .filter(Boolean),
  ).toHaveLength(1)
})
