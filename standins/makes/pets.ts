import { capital, goodsOf, nounOf, packSaid, promiseOf, said, sizeOf } from './goods-of'
import type { Writing } from './world-make'

const soft = ['gris', 'beige', 'bleu']

/** What pets and small children need, in French. */
export const petGoods = goodsOf({ branch: 'Animaux', cost: 0.27, shape: 'bag', packs: [1, 2] }, [
  [
    'gamelle pour chien',
    ['écuelle chien', 'bol pour chien'],
    ['Gamelles', 11.9],
    ['16 cm', '21 cm', '25 cm'],
    ['inox', 'noir', 'rouge'],
    [1, 2, 3],
  ],
  [
    'laisse réglable',
    ['laisse ajustable chien'],
    ['Promenade', 13.9],
    ['1,2 m', '2 m', '3 m'],
    ['noir', 'rouge', 'vert'],
    [1, 2],
  ],
  [
    'griffoir en carton',
    ['carton à griffer chat'],
    ['Chats', 14.9],
    ['40 x 20 cm', '45 x 25 cm'],
    ['naturel', 'gris'],
    [1, 2, 3],
  ],
  ['coussin pour chat', ['panier chat coussin'], ['Couchage', 24.9], ['45 cm', '60 cm', '75 cm'], soft, [1]],
  [
    'rouleau de sacs à crottes',
    ['rouleau ramasse-crottes'],
    ['Promenade', 1.9],
    ['23 x 33 cm', '30 x 40 cm'],
    ['noir', 'vert'],
    [4, 8, 16],
  ],
  ['balle sonore', ['balle à couinement'], ['Jouets', 4.5], ['6 cm', '8 cm'], ['jaune', 'rouge', 'bleu'], [1, 2, 3]],
  [
    'bavoir en silicone',
    ['bavoir silicone bébé'],
    ['Bébé', 8.9],
    ['22 cm', '26 cm'],
    ['vert', 'rose', 'beige'],
    [1, 2, 3],
  ],
  ['assiette à ventouse', ['assiette antidérapante bébé'], ['Bébé', 12.9], ['18 cm', '22 cm'], soft, [1, 2]],
  [
    'fontaine à eau',
    ['abreuvoir fontaine pour chat'],
    ['Gamelles', 29.9],
    ['1,5 l', '2 l', '3 l'],
    ['blanc', 'gris'],
    [1],
  ],
  ['tapis de change', ['matelas à langer'], ['Bébé', 19.9], ['60 x 50 cm', '70 x 50 cm'], soft, [1, 2]],
  [
    'brosse pour poils',
    ['brosse démêlante poils'],
    ['Soins', 9.9],
    ['12 cm', '17 cm'],
    ['rose', 'bleu', 'noir'],
    [1, 2],
  ],
])

/** What it is first, its size and colour in any order, a promise behind; packs as "lot de 3". */
export const frenchWriting: Writing = {
  title: (v, random, sloppiness = 1) => {
    const noun = nounOf(v, random, sloppiness)
    const size = sizeOf(v, random, 0.3)
    const parts = said([v.colour, size, frenchWriting.pack(v.pack, random)])
    if (random.happens(0.4 * sloppiness)) parts.reverse()
    const promise = promiseOf(promises, random, sloppiness)
    return capital([noun, ...parts, ...promise].join(random.happens(0.5) ? ', ' : ' '))
  },
  pack: packSaid(['lot de #', 'x#', '# pièces', 'pack de #', 'ensemble de #', 'par #']),
}
const promises = ['qualité supérieure', 'livraison offerte', 'idée cadeau', 'NOUVEAU', 'facile à laver']
