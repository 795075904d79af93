import { capital, goodsOf, nounOf, packSaid, promiseOf, said, sizeOf } from './goods-of'
import { modelOf, type Writing } from './world-make'

const steel = ['silver', 'black', 'red']
const glaze = ['white', 'grey', 'mint']

/** What is cooked with. */
export const kitchenGoods = goodsOf({ branch: 'Kitchen', cost: 0.28, shape: 'pot', packs: [1, 2, 4] }, [
  ['frying pan', ['skillet pan', 'fry pan'], ['Pans', 24.9], ['20 cm', '24 cm', '28 cm'], steel, [1, 2]],
  ['saucepan with lid', ['sauce pan and lid'], ['Pans', 29.9], ['1.5 l', '2 l', '3 l'], steel, [1]],
  ['mixing bowl', ['bowl for mixing'], ['Bowls', 12.5], ['1.5 l', '3 l', '5 l'], glaze, [1, 3]],
  [
    'storage jar',
    ['airtight jar', 'jar with clip lid'],
    ['Jars', 6.9],
    ['500 ml', '1 l', '2 l'],
    ['clear', 'amber'],
    [1, 4, 6],
  ],
  ['spice jar', ['jar for spices'], ['Jars', 1.6], ['100 ml', '120 ml'], ['clear', 'black'], [6, 12, 24]],
  [
    'baking tray',
    ['oven tray', 'baking sheet pan'],
    ['Baking', 13.9],
    ['33 x 23 cm', '40 x 30 cm'],
    ['grey', 'black'],
    [1, 2, 3],
  ],
  ['silicone spatula', ['rubber spatula'], ['Tools', 4.9], ['21 cm', '28 cm'], ['red', 'black', 'mint'], [1, 2, 4]],
  [
    'chopping board',
    ['cutting board'],
    ['Boards', 19.5],
    ['30 x 20 cm', '40 x 30 cm'],
    ['bamboo', 'white', 'green'],
    [1, 3],
  ],
  ['kitchen scale', ['digital scale for kitchen'], ['Tools', 16.9], ['5 kg', '10 kg'], steel, [1]],
  ['espresso cup', ['cup for espresso'], ['Cups', 5.4], ['80 ml', '100 ml'], glaze, [2, 4, 6]],
  ['oven glove', ['oven mitt'], ['Textiles', 7.9], ['30 cm', '36 cm'], ['grey', 'red', 'navy'], [1, 2]],
  ['tea infuser', ['loose tea strainer'], ['Tea', 5.9], ['4 cm', '6 cm'], steel, [1, 2]],
  ['muffin mould', ['cupcake mold'], ['Baking', 11.5], ['6 cups', '12 cups'], ['red', 'grey'], [1, 2]],
])

/** Number of the model first or last, the colour behind a dash, a claim in brackets; packs in few words. */
export const modelWriting: Writing = {
  title: (v, random, sloppiness = 1) => {
    const noun = nounOf(v, random, sloppiness)
    const model = random.happens(0.45) ? modelOf(v) : null
    const claim = promiseOf(['[Dishwasher safe]', '(BPA free)', '- Top rated -'], random, sloppiness)
    const size = sizeOf(v, random, 0.5)
    const colour = v.colour === null ? null : `- ${v.colour}`
    return capital(said([model, noun, size, colour, modelWriting.pack(v.pack, random), ...claim]).join(' '))
  },
  pack: packSaid(['#pk', '(# pack)', 'set of #', '#x', '# pcs', 'pack of #']),
}
