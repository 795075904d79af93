import type { Field, RecordKind } from '../field'
import { also } from './fields/also'
import { leadDays, rating, stock } from './fields/counts'
import { gtin, listingId } from './fields/goods'
import { currency, delivery, price } from './fields/money'
import { market, store } from './fields/people'

/** Feedback left over a window: the heading must name it. */
function feedbackOver(days: number): Field {
  return {
    name: `feedback${days}`,
    label: `Feedback, ${days} days`,
    type: 'count',
    window: days,
    headings: {
      en: `feedback ${days} days, feedback ${days} d, fb ${days} d, feedback, fb, reviews, ratings${days === 365 ? ', feedback year, feedback 12 months' : ''}`,
      de: 'bewertungen, feedback, anzahl bewertungen',
      fr: 'éval, évaluations, avis, nb avis',
      es: 'opiniones, valoraciones, feedback',
      it: 'feedback, recensioni, valutazioni',
      nl: 'feedback, beoordelingen, reviews',
      pl: 'opinie, oceny, komentarze',
      pt: 'avaliações, opiniões, feedback',
    },
    help:
      days === 365
        ? 'Feedback left in a year.'
        : `Feedback left in ${days} days${days === 30 ? ': none means not really selling' : ''}.`,
  }
}

export const competing: RecordKind = {
  name: 'competing',
  label: 'Competing offers',
  noun: ['competing offer', 'competing offers'],
  row: "one seller's offer of one item that several sell",
  from: 'market',
  dayMeans: 'day',
  keys: ['id', 'store'],
  lives: { price: 'what the others ask', store: 'who sells it', delivery: 'prices with delivery' },
  fields: [
    market,
    {
      ...listingId,
      required: true,
      headings: also(listingId, { en: 'id, code, ref', de: 'id, nummer, nr', fr: 'id, code', es: 'id', it: 'id', nl: 'id', pl: 'id', pt: 'id' }),
      help: 'Identifies the item on its market.',
    },
    gtin,
    { ...store, required: true, headings: also(store, { en: 'competitor, competing seller, rival', de: 'mitbewerber, konkurrent, wettbewerber', fr: 'concurrent', es: 'competidor, rival', it: 'concorrente', nl: 'concurrent', pl: 'konkurent', pt: 'concorrente' }), help: 'Who offers it.' },
    { ...price, required: true },
    currency,
    delivery,
    {
      name: 'featured',
      label: 'Share of time featured',
      type: 'ratio',
      headings: {
        en: 'featured, featured share, share of time featured, featured offer share, featured pct, pct time featured, featured rate, time featured, buy share',
        de: 'hervorgehoben, anteil hervorgehoben, zeitanteil hervorgehoben, hauptangebot anteil',
        fr: 'mis en avant, part mise en avant, part en vedette, en vedette',
        es: 'destacado, porcentaje destacado, cuota destacado, oferta destacada',
        it: 'in evidenza, quota in evidenza, offerta in evidenza',
        nl: 'uitgelicht, aandeel uitgelicht, tijd uitgelicht',
        pl: 'wyróżniona, udział wyróżnienia, czas wyróżnienia',
        pt: 'em destaque, destaque, percentagem em destaque',
      },
      help: 'How often the market shows this offer first.',
    },
    feedbackOver(30),
    feedbackOver(90),
    feedbackOver(365),
    { ...rating, headings: also(rating, { en: 'seller score', de: 'verkäuferbewertung, bewertung verkäufer', fr: 'note vendeur, note du vendeur', es: 'valoración vendedor', it: 'valutazione venditore', nl: 'score verkoper, beoordeling verkoper', pl: 'ocena sprzedawcy', pt: 'avaliação do vendedor' }) },
    stock,
    {
      name: 'condition',
      label: 'Condition',
      type: 'text',
      headings: {
        en: 'condition, item condition, cond, state',
        de: 'zustand, artikelzustand',
        fr: 'état, état du produit, condition',
        es: 'estado, condición, estado del artículo',
        it: 'condizione, condizioni, stato, stato articolo',
        nl: 'staat, conditie, toestand',
        pl: 'stan, stan przedmiotu, kondycja',
        pt: 'estado, condição, estado do artigo',
      },
      values: 'conditions',
      help: 'new, used and so on.',
    },
    leadDays,
    {
      name: 'day',
      label: 'Seen on',
      type: 'day',
      headings: {
        en: 'seen on, day, date, captured on, checked, seen, captured at, snapshot date, observed on, as of, checked on',
        de: 'gesehen am, datum, tag, erfasst am, stand, geprüft am, abgerufen am',
        fr: 'vu le, date, relevé le, jour, constaté le, date de relevé',
        es: 'visto el, fecha, día, capturado el, consultado el',
        it: 'visto il, data, giorno, rilevato il, data rilevazione',
        nl: 'gezien op, datum, dag, vastgelegd op, peildatum',
        pl: 'data, dzień, sprawdzono, zaobserwowano, data odczytu',
        pt: 'visto em, data, dia, registado em, consultado em',
      },
      help: 'When the offer stood.',
    },
  ],
} // prettier-ignore
