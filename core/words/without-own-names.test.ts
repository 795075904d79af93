import { themesOf, withoutOwnNames } from '.'

const goods = ['mug', 'tea towel', 'tote bag', 'apron', 'print', 'card']
const shop = (store: string, lead: string) => goods.map((g) => ({ title: `${lead} ${g} with heron`, store }))

test('a store’s own name is taken off its titles, words that others use stay', () => {
  const titles = [
    { title: 'Tern Tern mug with heron', store: 'Tern Tern' },
    { title: 'Copper trowel by Tern & Trowel', store: 'Tern & Trowel' },
    { title: 'Hand trowel', store: 'Sill Life' },
    { title: 'Trowel, long', store: 'Hedge End Co.' },
    { title: 'No store here', store: null },
  ]
  expect(withoutOwnNames(titles)).toEqual([
    'mug with heron',
    'Copper trowel by & Trowel',
    'Hand trowel',
    'Trowel, long',
    'No store here',
  ])
})

test('no theme is led by a store’s own name', () => {
  const titles = [
    ...shop('Tern Tern', 'Tern Tern'),
    ...shop('Wren House', 'Wren House'),
    ...Array.from({ length: 80 }, (_, i) => ({ title: `Garden thing number ${i} plain`, store: `Store ${i}` })),
  ]
  const phrases = (list: string[]) => themesOf(list).flatMap((t) => t.phrases)
  expect(phrases(titles.map((t) => t.title)).some((p) => /tern|wren/.test(p))).toBe(true)
  expect(phrases(withoutOwnNames(titles)).filter((p) => /tern|wren|house/.test(p))).toEqual([])
})
