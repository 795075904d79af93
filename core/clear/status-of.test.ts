import { readFileSync } from 'node:fs'
import { statusOf } from '.'

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
