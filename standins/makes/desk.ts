import { goodsOf, nounOf, packSaid, promiseOf, said, sizeOf } from './goods-of'
import type { Writing } from './world-make'

const plain = ['schwarz', 'weiß', 'grau']

/** What stands and hangs at a desk, in German. */
export const deskGoods = goodsOf({ branch: 'Büro', cost: 0.3, shape: 'hook', packs: [1, 2, 3] }, [
  [
    'Ladekabel USB-C',
    ['USB C Ladekabel', 'Schnellladekabel USB-C'],
    ['Kabel', 7.9],
    ['1 m', '2 m', '3 m'],
    plain,
    [1, 2, 3],
  ],
  ['Schreibtischlampe', ['Tischlampe LED', 'LED-Schreibtischleuchte'], ['Licht', 29.9], ['35 cm', '45 cm'], plain, [1]],
  [
    'Monitorständer',
    ['Bildschirmständer', 'Monitor Ständer'],
    ['Ständer', 24.9],
    ['40 cm', '55 cm'],
    ['schwarz', 'Bambus', 'weiß'],
    [1, 2],
  ],
  [
    'Kabelbinder mit Klett',
    ['Klettkabelbinder', 'Klettband Kabelbinder'],
    ['Kabel', 0.5],
    ['15 cm', '20 cm', '30 cm'],
    ['schwarz', 'bunt'],
    [10, 20, 50],
  ],
  [
    'Mauspad',
    ['Mausunterlage', 'Mousepad'],
    ['Unterlagen', 9.9],
    ['25 x 20 cm', '80 x 30 cm', '90 x 40 cm'],
    ['schwarz', 'grau', 'rosa'],
    [1, 2],
  ],
  ['Notizbuch liniert', ['liniertes Notizbuch'], ['Papier', 6.5], ['A5', 'A6'], ['schwarz', 'blau', 'rot'], [1, 2, 5]],
  [
    'Stiftehalter',
    ['Stifteköcher', 'Stiftebox'],
    ['Ordnung', 8.9],
    ['9 cm', '12 cm'],
    ['schwarz', 'weiß', 'Eiche'],
    [1, 2],
  ],
  [
    'Handyhalter',
    ['Handyständer', 'Smartphone-Halterung'],
    ['Ständer', 11.9],
    ['10 cm', '14 cm'],
    ['silber', 'schwarz'],
    [1, 2],
  ],
  ['Textmarker', ['Leuchtmarker'], ['Stifte', 0.9], ['2 mm', '5 mm'], ['gelb', 'grün', 'rosa'], [4, 6, 10]],
  [
    'Schubladeneinsatz',
    ['Schubladen-Organizer'],
    ['Ordnung', 13.5],
    ['23 x 15 cm', '30 x 23 cm'],
    ['weiß', 'grau'],
    [1, 2, 4],
  ],
  [
    'Fußstütze',
    ['Fußablage für Schreibtisch'],
    ['Ständer', 27.5],
    ['40 x 30 cm', '45 x 35 cm'],
    ['schwarz', 'grau'],
    [1],
  ],
])

/** Compounds, commas and short forms; packs as "3er Set". */
export const germanWriting: Writing = {
  title: (v, random, sloppiness = 1) => {
    const noun = nounOf(v, random, sloppiness)
    const parts = said([sizeOf(v, random, 0.4), v.colour, germanWriting.pack(v.pack, random)])
    if (random.happens(0.3 * sloppiness)) parts.reverse()
    const claim = promiseOf(claims, random, sloppiness)
    const joined = random.happens(0.5) ? [noun, ...parts, ...claim].join(', ') : [...claim, noun, ...parts].join(' ')
    return random.happens(0.05 * sloppiness) ? joined.toUpperCase() : joined
  },
  pack: packSaid(['#er Set', '# Stück', '#er Pack', '#x', '# Stk.', 'Set à # Stück']),
}
const claims = ['NEU', 'Top Qualität', 'ideal fürs Homeoffice', 'hochwertig', 'versandkostenfrei']
