import { differingRows, gatherRows, placesOf, textColumn, type Table } from '../tables'
import type { Capture } from '../records'
import { stepper, type WorkOptions } from './build-catalog'
import type { Catalog } from './catalog'
import { itemReach } from './item-reach'
import { renewLives } from './renew-lives'

/** What of each item counts where the seller looks at some markets alone: its listings there, and what is recorded there about it. */
export interface Lens {
  /** in their order */
  markets: readonly string[]
  /** listing → item; -1 where its market does not count */
  itemOf: Int32Array
  /** item → its listings that count, as in the catalog */
  starts: Int32Array
  members: Int32Array
  /** stage of life and reach by what counts, one row an item */
  life: Table
  reach: Table
  /** item → itself where all of it counts and its figures are those of the whole; -1 where they are not */
  sameAs: Int32Array
}

/**
 * Everything that figures through a lens are made of. Items keep their places, keys and names: what is left of one is a part of the same item.
 *
 * @param captures competing offers, clips and advertisements; other kinds are passed over
 * @throws Problem 'cancelled'
 */
export async function lensOn(
  catalog: Catalog,
  markets: readonly string[],
  captures: readonly Capture[],
  options: WorkOptions = {},
): Promise<Lens> {
  const step = stepper(options)
  const wanted = new Set(markets)
  const counted = countedListings(catalog, wanted)
  const sameAs = wholeItems(catalog, counted.starts)
  const life = await renewLives(catalog, { ...catalog, ...counted }, sameAs, (done) => step(0.7 * done))
  const reach = await reachOn(catalog, counted.itemOf, captures, wanted)
  await step(0.9)
  const reached = differingRows(catalog.reach, reach, sameAs)
  reached.forEach((differs, item) => differs === 1 && (sameAs[item] = -1))
  return { markets: [...wanted].sort(), ...counted, life, reach, sameAs }
}

function countedListings({ listings, itemOf, starts, members }: Catalog, wanted: ReadonlySet<string>) {
  const market = textColumn(listings, 'market')
  const counts = Uint8Array.from({ length: market.words.length }, (_, code) =>
    Number(wanted.has(market.words.at(code) ?? '')),
  )
  const seen = itemOf.map((item, l) => (counts[market.codes[l] as number] === 1 ? item : -1))
  const kept = new Int32Array(members.length)
  const from = new Int32Array(starts.length)
  let at = 0
  for (let item = 0; item + 1 < starts.length; item++) {
    for (let m = starts[item] as number; m < (starts[item + 1] as number); m++)
      if (seen[members[m] as number] !== -1) kept[at++] = members[m] as number
    from[item + 1] = at
  }
  return { itemOf: seen, starts: from, members: kept.slice(0, at) }
}

/** Items of which every listing counts. */
function wholeItems({ starts }: Catalog, counted: Int32Array): Int32Array {
  const sizeOf = (of: Int32Array, item: number) => (of[item + 1] as number) - (of[item] as number)
  return placesOf(starts.length - 1).map((item) => (sizeOf(counted, item) === sizeOf(starts, item) ? item : -1))
}

/** What may be listed is said of the goods, not of a market's listings of them: that stays. */
async function reachOn(
  { listings, starts, reach, windowEnds }: Catalog,
  itemOf: Int32Array,
  captures: readonly Capture[],
  wanted: ReadonlySet<string>,
): Promise<Table> {
  const { rows, columns } = await itemReach(
    captures.filter((c) => c.kind !== 'restricted').map((c) => ({ ...c, table: rowsOn(c.table, wanted) })),
    { listings, itemOf, items: starts.length - 1 },
    { windowEnds },
  )
  const { clearing } = reach.columns
  return { rows, columns: clearing ? { ...columns, clearing } : columns }
}

/** Records of the markets that count, and those that name no market. */
function rowsOn(table: Table, wanted: ReadonlySet<string>): Table {
  const market = textColumn(table, 'market')
  const counts = (row: number) => {
    const code = market.codes[row] as number
    return code < 0 || wanted.has(market.words.at(code) ?? '')
  }
  return gatherRows(table, placesOf(table.rows).filter(counts), { rows: 0, columns: {} })
}
