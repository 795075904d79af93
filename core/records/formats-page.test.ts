import { readFileSync } from 'node:fs'
import { formatsPage } from './formats-page'
import { recordKinds } from './record-kinds'

test('docs/formats.md says what the intake does (npm run docs writes it anew)', () => {
  const page = readFileSync(new URL('../../docs/formats.md', import.meta.url), 'utf8')
  expect(page).toContain(formatsPage())
})
test('every field is told apart by its name within a kind, and says how it is known', () => {
  for (const kind of recordKinds) {
    expect(new Set(kind.fields.map((f) => f.name)).size).toBe(kind.fields.length)
    for (const f of kind.fields) expect(Object.values(f.headings).every((s) => s === s.toLowerCase())).toBe(true)
  }
})
