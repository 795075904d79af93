// How often the range of what a clip would earn holds for clips of creators who were left out, where it is told by the category. Run: npx tsx scripts/clip-earnings.ts
import { buildCatalog, ItemMaker, noCorrections, plainRules, toHome } from '../core/catalog'
import { clipRules, itemOutlook, mergeClips, type Clip } from '../core/social'
import { asideMakes, demoMake, demoRates, makeWorld, otherMakes, type World } from '../standins'
import { demoCaptures } from './demo-captures'
import { otherSize } from './estimate-worlds'

async function tried(world: World): Promise<{ item: [number, number]; category: [number, number] }> {
  const captures = await demoCaptures(world)
  const rules = { ...plainRules('EUR'), rates: demoRates }
  const maker = new ItemMaker(await buildCatalog(captures), rules, noCorrections)
  const clips = mergeClips(captures, (currency) => toHome(currency, rules))
  const byItem = new Map<number, Clip[]>()
  for (const clip of clips) {
    const place = clip.listing === null ? null : maker.find(clip.listing)
    if (place !== null) byItem.set(place, [...(byItem.get(place) ?? []), clip])
  }
  const items = new Map([...byItem.keys()].map((place) => [place, maker.at(place, false)]))
  const counts = { item: [0, 0] as [number, number], category: [0, 0] as [number, number] }
  for (const [place, own] of byItem) {
    const item = items.get(place)
    if (!item) continue
    const alike = [...byItem].flatMap(([other, its]) => {
      const another = items.get(other)
      if (other === place || !another || another.category !== item.category) return []
      const factor = item.units === null || !another.units ? null : item.units / another.units
      return its.map((clip) => ({ clip, factor }))
    })
    for (const clip of own) {
      if (clip.units === null) continue
      const prices = item.listings.filter((l) => l.market === clip.market).flatMap((l) => l.priceE4 ?? [])
      const priceE4 = prices.length === 0 ? null : Math.min(...prices)
      const on = { listings: new Set<string>(), priceE4, commission: clip.commission }
      const others = own.filter((c) => c.creator !== clip.creator)
      const outlook = itemOutlook(
        others,
        alike.filter((a) => a.clip.creator !== clip.creator),
        { item: on, rules: clipRules },
      )
      if (!outlook?.range || clip.revenueE4 === null || clip.commission === null) continue
      const earned = Math.round(clip.revenueE4 * clip.commission)
      const count = counts[outlook.by]
      count[0]++
      if (earned >= outlook.range.lowE4 && earned <= outlook.range.highE4) count[1]++
    }
  }
  return counts
}

const told = ([of, held]: readonly [number, number]) =>
  of === 0 ? '–' : `${((100 * held) / of).toFixed(1)} % of ${of}`
console.log('| world | by the item’s own clips | by its category |\n|---|---:|---:|')
for (const [name, world] of [
  ['the demo', makeWorld()] as const,
  ...[...otherMakes, ...asideMakes, demoMake].map(
    (make) => [make.name, makeWorld({ ...otherSize, seed: 5, make })] as const,
  ),
]) {
  const { item, category } = await tried(world)
  console.log(`| ${name} | ${told(item)} | ${told(category)} |`)
}
