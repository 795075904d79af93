import fc from 'fast-check'
import { SaxesParser } from 'saxes'
import { XmlScanner, type XmlHandler } from './xml-scanner'

/** Everything a scanner tells of a text, read in pieces of this size. */
function told(xml: string, piece = 1e9, wanted = ['r', 's', 't']): unknown[] {
  const events: unknown[] = []
  const handler: XmlHandler = {
    wantsText: true,
    open: (name, tag) => events.push(['open', name, ...wanted.map((a) => tag.attribute(a))]),
    close: (name) => events.push(['close', name]),
    text: (text) => {
      const last = events[events.length - 1]
      if (Array.isArray(last) && last[0] === 'text') last[1] = String(last[1]) + text
      else events.push(['text', text])
    },
  }
  const scanner = new XmlScanner(handler, 'x.xlsx')
  const bytes = new TextEncoder().encode(xml)
  for (let at = 0; at < bytes.length; at += piece) scanner.push(bytes.subarray(at, at + piece))
  scanner.end()
  return events
}

const sample =
  '<?xml version="1.0"?><!-- a <c> in a comment --><x:row xmlns:x="m" r="7" spans=\'1:3\'><c r="A7" t="s" s = "12"/><c r="B>7"><v>1 &lt; 2 &amp;#é鳥</v></c><t><![CDATA[a <b> c]]></t></x:row>'

test('elements, attributes, texts, comments and CDATA', () => {
  expect(told(sample)).toEqual([
    ['open', 'row', '7', null, null],
    ['open', 'c', 'A7', '12', 's'],
    ['close', 'c'],
    ['open', 'c', 'B>7', null, null],
    ['open', 'v', null, null, null],
    ['text', '1 < 2 &#é鳥'],
    ['close', 'v'],
    ['close', 'c'],
    ['open', 't', null, null, null],
    ['text', 'a <b> c'],
    ['close', 't'],
    ['close', 'row'],
  ])
})

/** The same, as the saxes library tells it. */
function toldBySaxes(xml: string, wanted: readonly string[]): unknown[] {
  const events: unknown[] = []
  const local = (name: string) => name.slice(name.indexOf(':') + 1)
  const text = (said: string) => {
    const last = events[events.length - 1]
    if (Array.isArray(last) && last[0] === 'text') last[1] = String(last[1]) + said
    else events.push(['text', said])
  }
  const parser = new SaxesParser({ position: false })
  parser.on('opentag', (tag) => {
    const { name, attributes } = tag as { name: string; attributes: Record<string, string> }
    const byName = new Map(Object.entries(attributes).map(([n, value]) => [local(n), value]))
    events.push(['open', local(name), ...wanted.map((a) => byName.get(a) ?? null)])
  })
  parser.on('closetag', ({ name }) => events.push(['close', local(name)]))
  parser.on('text', text)
  parser.on('cdata', text)
  parser.write(xml).close()
  return events
}

test('random documents are told as the saxes library tells them, in whatever pieces they come', () => {
  const pick = (...some: string[]) => fc.constantFrom(...some)
  const words = fc
    .array(
      pick(
        'a',
        'Kärnten',
        '鳥',
        '&amp;',
        '&#233;',
        '&#x1F514;',
        '&lt;',
        ' ',
        'b>c',
        '🔔',
        '7',
        'lange Worte ohne Ende',
      ),
    )
    .map((parts) => parts.join(''))
  const inQuotes = fc
    .tuple(words, pick('"', "'"), pick('', ' ', '  '), pick('', ' '))
    .map(([value, mark, before, after]) => `${before}=${after}${mark}${value.replaceAll('<', '')}${mark}`)
  const attributes = fc
    .uniqueArray(pick('r', 's', 't', 'x:id', 'sheetId', 'spans', 'rr', 'xt'), { maxLength: 5 })
    .chain((names) => fc.tuple(...names.map((name) => inQuotes.map((value) => ` ${name}${value}`))))
    .map((parts) => parts.join(''))
  const aside = pick('<!-- a <c r="1"> -- -->'.replace(' -- ', ' - '), '<?go on?>', '<![CDATA[a <b> ]] c]]>', '')
  const { tree } = fc.letrec<{ tree: string }>((tie) => ({
    tree: fc
      .tuple(
        pick('row', 'c', 'v', 'x:c', 'worksheetPart', 'is'),
        attributes,
        pick('', ' ', '\n'),
        fc.oneof(
          { maxDepth: 3 },
          fc.constant(null),
          fc.array(fc.oneof({ maxDepth: 3 }, words, aside, tie('tree')), { maxLength: 4 }),
        ),
      )
      .map(([name, said, space, inside]) =>
        inside === null ? `<${name}${said}${space}/>` : `<${name}${said}${space}>${inside.join('')}</${name}${space}>`,
      ),
  }))
  const wanted = ['r', 's', 't', 'id', 'Id']
  fc.assert(
    fc.property(tree, pick('', '<?xml version="1.0"?>\n'), fc.integer({ min: 1, max: 400 }), (xml, head, piece) => {
      const mine = told(head + xml, piece, wanted).filter(
        (e) => !(Array.isArray(e) && e[0] === 'text' && e[1] === '\n'),
      )
      const theirs = toldBySaxes(head + xml, wanted).filter(
        (e) => !(Array.isArray(e) && e[0] === 'text' && e[1] === '\n'),
      )
      expect(mine).toEqual(theirs)
    }),
    { numRuns: 400 },
  )
})

test('a tag may have 65,536 bytes, and elements nest 64 deep; a letter at the end of a piece waits for the rest of it', () => {
  const long = (bytes: number) => `<c r="${'1'.repeat(bytes)}`
  expect(() => told(`${long(65_000)}"/>`, 1000)).not.toThrow()
  expect(() => told(long(65_600), 1000)).toThrow(/tag is longer/)
  expect(() => told(`${'<a>'.repeat(64)}${'</a>'.repeat(64)}`)).not.toThrow()
  expect(() => told('<a>'.repeat(65))).toThrow(/nests deeper/)
  expect(() => told(`<a><![CDATA[${'x'.repeat(4_000_100)}`, 100_000)).toThrow(/longer than any cell/)
  expect(() => told('<a><!DOCTYP')).toThrow(/ends in the middle/)
  expect(() => told('<a><!DOCTYPE')).toThrow(/document type/)
})

test('text is told only where it is wanted', () => {
  const texts: string[] = []
  const scanner = new XmlScanner(
    { wantsText: false, open: () => undefined, close: () => undefined, text: (t) => texts.push(t) },
    'x',
  )
  scanner.push(new TextEncoder().encode('<a>one<b><![CDATA[two]]></b>three</a>'))
  expect(texts).toEqual([])
})

test('in whatever pieces it comes', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 60 }), (piece) => {
      expect(told(sample, piece)).toEqual(told(sample))
    }),
  )
})

test('entities by name and by number; what is none stays', () => {
  const text = (xml: string) => (told(`<v>${xml}</v>`)[1] as string[])[1]
  expect(text('&quot;&apos;&#65;&#x42;&#x1F514;')).toBe('"\'AB🔔')
  expect(text('&nope; &; &#xFFFFFFF; AT&T')).toBe('&nope; &; &#xFFFFFFF; AT&T')
  expect(text('a&#0;b')).toBe('ab')
})

test('an attribute is found by its whole name', () => {
  expect(told('<sheet sheetId="9" r:id="r1" xid="no"/>', 1e9, ['id', 'sheetId', 'Id'])[0]).toEqual([
    'open',
    'sheet',
    'r1',
    '9',
    null,
  ])
})

test.each([
  ['a document type', '<!DOCTYPE x [<!ENTITY a "b">]><x/>', /declares a document type/],
  ['a tag without end', `<c r="${'1'.repeat(70_000)}"`, /tag is longer/],
  ['depth', '<a>'.repeat(80), /nests deeper/],
  ['an end in the middle', '<a><b></b>', /ends in the middle/],
  ['a tag that is cut', '<a/><workbook', /ends in the middle/],
  ['a comment without end', '<a/><!-- and', /ends in the middle/],
])('%s is refused', (_, xml, reason) => {
  expect(() => told(xml)).toThrow(reason)
})

test.each(['a', 'ab', ']', 'a]]', '<b>', '&amp;'])('CDATA is text as it stands: %j', (text) => {
  const events = told(`<t><![CDATA[${text}]]></t>`)
  expect(events).toEqual([
    ['open', 't', null, null, null],
    ['text', text],
    ['close', 't'],
  ])
})

test('a tag or a text that a long piece ends in the midst of is no long one', () => {
  const cells = '<c r="A7"/>'.repeat(400_000)
  const pushed = (first: string, second: string) => {
    const opened: string[] = []
    const texts: string[] = []
    const scanner = new XmlScanner(
      {
        wantsText: true,
        open: (name) => opened.push(name),
        close: () => undefined,
        text: (text) => texts.push(text),
      },
      'x.xlsx',
    )
    for (const part of [`<row>${cells}${first}`, `${second}</row>`]) scanner.push(new TextEncoder().encode(part))
    scanner.end()
    return [opened.length, texts.join('')]
  }
  expect(pushed('<c r="B', '8"/>')).toEqual([400_002, ''])
  expect(pushed('<t><![CDATA[of ', 'stone]]></t>')).toEqual([400_002, 'of stone'])
})
