import { readdirSync, readFileSync } from 'node:fs'
import { applyPalette, palettes } from './palette'

/** Relative luminance of a colour. Source: W3C, WCAG 2.2, definition of relative luminance. */
function luminance(hex: string): number {
  const parts = [1, 3, 5].map((at) => parseInt(hex.slice(at, at + 2), 16) / 255)
  const [r = 0, g = 0, b = 0] = parts.map((c) => (c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4))
  return 0.2126 * r + 0.7152 * g + 0.0722 * b
}
function contrast(a: string, b: string): number {
  const [light, dark] = [luminance(a), luminance(b)].sort((x, y) => y - x) as [number, number]
  return (light + 0.05) / (dark + 0.05)
}

describe.each(['light', 'dark'] as const)('the %s palette', (name) => {
  const p = palettes[name]

  // WCAG 2.2, 1.4.3: text 4.5 to 1
  test.each([
    ['ink', 'paper'],
    ['ink', 'panel'],
    ['ink', 'sunk'],
    ['quiet', 'paper'],
    ['quiet', 'panel'],
    ['moss', 'panel'],
    ['moss', 'paper'],
    ['clay', 'panel'],
    ['clay', 'claySoft'],
    ['wheatInk', 'wheatSoft'],
    ['slate', 'slateSoft'],
    ['onMain', 'moss'],
  ] as const)('%s on %s can be read', (text, ground) => {
    expect(contrast(p[text], p[ground])).toBeGreaterThanOrEqual(4.5)
  })

  test('the page has every colour under its own name', () => {
    const set = new Map<string, string>()
    const root = {
      style: { setProperty: (name: string, colour: string) => set.set(name, colour) },
    } as unknown as HTMLElement
    applyPalette(root, p)
    expect(set.size).toBe(Object.keys(p).length)
    expect(set.get('--moss-soft')).toBe(p.mossSoft)
  })
})

test('no other file writes a colour of the palette', () => {
  const colours = Object.values(palettes).flatMap((p) => Object.values(p) as string[])
  const files = readdirSync('web/src', { recursive: true, encoding: 'utf8' }).filter(
    (f) => /\.(vue|ts|css)$/.test(f) && !f.includes('theme/palette'),
  )
  const again = files.filter((f) => {
    const text = readFileSync(`web/src/${f}`, 'utf8').toLowerCase()
    return colours.some((c) => text.includes(c) && c !== '#ffffff')
  })
  expect(again).toEqual([])
})
