import { gtinCheckDigit } from '@sickle/core/identity'
import { moreColours, type Archetype } from './archetypes'
import type { WorldMake } from './makes/world-make'
import type { Chance } from './random'
import type { Goods, TrueStage, Variant } from './things'

/** Makes `count` different goods: a few sell most, as in any trade. */
export function makeGoods(count: number, random: Chance, make: WorldMake): Goods[] {
  const all = make.archetypes.flatMap((a) => allVariants(a, make.moreColours))
  const printed = all.filter((g) => g.archetype.kind !== 'physical')
  const physical = all.filter((g) => g.archetype.kind === 'physical')
  const chosen = [...shuffled(printed, random).slice(0, Math.floor(count * 0.2)), ...shuffled(physical, random)].slice(
    0,
    count,
  )
  if (chosen.length < count) throw new Error(`only ${chosen.length} different goods can be made`)
  return shuffled(chosen, random).map((g, id) => ({
    ...g,
    id,
    ...facts(g, random, make),
    gtin: random.happens(0.9) ? gtin(id) : null,
  }))
}

export function allVariants(archetype: Archetype, more: readonly string[] = moreColours): Variant[] {
  const list: Variant[] = []
  const physical = archetype.kind === 'physical'
  const colours = physical && archetype.colours ? [...new Set([...archetype.colours, ...more])] : archetype.colours
  const packs = archetype.packs ?? (physical ? [1, 2] : [1])
  for (const size of archetype.sizes ?? [null])
    for (const colour of colours ?? [null])
      for (const motif of archetype.motifs ?? [null])
        for (const pack of packs) list.push({ archetype, size, colour, motif, pack })
  return list
}

function facts({ archetype: a, pack, size }: Variant, random: Chance, { selling }: WorldMake) {
  const sizes = a.sizes ?? []
  const sizeFactor = size === null ? 1 : 0.85 + (0.35 * sizes.indexOf(size)) / Math.max(1, sizes.length - 1)
  const piece = a.price * sizeFactor * Math.exp(0.08 * random.normal())
  const packFactor = pack ** -0.12
  const roll = random.next()
  const stage: TrueStage =
    roll < 0.14 ? 'Ripening' : roll < 0.26 ? 'Fading' : roll < 0.32 ? 'Sprouting' : roll < 0.37 ? 'Flash' : 'Ripe'
  return {
    price: Math.round(piece * pack * packFactor * 100) / 100,
    pieceCost: Math.max(0.03, Math.round(piece * a.cost * packFactor * Math.exp(0.12 * random.normal()) * 100) / 100),
    demand: selling.demand(random),
    stage,
    turn: stage === 'Sprouting' ? random.between(0.72, 0.86) : random.between(0.55, 0.8),
  }
}

/** GTIN-13 from a range kept for use inside a shop (prefix 2), so that no real article bears it. */
function gtin(id: number): string {
  const body = `29${String(1000000000 + id * 7919).slice(-10)}`
  return body + String(gtinCheckDigit(body))
}

export function shuffled<T>(list: readonly T[], random: Chance): T[] {
  const out = [...list]
  for (let i = out.length - 1; i > 0; i--) {
    const j = Math.floor(random.next() * (i + 1))
    ;[out[i], out[j]] = [out[j] as T, out[i] as T]
  }
  return out
}
