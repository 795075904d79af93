import type { Shape } from './archetypes'

const inks: Record<string, string> = {
  green: '#5c8a5a', black: '#3b3f3c', white: '#e9e6dc', terracotta: '#c0704a', clear: '#b9d3d6', blue: '#5f86ab', copper: '#b5764a',
  natural: '#c9ab7c', sage: '#9fb193', anthracite: '#4d5557', cream: '#e8dcc0', rust: '#a4552f', red: '#b34a3f', teal: '#3f8079',
  olive: '#7f8350', grey: '#9a9d98', silver: '#b4b9ba', pink: '#d59aa3', mustard: '#cf9f3d', navy: '#34476a', yellow: '#dcbb4c', ochre: '#c28b3a',
} // prettier-ignore
const grounds = ['#e4ece4', '#f1e6cf', '#dde6ee', '#f0dcd3', '#e6e9d2', '#e7dcea']

/** What stands in the middle of a picture, in a 64 × 64 field; `c` is the colour of the goods, `d` a darker line. */
const shapes: Record<Shape, (c: string, d: string) => string> = {
  feeder: (c, d) =>
    `<path d="M20 24 32 14 44 24Z" fill="${d}"/><rect x="22" y="24" width="20" height="22" rx="2" fill="${c}"/><path d="M18 46h28M32 8v6" stroke="${d}" stroke-width="3"/><circle cx="32" cy="36" r="3.5" fill="${d}"/>`,
  planter: (c, d) =>
    `<path d="M12 34h40l-4 16H16Z" fill="${c}"/><path d="M20 34c0-9 5-14 5-14s4 7 1 14m4 0c0-12 4-18 4-18s5 9 2 18m3 0c0-8 6-12 6-12s1 7-2 12" fill="none" stroke="#5c8a5a" stroke-width="3"/><path d="M12 34h40" stroke="${d}" stroke-width="3"/>`,
  spikes: (c, d) =>
    `<path d="M18 14h6v24l-3 12-3-12zM29 14h6v24l-3 12-3-12zM40 14h6v24l-3 12-3-12z" fill="${c}" stroke="${d}"/>`,
  house: (c, d) =>
    `<path d="M14 28 32 12l18 16z" fill="${d}"/><rect x="18" y="28" width="28" height="24" fill="${c}"/><circle cx="32" cy="37" r="5" fill="${d}"/><path d="M32 44v5" stroke="${d}" stroke-width="2.5"/>`,
  ball: (c, d) =>
    `<circle cx="32" cy="34" r="17" fill="${c}"/><path d="M18 26q14 10 28 0M16 36q16 12 32 0M32 8v9" fill="none" stroke="${d}" stroke-width="2"/>`,
  hook: (c, d) =>
    `<path d="M20 14h16v22a8 8 0 0 1-16 0" fill="none" stroke="${c}" stroke-width="7"/><path d="M20 14h16v22a8 8 0 0 1-16 0" fill="none" stroke="${d}" stroke-width="1.5"/>`,
  bath: (c, d) =>
    `<path d="M12 32h40q-4 14-20 14T12 32z" fill="${c}"/><path d="M32 10 14 32m18-22 18 22M32 10v22" stroke="${d}" stroke-width="2" fill="none"/>`,
  tool: (c, d) => `<path d="M28 10h8v16h-8z" fill="${d}"/><path d="M24 26h16q3 16-8 28-11-12-8-28z" fill="${c}"/>`,
  pot: (c, d) =>
    `<path d="M18 26h28l-4 24H22z" fill="${c}"/><path d="M16 22h32v6H16z" fill="${d}"/><path d="M32 22V12m0 4q8-8 12-4-2 7-12 6" stroke="#5c8a5a" fill="none" stroke-width="2.5"/>`,
  net: (c, d) =>
    `<path d="M12 50Q32 2 52 50z" fill="${c}" opacity=".5"/><path d="M12 50Q32 2 52 50zM20 50V33m8 17V24m8 26V24m8 26V33M17 40h30M22 31h20" fill="none" stroke="${d}" stroke-width="1.6"/>`,
  mug: (c, d) =>
    `<rect x="16" y="18" width="26" height="30" rx="4" fill="${c}" stroke="${d}" stroke-width="1.5"/><path d="M42 24q10 0 10 9t-10 9" fill="none" stroke="${d}" stroke-width="4"/><path d="M22 36q6-9 12-3l4-1-4 4q-5 7-12 0z" fill="#a4552f"/>`,
  towel: (c, d) =>
    `<path d="M20 10h24v44H20z" fill="${c}" stroke="${d}" stroke-width="1.5"/><path d="M20 46h24M20 49h24" stroke="#a4552f" stroke-width="1.5"/><path d="M26 32q6-9 11-3l4-1-4 4q-5 7-11 0z" fill="#3f8079"/>`,
  bag: (c, d) =>
    `<path d="M16 24h32l3 30H13z" fill="${c}" stroke="${d}" stroke-width="1.5"/><path d="M24 24q0-14 8-14t8 14" fill="none" stroke="${d}" stroke-width="3"/><path d="M25 40q6-9 12-3l4-1-4 4q-5 7-12 0z" fill="#b5764a"/>`,
  sheet: (c, d) =>
    `<rect x="16" y="12" width="32" height="42" rx="2" fill="#fbf8f1" stroke="${d}"/><path d="M21 20h22M21 26h22M21 32h14M21 38h22M21 44h10" stroke="${c}" stroke-width="2.5"/>`,
  label: (c, d) =>
    `<path d="M14 18h26l10 14-10 14H14z" fill="${c}" stroke="${d}" stroke-width="1.5"/><circle cx="41" cy="32" r="3" fill="#fbf8f1"/><path d="M19 27h14M19 33h14M19 39h9" stroke="${d}" stroke-width="1.8"/>`,
  calendar: (c, d) =>
    `<rect x="14" y="16" width="36" height="34" rx="3" fill="#fbf8f1" stroke="${d}"/><path d="M14 19a3 3 0 0 1 3-3h30a3 3 0 0 1 3 3v7H14z" fill="${c}"/><path d="M20 33h5m5 0h5m5 0h5m-25 8h5m5 0h5" stroke="${d}" stroke-width="3"/>`,
}

/** A drawn picture of goods, 64 × 64, as SVG. Unknown names give null. */
export function picture(shape: string, colour: string): string | null {
  const draw = Object.hasOwn(shapes, shape) ? shapes[shape as Shape] : null
  if (!draw) return null
  const ink = inks[colour] ?? '#9fb193'
  const ground = grounds[(shape.length * 3 + colour.length) % grounds.length] as string
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 64 64"><rect width="64" height="64" rx="8" fill="${ground}"/>${draw(ink, '#3d4a42')}</svg>`
}

export function pictureName(shape: Shape, colour: string | null): string {
  return `${shape}-${colour ?? 'sage'}.svg`
}
