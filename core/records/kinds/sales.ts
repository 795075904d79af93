import type { RecordKind } from '../field'
import { also } from './fields/also'
import { units } from './fields/counts'
import { category, gtin, listingId, title } from './fields/goods'
import { currency, price, revenue } from './fields/money'
import { market, store } from './fields/people'

export const sales: RecordKind = {
  name: 'sales',
  label: 'Sales by day or week',
  noun: ['day or week of sales', 'days or weeks of sales'],
  row: 'one listing on one day or in one week, with the units it sold',
  from: 'market',
  dayMeans: 'period',
  keys: ['id', 'day'],
  lives: { day: 'when it sold', units: 'how much it sells', price: 'how price and sales go together' },
  fields: [
    market,
    {
      ...listingId,
      required: true,
      headings: also(listingId, {
        en: 'id, ref, sku, code, item code',
        de: 'nummer, nr, id, sku',
        fr: 'id, code, sku',
        es: 'id, sku',
        it: 'id, sku, cod',
        nl: 'id, code, sku, nummer',
        pl: 'id, sku, nr',
        pt: 'id, sku',
      }),
    },
    title,
    store,
    {
      name: 'day',
      label: 'Day',
      type: 'day',
      required: true,
      headings: {
        en: 'day, date, week, week start, week starting, period, sold on, order date, sale date, dt, wk beginning, week beginning, wk, sales date, week commencing, month, week of, date of sale, wc, when, trans date, transaction date, week ending, wk ending, sold date, receipt date',
        de: 'tag, datum, woche, verkaufsdatum, kalenderwoche, kw, wochenbeginn, woche ab, monat, belegdatum, zeitraum, verkaufstag, periode',
        fr: 'date, jour, semaine, semaine du, date de vente, date vente, mois, période, début de semaine',
        es: 'fecha, día, semana, fecha de venta, fecha venta, mes, semana del, periodo, inicio de semana',
        it: 'data, giorno, settimana, data vendita, data di vendita, mese, settimana del, periodo, inizio settimana',
        nl: 'datum, dag, week, verkoopdatum, weekbegin, maand, week van, periode',
        pl: 'data, dzień, tydzień, data sprzedaży, miesiąc, okres, początek tygodnia, tydzień od, dnia, dzień sprzedaży',
        pt: 'data, dia, semana, data de venda, data da venda, mês, semana de, período, início da semana',
      },
      help: 'The day, or the first day of the week.',
    },
    {
      ...units,
      label: 'Units',
      required: true,
      help: 'Units sold in that day or week. Empty is not known, not zero.',
    },
    { ...price, help: 'Price at the time.' },
    currency,
    { ...revenue, label: 'Sales', help: 'Money taken.' },
    {
      name: 'promoted',
      label: 'Promoted',
      type: 'ratio',
      headings: {
        en: 'promoted, promoted share, on display, share promoted, promo share, on promotion, promo, deal, on deal, display',
        de: 'beworben, werbeanteil, in aktion, aktion',
        fr: 'en promotion, part en promotion, promo, part promue',
        es: 'en promoción, promocionado, promo',
        it: 'in promozione, promo, quota in promozione',
        nl: 'in de aanbieding, actie, promotie',
        pl: 'w promocji, promocja, promo',
        pt: 'em promoção, promo, promovido',
      },
      help: 'For which share of that day or week it was promoted or on display; 0 where it was not.',
    },
    category,
    gtin,
  ],
}
