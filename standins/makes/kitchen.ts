import type { Archetype } from '../archetypes'
import type { Variant } from '../things'
import type { Chance } from '../random'
import { modelOf, type Writing } from './world-make'

const steel = ['silver', 'black', 'red']
const glaze = ['white', 'grey', 'mint']

const thing = (
  noun: string,
  also: string[],
  [group, price]: [string, number],
  sizes: string[],
  colours: string[],
  packs: number[] = [1, 2, 4],
): Archetype => ({
  noun,
  also,
  category: `Kitchen/${group}`,
  kind: 'physical',
  price,
  cost: 0.28,
  season: 'even',
  shape: 'pot',
  sizes,
  colours,
  packs,
})

/** What is cooked with. */
export const kitchenGoods: readonly Archetype[] = [
  thing('frying pan', ['skillet pan', 'fry pan'], ['Pans', 24.9], ['20 cm', '24 cm', '28 cm'], steel, [1, 2]),
  thing('saucepan with lid', ['sauce pan and lid'], ['Pans', 29.9], ['1.5 l', '2 l', '3 l'], steel, [1]),
  thing('mixing bowl', ['bowl for mixing'], ['Bowls', 12.5], ['1.5 l', '3 l', '5 l'], glaze, [1, 3]),
  thing(
    'storage jar',
    ['airtight jar', 'jar with clip lid'],
    ['Jars', 6.9],
    ['500 ml', '1 l', '2 l'],
    ['clear', 'amber'],
    [1, 4, 6],
  ),
  thing('spice jar', ['jar for spices'], ['Jars', 1.6], ['100 ml', '120 ml'], ['clear', 'black'], [6, 12, 24]),
  thing(
    'baking tray',
    ['oven tray', 'baking sheet pan'],
    ['Baking', 13.9],
    ['33 x 23 cm', '40 x 30 cm'],
    ['grey', 'black'],
    [1, 2, 3],
  ),
  thing(
    'silicone spatula',
    ['rubber spatula'],
    ['Tools', 4.9],
    ['21 cm', '28 cm'],
    ['red', 'black', 'mint'],
    [1, 2, 4],
  ),
  thing(
    'chopping board',
    ['cutting board'],
    ['Boards', 19.5],
    ['30 x 20 cm', '40 x 30 cm'],
    ['bamboo', 'white', 'green'],
    [1, 3],
  ),
  thing('kitchen scale', ['digital scale for kitchen'], ['Tools', 16.9], ['5 kg', '10 kg'], steel, [1]),
  thing('espresso cup', ['cup for espresso'], ['Cups', 5.4], ['80 ml', '100 ml'], glaze, [2, 4, 6]),
  thing('oven glove', ['oven mitt'], ['Textiles', 7.9], ['30 cm', '36 cm'], ['grey', 'red', 'navy'], [1, 2]),
  thing('tea infuser', ['loose tea strainer'], ['Tea', 5.9], ['4 cm', '6 cm'], steel, [1, 2]),
  thing('muffin mould', ['cupcake mold'], ['Baking', 11.5], ['6 cups', '12 cups'], ['red', 'grey'], [1, 2]),
]

/** Number of the model first or last, the colour behind a dash, a claim in brackets; packs in few words. */
export const modelWriting: Writing = {
  title: (v, random, sloppiness = 1) => {
    const noun = random.happens(0.3 * sloppiness) ? random.pick(v.archetype.also) : v.archetype.noun
    const model = random.happens(0.45) ? modelOf(v) : null
    const claim = random.happens(0.25 * sloppiness)
      ? random.pick(['[Dishwasher safe]', '(BPA free)', '- Top rated -'])
      : null
    const size = v.size === null ? null : random.happens(0.5) ? v.size.replace(/(\d) (\D+)$/, '$1$2') : v.size
    const parts = [model, noun, size, v.colour && `- ${v.colour}`, packOf(v, random), claim]
    return capital(parts.filter((p) => p !== null && p !== '').join(' '))
  },
  pack: (n, random) =>
    n === 1 ? null : random.pick([`${n}pk`, `(${n} pack)`, `set of ${n}`, `${n}x`, `${n} pcs`, `pack of ${n}`]),
}

const packOf = (v: Variant, random: Chance) => modelWriting.pack(v.pack, random)
const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1)
