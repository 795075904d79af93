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
import type { Through } from './lens-engines'
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
export function demandMethods(through: Through) {
  const terms = readOnce(() => capturesOf('terms').then(mergeTerms))
  const allTerms = terms.get
  return {
    methods: {
      /** The category tree, of all items or those where every word is found. */
      async tree(_: CallContext, words: string, lens: string[]): Promise<{ branches: Branch[]; best: Branch | null }> {
        const { finder, figures, maker } = await through(lens)
        const seen = words.trim() === '' && lens.length === 0 ? null : await maker
        const met = finder.itemsWith(words)
        const branches = categoryTree(figures, (i) => seen?.isSeen(i) !== false && (met === null || met[i] === 1))
        return { branches, best: bestBranch(branches) }
      },

      /** Narrow themes among the titles of a branch. */
      async themes(_: CallContext, path: string, lens: string[]): Promise<{ themes: ListingTheme[]; of: number }> {
        const maker = await (await through(lens)).maker
        return branchThemes(maker.catalog, maker.rules, path, { isCounted: (l) => maker.isCounted(l) })
      },

      ...termMethods(through, allTerms),

      /** Everything gathered whose name holds what is typed: items, stores, categories, markets and terms. */
      async named(
        _: CallContext,
        typed: string,
      ): Promise<NamedThings & { terms: { key: string; phrase: string; market: string }[] }> {
        const engine = await through()
        const [maker, all] = await Promise.all([engine.maker, allTerms()])
        const text = typed.trim().toLowerCase()
        const terms = text === '' ? [] : all.filter((t) => t.phrase.toLowerCase().includes(text)).slice(0, mostNamed)
        return {
          ...namedThings(typed, { maker, search: engine.finder.search, most: mostNamed }),
          terms: terms.map(({ key, phrase, market }) => ({ key, phrase, market })),
        }
      },
    },
    allTerms,
    /** What was read is out of date. */
    forget: terms.forget,
  }
}

/** What is asked of terms, and of the wordings of two of them. */
function termMethods(through: Through, allTerms: () => Promise<Term[]>) {
  return {
    async terms(_: CallContext, market: string | null, lens: string[]): Promise<TermsAnswer> {
      const all = (await allTerms()).filter((t) => isOn(lens, t.market))
      const some = market === null ? all : all.filter((t) => t.market === market)
      return {
        terms: some.slice(0, mostTerms),
        of: some.length,
        markets: [...new Set(all.map((t) => t.market))].sort(),
        rising: risingTerms(some).slice(0, 30),
      }
    },

    async term(_: CallContext, key: string, lens: string[]): Promise<TermLook | null> {
      const all = await allTerms()
      return termLook(
        key,
        all.filter((t) => t.key === key || isOn(lens, t.market)),
        await through(lens),
      )
    },

    async wordings(_: CallContext, first: string, second: string, lens: string[]): Promise<Wordings> {
      const engine = await through(lens)
      const maker = await engine.maker
      return compareWordings(maker.catalog, engine.finder.search, maker.rules, [first, second], (l) =>
        maker.isCounted(l),
      )
    },
  }
}

const isOn = (lens: readonly string[], market: string) => lens.length === 0 || lens.includes(market)

async function termLook(key: string, all: Term[], engine: ItemEngine): Promise<TermLook | null> {
  const term = all.find((t) => t.key === key)
  if (!term) return null
  const maker = await engine.maker
  const rows = listingsAnswering(maker.catalog, engine.finder.search, term.phrase, (l) => maker.isCounted(l))
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
