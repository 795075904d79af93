import { readFileSync } from 'node:fs'
import { mayList, statusOf } from '.'

const item = {
  gtin: '4006381333931',
  category: 'Garden / Birds / Feeders',
  listings: [{ key: 'Marrowgate/7', title: 'Wren-Works peanut feeder' }],
}
const entry = (some: object) => ({ market: 'Marrowgate', what: 'x y z', status: 'restricted', ...some })

test.each([
  ['restricted', 'restricted'],
  ['Not allowed', 'restricted'],
  ['gated', 'restricted'],
  ['Needs approval', 'needs approval'],
  ['allowed', 'allowed'],
  ['OK', 'allowed'],
  ['?', 'unknown'],
  ['not restricted', 'allowed'],
  ['Unrestricted', 'allowed'],
  ['no restrictions', 'allowed'],
  ['not gated', 'allowed'],
  ['Ungated', 'allowed'],
  ['not banned', 'allowed'],
  ['No', 'restricted'],
  ['no!', 'restricted'],
  ['cannot be listed', 'restricted'],
  ['may not be listed', 'restricted'],
  ['approved', 'allowed'],
  ['not approved', 'restricted'],
  ['no approval needed', 'allowed'],
  ['approval not required', 'allowed'],
  ['allowed after approval', 'needs approval'],
  ['allowed, but restricted in IE', 'unknown'],
  ['not known', 'unknown'],
  ['', 'unknown'],
  ['pending', 'unknown'],
  ['gesperrt', 'restricted'],
  ['nicht gesperrt', 'allowed'],
  ['nicht erlaubt', 'restricted'],
  ['Freigabe nötig', 'needs approval'],
  ['zulässig', 'allowed'],
  ['interdit', 'restricted'],
  ['non autorisé', 'restricted'],
  ['autorisé', 'allowed'],
  ['sur autorisation', 'needs approval'],
  ['pas interdit', 'allowed'],
  ['prohibido', 'restricted'],
  ['no permitido', 'restricted'],
  ['sin restricciones', 'allowed'],
  ['requiere aprobación', 'needs approval'],
  ['vietato', 'restricted'],
  ['consentito', 'allowed'],
  ['niet toegestaan', 'restricted'],
  ['geen beperkingen', 'allowed'],
  ['niedozwolone', 'restricted'],
  ['wymaga zgody', 'needs approval'],
  ['não permitido', 'restricted'],
  ['banner of birds', 'unknown'],
  ['listed elsewhere', 'allowed'],
])('%s means %s', (words, status) => expect(statusOf(words)).toBe(status))

test('an entry speaks of an item by barcode, listing, category or words of its title; the strictest counts', () => {
  const says = (some: object) => mayList([entry(some)], item).status
  expect(says({ gtin: '4006381333931' })).toBe('restricted')
  expect(says({ id: '7' })).toBe('restricted')
  expect(says({ what: 'garden / birds', sort: 'category' })).toBe('restricted')
  expect(says({ what: 'wren works', sort: 'brand' })).toBe('restricted')
  expect(says({ what: 'works feeder' })).toBe('unknown')
  expect(says({ what: 'ren', sort: 'phrase' })).toBe('unknown')
  expect(says({ what: 'Garden / Bird', sort: 'category' })).toBe('unknown')
  for (const path of ['Garden/Birds', 'garden > birds', 'Garden |Birds', ' GARDEN /  Birds / '])
    expect([path, says({ what: path, sort: 'category' }), says({ category: path })]).toEqual([
      path,
      'restricted',
      'restricted',
    ])
  expect(says({ what: '/', sort: 'category' })).toBe('unknown')
  const both = mayList(
    [entry({ id: '7', status: 'allowed' }), entry({ what: 'peanut', status: 'needs approval', note: 'ask' })],
    item,
  )
  expect(both).toMatchObject({
    status: 'needs approval',
    because: [{ what: 'peanut', note: 'ask' }, { status: 'allowed' }],
  })
  expect(mayList([], item)).toEqual({ status: 'unknown', because: [] })
})

/** Lists written after the reading and labelled by common sense; what they gave at their first look stands in docs/checks.md. */
test.each(['status-words.txt', 'status-words-fresh.txt'])(
  '%s: none is taken for leave that is none, few are not understood',
  (name) => {
    const text = readFileSync(new URL(`./fixtures/${name}`, import.meta.url), 'utf8')
    const rows = text
      .split('\n')
      .filter((l) => l !== '' && !l.startsWith('#'))
      .map((l) => l.split('\t') as [string, string])
    const wrong = rows.filter(([want, words]) => statusOf(words) !== want)
    expect(wrong.filter(([, words]) => statusOf(words) === 'allowed')).toEqual([])
    expect(wrong.length / rows.length).toBeLessThan(0.1)
  },
)
