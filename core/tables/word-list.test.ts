import fc from 'fast-check'
import { PackedWords, packWords } from '.'

const encoder = new TextEncoder()

test('packed words are what they were, in whatever order they are asked for', () => {
  const plain = fc.stringMatching(/^[ -~]{0,9}$/)
  const word = fc.oneof({ weight: 9, arbitrary: plain }, fc.constantFrom('Dúzia', '小鳥', '🌱 seeds', '\ufeffmark', ''))
  const step = fc.oneof({ weight: 4, arbitrary: fc.constantFrom(1, 1, 1, -1, 0) }, fc.integer({ min: -200, max: 200 }))
  fc.assert(
    fc.property(fc.array(word, { maxLength: 120 }), fc.array(step, { maxLength: 150 }), (words, steps) => {
      const packed = new PackedWords(packWords(words))
      let at = 0
      for (const by of steps) expect(packed.at((at = Math.abs(at + by)))).toBe(words[at])
    }),
    { numRuns: 500 },
  )
})

test('a letter that is cut in two by the end of a word is not put together again', () => {
  const letter = encoder.encode('é')
  const words = Array.from({ length: 40 }, (_, i) =>
    i === 20 ? letter.slice(0, 1) : i === 21 ? letter.slice(1) : [97 + (i % 26)],
  )
  const ends = new Uint32Array(words.length)
  words.forEach((word, i) => (ends[i] = word.length + (i === 0 ? 0 : (ends[i - 1] as number))))
  const packed = new PackedWords({ bytes: Uint8Array.from(words.flatMap((word) => [...word])), ends })
  const read = words.map((_, i) => packed.at(i))
  expect(read.slice(19, 23)).toEqual(['t', '\ufffd', '\ufffd', 'w'])
})

/** Lengths of what is decoded while something is done. */
function decodedBy(work: () => void): number[] {
  const lengths: number[] = []
  const whole = Object.getOwnPropertyDescriptor(TextDecoder.prototype, 'decode') as PropertyDescriptor
  const decode = whole.value as TextDecoder['decode']
  Object.defineProperty(TextDecoder.prototype, 'decode', {
    ...whole,
    value(this: TextDecoder, bytes: Uint8Array) {
      lengths.push(bytes.length)
      return decode.call(this, bytes)
    },
  })
  work()
  Object.defineProperty(TextDecoder.prototype, 'decode', whole)
  return lengths
}

test('words that are asked for one after the other are decoded by the bunch, those here and there one by one', () => {
  const all = packWords(Array.from({ length: 4000 }, (_, i) => `word ${i}`))
  const packed = new PackedWords(all)
  const inTurn = decodedBy(() => {
    for (let i = 0; i < 1600; i++) packed.at(i)
  })
  expect(inTurn.length).toBeLessThan(110)
  const scattered = new PackedWords(all)
  const hereAndThere = decodedBy(() => {
    for (let i = 0; i < 100; i++) scattered.at((i * 977) % 4000)
  })
  expect(hereAndThere).toHaveLength(100)
  expect(Math.max(...hereAndThere)).toBeLessThan(10)
})
