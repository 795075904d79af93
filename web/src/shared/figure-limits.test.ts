import { jest } from '@jest/globals'
import { mount } from '@vue/test-utils'
import { limitChips, withLimit } from './figure-limits'
import { shortCount } from './format'
import MoreRows from './widgets/MoreRows.vue'
import SortHeads from './widgets/SortHeads.vue'

const figures = [
  { name: 'views' as const, label: 'Views', format: 'count' as const },
  { name: 'share' as const, label: 'Share', format: 'percent' as const },
]

test('a limit is set beside the others, changed, and lifted by a span that is open', () => {
  const views = withLimit({}, 'views', [10, null])
  const both = withLimit<'views' | 'share'>(views, 'share', [null, 0.5])
  expect(both).toEqual({ views: [10, null], share: [null, 0.5] })
  expect(withLimit(both, 'views', [20, 30])).toEqual({ views: [20, 30], share: [null, 0.5] })
  expect(withLimit(both, 'share', [null, null])).toEqual({ views: [10, null] })
  expect(withLimit(both, 'views', null)).toEqual({ share: [null, 0.5] })
})

test('chips stand in the order of the figures, and lift or change their own limit', () => {
  const set = jest.fn()
  const chips = limitChips(figures, { share: [0.1, 0.5], views: [1000, null] }, set)
  expect(chips.map((c) => c.label)).toEqual(['Views ≥ 1,000', 'Share 10\u00a0%–50\u00a0%'])
  chips[1]?.lift()
  chips[0]?.edit?.set([5, 6])
  expect(set.mock.calls).toEqual([
    ['share', null],
    ['views', [5, 6]],
  ])
})

test('headings say by which figure and which way a table is sorted, and ask for another', async () => {
  const heads = mount(SortHeads, { props: { heads: figures, by: 'share', descending: false } })
  expect(heads.findAll('th').map((h) => [h.text(), h.attributes('aria-sort')])).toEqual([
    ['Views', 'none'],
    ['Share ▴', 'ascending'],
  ])
  await heads.setProps({ descending: true })
  expect(heads.findAll('th')[1]?.attributes('aria-sort')).toBe('descending')
  await heads.findAll('button')[0]?.trigger('click')
  expect(heads.emitted('sort')).toEqual([['views']])
})

test('under a list stands how much of it is shown, nothing where all is, and that none passes', async () => {
  const more = mount(MoreRows, { props: { shown: 60, found: 2000 } })
  expect(more.text()).toContain('The first 60 of 2,000 in this order.')
  await more.find('button').trigger('click')
  expect(more.emitted('more')).toHaveLength(1)
  await more.setProps({ found: 60 })
  expect(more.text()).toBe('')
  await more.setProps({ shown: 0, found: 0 })
  expect(more.text()).toBe('None passes these limits.')
})

test.each([
  [7, '7'],
  [1000, '1k'],
  [20_000, '20k'],
  [3e6, '3M'],
])('%d is %s on an axis', (n, words) => expect(shortCount(n)).toBe(words))
