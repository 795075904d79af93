import { defineStore } from 'pinia'
import { computed } from 'vue'
import {
  lateBy,
  noQuotes,
  quoteState,
  type Letter,
  type Purchase,
  type Quote,
  type QuoteAnswer,
  type Quotes,
  type Sample,
} from '@sickle/core/supply'
import { useServices } from '@/services/services'
import { asSteps } from './as-steps'
import { keptDocument, type KeptDocument } from './document'

const dayMs = 86_400_000

/** What is to be asked of one supplier about one item. */
export type NewQuote = Pick<Quote, 'item' | 'title' | 'supplier' | 'offer' | 'place' | 'of'>

/** Quotes and samples that were asked of suppliers, and what was ordered of them. Each change is a step that can be taken back. */
export const useQuotes = defineStore('quotes', () => {
  const services = useServices()
  const kept = keptDocument<Quotes>(services, 'quotes', () => noQuotes)
  const bought = keptDocument<readonly Purchase[]>(services, 'purchases', () => [])
  const set = asSteps(kept)
  const today = () => Math.floor(services.now() / dayMs)
  const list = computed(() => kept.value.value.list)
  const letter = computed(() => kept.value.value.letter)
  const late = computed(() => list.value.filter((q) => lateBy(q, today()) !== null))

  const change: ChangeQuote = (label, id, some) =>
    set(label, { ...kept.value.value, list: list.value.map((q) => (q.id === id ? { ...q, ...some(q) } : q)) })

  return {
    list,
    letter,
    late,
    today,
    load: () => Promise.all([kept.load(), bought.load()]),
    setLetter: (some: Partial<Letter>) => kept.set({ ...kept.value.value, letter: { ...letter.value, ...some } }),
    /** Notes that suppliers were asked; what was asked of one before and is still open is asked anew. */
    ask(asked: readonly NewQuote[]): Promise<void> {
      const { quantities, answerDays } = letter.value
      const on = today()
      const isAnew = (q: Quote) =>
        quoteState(q) === 'asked' && asked.some((a) => a.item === q.item && a.supplier === q.supplier)
      const made = asked.map((a): Quote => ({
        ...a,
        id: services.newId(),
        quantities: [...quantities],
        askedOn: on,
        dueOn: on + answerDays,
        answer: null,
        sample: null,
      }))
      return set('quotes asked', {
        ...kept.value.value,
        list: [...list.value.filter((q) => !isAnew(q)), ...made],
      })
    },
    answer: (id: string, answer: QuoteAnswer | null) => change('an answer', id, () => ({ answer })),
    ...samplesBy(change, today),
    remove: (ids: readonly string[]) =>
      set('quotes', { ...kept.value.value, list: list.value.filter((q) => !ids.includes(q.id)) }),
    /** the suppliers whose sample of an item passed */
    passedOf: (item: string) => list.value.filter((q) => q.item === item && q.sample?.passed === true),

    ...usePurchases(bought),
  }
})

type ChangeQuote = (label: string, id: string, some: (quote: Quote) => Partial<Quote>) => Promise<void>

/** What becomes of the sample of a quote. */
function samplesBy(change: ChangeQuote, today: () => number) {
  const changeSample = (id: string, some: Partial<Sample>) =>
    change('a sample', id, ({ sample }) => (sample ? { sample: { ...sample, ...some } } : {}))
  return {
    /** A sample that is ordered today. */
    orderSample: (id: string) => change('a sample', id, ({ answer }) => ({ sample: sampleOf(answer, today()) })),
    arrived: (id: string) => changeSample(id, { arrivedOn: today() }),
    judge(id: string, passed: boolean): Promise<void> {
      const on = today()
      return change('a sample', id, ({ sample }) =>
        sample ? { sample: { ...sample, arrivedOn: sample.arrivedOn ?? on, passed, judgedOn: on } } : {},
      )
    },
  }
}

/** What was ordered of suppliers. */
function usePurchases(bought: KeptDocument<readonly Purchase[]>) {
  const services = useServices()
  const set = asSteps(bought)
  const list = computed(() => bought.value.value)
  const say = (next: readonly Purchase[]) => set('an order', next)
  return {
    purchases: list,
    note: (purchase: Omit<Purchase, 'id'>) => say([...list.value, { ...purchase, id: services.newId() }]),
    changePurchase: (id: string, some: Partial<Purchase>) =>
      say(list.value.map((p) => (p.id === id ? { ...p, ...some } : p))),
    removePurchase: (id: string) => say(list.value.filter((p) => p.id !== id)),
  }
}

/** A sample is due when its supplier says that things arrive. */
const sampleOf = (answer: QuoteAnswer | null, orderedOn: number): Sample => ({
  orderedOn,
  dueOn: answer?.leadDays == null ? null : orderedOn + answer.leadDays,
  arrivedOn: null,
  passed: null,
  judgedOn: null,
})
