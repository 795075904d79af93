import { isOneOf, placeWords } from './value-words'

test('countries and languages are known by their names in eight languages, and by their codes (ISO 3166-1, ISO 639-1)', () => {
  const { countries, languages } = placeWords()
  for (const country of ['germany', 'deutschland', 'niemcy', 'espana', 'pt', 'uk']) expect(countries).toContain(country)
  for (const language of ['german', 'deutsch', 'niemiecki', 'espanol', 'pt']) expect(languages).toContain(language)
  expect(countries).not.toContain('german')
  expect(languages).not.toContain('germany')
  // no letters but those that stand for one
  expect(languages).not.toContain('qz')
  expect(countries).not.toContain('qq')
})

test('a word of a list is known as a whole, underlines being spaces', () => {
  expect(isOneOf('verdicts', 'ask_first')).toBe(true)
  expect(isOneOf('verdicts', 'ask')).toBe(false)
})
