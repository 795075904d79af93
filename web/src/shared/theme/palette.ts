/** Every colour of the interface, once: the page has them as CSS variables of these names, Naive UI as its theme. */
export interface Palette {
  paper: string
  panel: string
  sunk: string
  ink: string
  quiet: string
  line: string
  moss: string
  mossHover: string
  mossSoft: string
  wheat: string
  wheatInk: string
  wheatSoft: string
  clay: string
  claySoft: string
  slate: string
  slateSoft: string
  plum: string
  bar: string
  /** text on a moss ground */
  onMain: string
}

export const palettes: Record<'light' | 'dark', Palette> = {
  light: {
    paper: '#fbf8f1',
    panel: '#ffffff',
    sunk: '#f4efe3',
    ink: '#1f2a24',
    quiet: '#5c6559',
    line: '#e4ddcc',
    moss: '#1e6b5c',
    mossHover: '#248070',
    mossSoft: '#e2eee9',
    wheat: '#c98a1b',
    wheatInk: '#85590a',
    wheatSoft: '#f7ecd4',
    clay: '#a8482b',
    claySoft: '#f6e1d9',
    slate: '#3c5a78',
    slateSoft: '#e8eef4',
    plum: '#6d4c7d',
    bar: '#dcd3bd',
    onMain: '#ffffff',
  },
  dark: {
    paper: '#171c19',
    panel: '#1f2622',
    sunk: '#262e29',
    ink: '#e9ebe4',
    quiet: '#a3ad9f',
    line: '#38423b',
    moss: '#6fc4ae',
    mossHover: '#83d4bf',
    mossSoft: '#23403a',
    wheat: '#dfa742',
    wheatInk: '#e5b767',
    wheatSoft: '#40341c',
    clay: '#e58e72',
    claySoft: '#482a20',
    slate: '#93b6d8',
    slateSoft: '#27333f',
    plum: '#c3a3d3',
    bar: '#47524a',
    onMain: '#10201b',
  },
}

/** Gives the page the colours of a palette: `mossSoft` is `var(--moss-soft)` there. */
export function applyPalette(root: HTMLElement, palette: Palette): void {
  for (const [name, colour] of Object.entries<string>({ ...palette }))
    root.style.setProperty(`--${name.replace(/[A-Z]/g, (c) => `-${c.toLowerCase()}`)}`, colour)
}
