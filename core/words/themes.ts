import { classTfIdf } from './class-tf-idf'
import { isColour, remembered } from '../goods'
import { saysForWhom } from './for-whom'
import {
  packWords,
  praise,
  rememberedStems,
  titleRuns,
  withoutNested,
  WrittenForms,
  type TitleRun,
} from './title-words'

/** A narrow theme: listings whose titles share runs of words that most others do not have. */
export interface Theme {
  /** what stands for it, strongest first: at most three phrases, none within another */
  phrases: string[]
  /** places of its titles in the list that was looked at, in order */
  places: number[]
}

/** titles below which a run is chance */
const leastTitles = 5
/** share of the titles of one sort of goods beyond which a run names the sort */
const mostOfSort = 0.5
/** share of their titles that two runs have in common to be one theme */
const sameFrom = 0.5
const longest = 3
const mostPhrases = 3
/** share of the titles with a run's first or last word that must have the whole run, for its words to belong together */
const together = 0.5

export interface ThemeOptions {
  /** share of all titles above which a run names the whole and no theme (default 0.15, for the titles of one category) */
  mostShare?: number
  /** title → its sort of goods, null where that is not known: where titles are of several sorts, what names one is no theme */
  sortOf?: readonly (string | null)[]
  /**
   * only themes that say whom goods are for or when they are given: they run through several sorts of goods where there are several, and
   * their words belong together or are known to say so; a name or a quality of goods is none
   */
  forWhom?: boolean
}

/**
 * Narrow themes among the titles of one category: rare runs of one to three words that stand in the same titles are one theme (at
 * least half of their titles in common, Jaccard), its phrases chosen by class-based TF-IDF against all other themes. Sizes,
 * counts, colours and praise are no themes. Largest first; a title may belong to several.
 */
export function themesOf(
  titles: readonly string[],
  { mostShare = 0.15, sortOf = [], forWhom = false }: ThemeOptions = {},
): Theme[] {
  const stem = rememberedStems()
  const runs = titles.map((t) => titleRuns(t, longest, stem).filter((run) => run.written.split(' ').every(isTelling)))
  const places = placesByRun(runs)
  const namesSort = sortNames(places, sortOf)
  const isWanted = forWhom ? saysWhom(places, sortOf) : () => true
  const isRare = (run: string) => (places.get(run)?.length ?? 0) <= mostShare * titles.length && !namesSort(run)
  // What names the whole category stands at no end of a theme: 'raised bed', not 'planner raised bed'.
  const rare = [...places].filter(
    ([run, at]) =>
      at.length >= leastTitles &&
      isRare(run) &&
      isWanted(run, at) &&
      [0, -1].every((end) => isRare(run.split(' ').at(end) ?? run)),
  )
  const groups = joined(new Map(rare))
  const members = groups.map((group) => union(group.map((run) => places.get(run) as number[])))
  const told = new Set(groups.flat())
  const forms = new WrittenForms()
  for (const list of runs) for (const run of list) if (told.has(run.stems)) forms.add(run)
  const weights = classTfIdf(members.map((at) => countsIn(at, runs)))
  return groups
    .map((group, g) => ({
      phrases: strongest(group, weights[g] as Map<string, number>).map((run) => forms.of(run)),
      places: members[g] as number[],
    }))
    .sort((a, b) => b.places.length - a.places.length)
}

/** Whether a run stands in most titles of some sort, of which there are enough to tell. */
function sortNames(
  places: ReadonlyMap<string, number[]>,
  sortOf: readonly (string | null)[],
): (run: string) => boolean {
  const sizes = new Map<string, number>()
  for (const sort of sortOf) if (sort !== null) sizes.set(sort, (sizes.get(sort) ?? 0) + 1)
  return (run) => {
    const counts = new Map<string, number>()
    for (const at of places.get(run) ?? []) {
      const sort = sortOf[at]
      if (sort != null) counts.set(sort, (counts.get(sort) ?? 0) + 1)
    }
    return [...counts].some(
      ([sort, n]) => (sizes.get(sort) ?? 0) >= leastTitles && n > mostOfSort * (sizes.get(sort) ?? 0),
    )
  }
}

/** Whether a run says whom goods are for: its words belong together, or are known to say so, and it runs through sorts of goods. */
function saysWhom(
  places: ReadonlyMap<string, number[]>,
  sortOf: readonly (string | null)[],
): (run: string, at: readonly number[]) => boolean {
  const sizes = new Map<string, number>()
  for (const sort of sortOf) if (sort !== null) sizes.set(sort, (sizes.get(sort) ?? 0) + 1)
  const hasSorts = [...sizes.values()].filter((n) => n >= leastTitles).length > 1
  const isTogether = (end: string, at: readonly number[]) => at.length >= together * (places.get(end)?.length ?? 0)
  return (run, at) => {
    const words = run.split(' ')
    const belongs = words.length > 1 && [0, -1].every((end) => isTogether(words.at(end) as string, at))
    if (!belongs && !words.some(saysForWhom)) return false
    return !hasSorts || new Set(at.flatMap((title) => sortOf[title] ?? [])).size > 1
  }
}

/** Neither a size nor a count, nor a colour, nor praise: of a run each word. */
const isTelling = remembered((w) => !/\d/.test(w) && !praise.has(w) && !packWords.has(w) && !isColour(w))

function placesByRun(runs: readonly TitleRun[][]): Map<string, number[]> {
  const places = new Map<string, number[]>()
  runs.forEach((list, at) => {
    for (const { stems } of list) {
      const known = places.get(stems)
      if (known) known.push(at)
      else places.set(stems, [at])
    }
  })
  return places
}

/** Runs that stand in mostly the same titles, together. */
function joined(places: ReadonlyMap<string, number[]>): string[][] {
  const names = [...places.keys()]
  const parent = names.map((_, i) => i)
  const root = (i: number): number => (parent[i] === i ? i : (parent[i] = root(parent[i] as number)))
  const numberOf = new Map(names.map((name, i) => [name, i]))
  const byTitle = new Map<number, number[]>()
  for (const [name, at] of places)
    for (const title of at) {
      const list = byTitle.get(title)
      if (list) list.push(numberOf.get(name) as number)
      else byTitle.set(title, [numberOf.get(name) as number])
    }
  const sizes = Int32Array.from(places.values(), (at) => at.length)
  const size = (i: number) => sizes[i] as number
  // One that is half as frequent at most cannot share half of all titles.
  const mayJoin = (a: number, b: number) => size(a) >= sameFrom * size(b) && size(b) >= sameFrom * size(a)
  const shared = new Map<number, number>()
  for (const list of byTitle.values())
    for (const a of list)
      for (const b of list)
        if (a < b && mayJoin(a, b)) shared.set(a * names.length + b, (shared.get(a * names.length + b) ?? 0) + 1)
  for (const [pair, both] of shared) {
    const [a, b] = [Math.floor(pair / names.length), pair % names.length]
    if (both / (size(a) + size(b) - both) >= sameFrom) parent[root(b)] = root(a)
  }
  const groups = new Map<number, string[]>()
  names.forEach((name, i) => groups.set(root(i), [...(groups.get(root(i)) ?? []), name]))
  return [...groups.values()]
}

function union(lists: readonly number[][]): number[] {
  return [...new Set(lists.flat())].sort((a, b) => a - b)
}

function countsIn(at: readonly number[], runs: readonly TitleRun[][]): Map<string, number> {
  const counts = new Map<string, number>()
  for (const place of at)
    for (const { stems } of runs[place] as TitleRun[]) counts.set(stems, (counts.get(stems) ?? 0) + 1)
  return counts
}

/** The group's own runs by weight; of equals the longer; none that lies within one before it or around it. */
function strongest(group: readonly string[], weights: ReadonlyMap<string, number>): string[] {
  const sorted = [...group].sort(
    (a, b) => (weights.get(b) ?? 0) - (weights.get(a) ?? 0) || b.length - a.length || (a < b ? -1 : 1),
  )
  return withoutNested(sorted, (run) => run).slice(0, mostPhrases)
}
