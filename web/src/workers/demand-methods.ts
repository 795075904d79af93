import { sumListings, type Item, type ListingSums, type ListingTheme } from '@sickle/core/catalog'
import {
  bestBranch,
  branchThemes,
  categoryTree,
  compareWordings,
  findRow,
  listingsAnswering,
  namedThings,
  type Branch,
  type FindRow,
  type NamedThings,
  type Wordings,
} from '@sickle/core/engine'
import { longerPhrases, mergeTerms, risingTerms, type Term } from '@sickle/core/terms'
import type { ItemEngine } from './item-engine'
import type { CallContext } from './channel'
import { readOnce } from './read-once'
import { capturesOf } from './records-at-rest'

/** terms on the field, most searched first: more would be one blot */
const mostTerms = 1500
const mostItems = 6
/** of each sort, in Everything by name */
const mostNamed = 5

export interface TermLook {
  term: Term
  longer: Term[]
  /** what the listings that answer to it sell */
  sums: ListingSums
  /** items that sell most under it */
  items: FindRow[]
  /** of how many */
  of: number
}

export interface TermsAnswer {
  terms: Term[]
  /** all there are, beyond those that are shown too */
  of: number
  markets: string[]
  rising: Term[]
}

/** What Demand asks: the category tree, and terms, which are read from rest when they are first asked for. */
export function demandMethods(engine: () => ItemEngine) {
  const terms = readOnce(() => capturesOf('terms').then(mergeTerms))
  const allTerms = terms.get
  return {
    methods: {
      /** The category tree, of all items or those where every word is found. */
      async tree(_: CallContext, words: string): Promise<{ branches: Branch[]; best: Branch | null }> {
        const { finder, figures, maker } = engine()
        if (words.trim() !== '') await maker
        const met = finder.itemsWith(words)
        const branches = categoryTree(figures, (i) => met === null || met[i] === 1)
        return { branches, best: bestBranch(branches) }
      },

      /** Narrow themes among the titles of a branch. */
      async themes(_: CallContext, path: string): Promise<{ themes: ListingTheme[]; of: number }> {
        const { catalog, rules } = await engine().maker
        return branchThemes(catalog, rules, path)
      },

      async terms(_: CallContext, market: string | null): Promise<TermsAnswer> {
        const all = await allTerms()
        const some = market === null ? all : all.filter((t) => t.market === market)
        return {
          terms: some.slice(0, mostTerms),
          of: some.length,
          markets: [...new Set(all.map((t) => t.market))].sort(),
          rising: risingTerms(some).slice(0, 30),
        }
      },

      async term(_: CallContext, key: string): Promise<TermLook | null> {
        return termLook(key, await allTerms(), engine())
      },

      /** Everything gathered whose name holds what is typed: items, stores, categories, markets and terms. */
      async named(
        _: CallContext,
        typed: string,
      ): Promise<NamedThings & { terms: { key: string; phrase: string; market: string }[] }> {
        const [maker, all] = await Promise.all([engine().maker, allTerms()])
        const text = typed.trim().toLowerCase()
        const terms = text === '' ? [] : all.filter((t) => t.phrase.toLowerCase().includes(text)).slice(0, mostNamed)
        return {
          ...namedThings(typed, { maker, search: engine().finder.search, most: mostNamed }),
          terms: terms.map(({ key, phrase, market }) => ({ key, phrase, market })),
        }
      },

      async wordings(_: CallContext, first: string, second: string): Promise<Wordings> {
        const maker = await engine().maker
        return compareWordings(maker.catalog, engine().finder.search, maker.rules, [first, second])
      },
    },
    allTerms,
    /** What was read is out of date. */
    forget: terms.forget,
  }
}

async function termLook(key: string, all: Term[], engine: ItemEngine): Promise<TermLook | null> {
  const term = all.find((t) => t.key === key)
  if (!term) return null
  const maker = await engine.maker
  const rows = listingsAnswering(maker.catalog, engine.finder.search, term.phrase)
  const items = [...new Set([...rows].map((row) => maker.catalog.itemOf[row] as number))]
  const sold = items.map((at) => maker.at(at, false)).sort((a, b) => (b.units ?? -1) - (a.units ?? -1))
  return {
    term,
    longer: longerPhrases(term, all).slice(0, 40),
    sums: sumListings(maker.catalog, rows, maker.rules),
    items: sold.slice(0, mostItems).map((item: Item) => findRow(item)),
    of: items.length,
  }
}
