import type { ItemToAsk } from '@sickle/core/catalog'
import { quoteMessage, type Letter } from '@sickle/core/supply'
import type { NewQuote } from '@/shared/stores/quotes'

/** suppliers that are marked at first, where so many seem to have something */
const markedAtFirst = 3

/** One supplier that may be asked, and about what. */
export interface SupplierToAsk {
  supplier: string
  /** how many of the items it seems to have, and how many are like them */
  same: number
  alike: number
}

/** Suppliers that may be asked about some items: those first that seem to have most of them. */
export function suppliersToAsk(items: readonly ItemToAsk[]): SupplierToAsk[] {
  const by = new Map<string, SupplierToAsk>()
  for (const { suppliers } of items) {
    for (const { supplier, verdict } of suppliers) {
      const it = by.get(supplier) ?? { supplier, same: 0, alike: 0 }
      it[verdict === 'same' ? 'same' : 'alike']++
      by.set(supplier, it)
    }
  }
  return [...by.values()].sort((a, b) => b.same - a.same || b.alike - a.alike || (a.supplier < b.supplier ? -1 : 1))
}

/** Those who seem to have the same goods; the first few of the others where they are fewer than three. */
export function markedFirst(suppliers: readonly SupplierToAsk[]): string[] {
  return suppliers.filter((s, i) => s.same > 0 || i < markedAtFirst).map((s) => s.supplier)
}

/**
 * What is asked of one supplier: the items it may have; all of them where nothing is known of it.
 *
 * @returns what is noted, and the message
 */
export function askOf(
  supplier: string,
  items: readonly ItemToAsk[],
  letter: Letter,
): { quotes: NewQuote[]; message: string } {
  const known = items.flatMap(({ key, title, suppliers }) => {
    const has = suppliers.find((s) => s.supplier === supplier)
    if (!has) return []
    const isSame = has.verdict === 'same'
    // what is only alike says nothing of the goods that are asked about
    return [{ item: key, title, offer: isSame ? has.offer : null, number: has.number, isSame }]
  })
  const asked =
    known.length > 0
      ? known
      : items.map(({ key, title }) => ({ item: key, title, offer: null, number: null, isSame: false }))
  return {
    quotes: asked.map(({ item, title, offer }, i) => ({
      item,
      title,
      offer,
      supplier,
      place: i + 1,
      of: asked.length,
    })),
    message: quoteMessage(
      asked.map(({ title, number, isSame }) => ({ title, number, isSame, quantities: letter.quantities })),
      letter,
    ),
  }
}

/**
 * The messages to those who are chosen. Who has none of the items any more, since they were taken out, is not asked; who was added by name is asked
 * about all.
 */
export function lettersTo(
  chosen: readonly string[],
  { items, added, letter }: { items: readonly ItemToAsk[]; added: readonly string[]; letter: Letter },
): ({ supplier: string } & ReturnType<typeof askOf>)[] {
  const known = new Set([...suppliersToAsk(items).map((s) => s.supplier), ...added])
  if (items.length === 0) return []
  return chosen
    .filter((supplier) => known.has(supplier))
    .map((supplier) => ({ supplier, ...askOf(supplier, items, letter) }))
}

/** '10, 50 and 200' as quantities, ascending and each once; null where it names none, or one that cannot be. */
export function quantitiesIn(text: string): number[] | null {
  const found = text.match(/\d+/g)?.map(Number) ?? []
  const quantities = [...new Set(found)].sort((a, b) => a - b)
  return quantities.length > 0 && quantities.length <= 8 && quantities.every((n) => n >= 1 && n <= 1e7)
    ? quantities
    : null
}
