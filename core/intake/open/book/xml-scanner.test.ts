import fc from 'fast-check'
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
