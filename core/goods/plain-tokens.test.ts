import fc from 'fast-check'
import { PlainTokens } from './plain-tokens'

const tokensIn = (title: string, tokens = new PlainTokens((text) => ({ text }))) => {
  const met: string[] = []
  tokens.meet(title, ({ text }) => met.push(text))
  return met
}

test('words, figures and the signs that part a title come in their order, and nothing else', () => {
  expect(tokensIn('feeder 2pk, blue + lid (15 cm) & hook.')).toEqual([
    ...['feeder', '2pk', ',', 'blue', '+', 'lid', '(', '15', 'cm', '&', 'hook'],
  ])
  expect(tokensIn('')).toEqual([])
  expect(tokensIn(' - ')).toEqual([])
})

test('they are what a pattern finds, whatever was met before', () => {
  const tokens = new PlainTokens((text) => ({ text }))
  const letters = fc.constantFrom(...'abz019 ,+&(-./)~'.split(''))
  fc.assert(
    fc.property(fc.string({ unit: letters, maxLength: 40 }), (title) => {
      expect(tokensIn(title, tokens)).toEqual(title.match(/[a-z0-9]+|[,+&(]/g) ?? [])
    }),
    { numRuns: 500 },
  )
})

test('each is read once, and again where more came than are kept', () => {
  const reads: string[] = []
  const tokens = new PlainTokens((text) => (reads.push(text), { text }))
  tokensIn('pot pot hook', tokens)
  expect(tokensIn('hook pot', tokens)).toEqual(['hook', 'pot'])
  expect(reads).toEqual(['pot', 'hook'])
  // so many that some lie in the places of others
  for (let i = 0; i < 50_000; i++) expect(tokensIn(`m${i} pot`, tokens)).toEqual([`m${i}`, 'pot'])
  expect(reads.filter((text) => text === 'pot').length).toBe(2)
})
