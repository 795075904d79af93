import { detectEncoding, looksBinary } from './decode-text'

const utf16 = (text: string, isLittle: boolean) =>
  Uint8Array.from([...text].flatMap((c) => (isLittle ? [c.charCodeAt(0), 0] : [0, c.charCodeAt(0)])))
const bytes = (...some: (number[] | Uint8Array)[]) => Uint8Array.from(some.flatMap((part) => [...part]))
const utf8 = (text: string) => new TextEncoder().encode(text)

test('a byte order mark names the encoding (Unicode 15, 23.8), whatever follows', () => {
  expect(detectEncoding(bytes([0xff, 0xfe], utf8('Kärnten')))).toBe('utf-16le')
  expect(detectEncoding(bytes([0xfe, 0xff], utf8('Kärnten')))).toBe('utf-16be')
  // half of a mark is none
  expect(detectEncoding(bytes([0xff, 0xff], utf8('abc')))).toBe('windows-1252')
  expect(detectEncoding(bytes([0xfe, 0xfe], utf8('abc')))).toBe('windows-1252')
  expect(detectEncoding(bytes([0x41, 0xfe], utf8('abc')))).toBe('windows-1252')
  expect(detectEncoding(bytes([0x41, 0xff], utf8('abc')))).toBe('windows-1252')
})

test('without one, two bytes a letter are known by their zeros: those before or behind the letters', () => {
  const text = 'Item;Price;Sold last month\nBird bath;24,00;15\n'
  for (const long of [text, text.repeat(200)]) {
    expect(detectEncoding(utf16(long, true))).toBe('utf-16le')
    expect(detectEncoding(utf16(long, false))).toBe('utf-16be')
  }
  // letters of the far east have no zeros: the signs between them do
  const mixed = '鳥の,4\n'.repeat(40)
  const both = (isLittle: boolean) =>
    Uint8Array.from(
      [...mixed].flatMap((c) => {
        const [high, low] = [c.charCodeAt(0) >> 8, c.charCodeAt(0) & 255]
        return isLittle ? [low, high] : [high, low]
      }),
    )
  expect(detectEncoding(both(true))).toBe('utf-16le')
  expect(detectEncoding(both(false))).toBe('utf-16be')
  // zeros on both sides are no text of two bytes, and a few of one side are not either
  expect(detectEncoding(new Uint8Array(100))).toBe('utf-8')
  const few = utf8('a'.repeat(100))
  for (let i = 1; i < 20; i += 2) few[i] = 0
  expect(detectEncoding(few)).toBe('utf-8')
})

test('what is no UTF-8 is Windows-1252; a letter that is cut by the end of a piece is no fault, at the end of a file it is', () => {
  expect(detectEncoding(utf8('Kärnten, 鳥'))).toBe('utf-8')
  expect(detectEncoding(bytes(utf8('K'), [0xe4], utf8('rnten')))).toBe('windows-1252')
  const cut = utf8('Kä').subarray(0, 2)
  expect(detectEncoding(cut, false)).toBe('utf-8')
  expect(detectEncoding(cut, true)).toBe('windows-1252')
  expect(detectEncoding(cut)).toBe('windows-1252')
  expect(detectEncoding(new Uint8Array(0))).toBe('utf-8')
})

test('zeros and signs of control in a file are a program’s data; tabs, line ends, form feeds and escapes are text', () => {
  expect(looksBinary(new Uint8Array(0))).toBe(false)
  expect(looksBinary(utf8('a\tb\nc\rd\fe\u000b\u001b[0m'))).toBe(false)
  expect(looksBinary(bytes(utf8('abc'), [0], utf8('def'.repeat(50))))).toBe(true)
  expect(looksBinary(utf16('Item;Price\n'.repeat(9), true))).toBe(false)
  expect(looksBinary(utf16('Item;Price\n'.repeat(9), false))).toBe(false)
  // more than two in a hundred
  const withSigns = (signs: number, sign: number) =>
    bytes(new Array<number>(signs).fill(sign), utf8('x'.repeat(100 - signs)))
  for (const sign of [1, 8, 14, 26, 28, 31]) {
    expect(looksBinary(withSigns(2, sign))).toBe(false)
    expect(looksBinary(withSigns(3, sign))).toBe(true)
  }
  for (const sign of [9, 13, 27, 32]) expect(looksBinary(withSigns(50, sign))).toBe(false)
  // only its beginning is looked at
  expect(looksBinary(bytes(utf8('x'.repeat(4000)), [0]))).toBe(false)
  expect(looksBinary(bytes(utf8('x'.repeat(3999)), [0]))).toBe(true)
})
