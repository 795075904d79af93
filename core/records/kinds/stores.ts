import type { RecordKind } from '../field'
import { rating, reviews, units, unitsTotal } from './fields/counts'
import { also } from './fields/also'
import { url } from './fields/goods'
import { averagePrice, currency, revenue } from './fields/money'
import { country, market, since, store } from './fields/people'

export const stores: RecordKind = {
  name: 'stores',
  label: 'Stores',
  noun: ['store', 'stores'],
  row: 'one store on one market, with what it has sold and how old it is',
  from: 'market',
  hasWindow: true,
  keys: ['store'],
  lives: { unitsTotal: 'which stores have sold enough to study', units: 'what they sell now', listings: 'how large their catalogues are', since: 'how old they are' },
  fields: [
    market,
    {
      ...store,
      required: true,
      headings: also(store, { en: 'name', de: 'name', fr: 'nom', es: 'nombre', it: 'nome', nl: 'naam', pl: 'nazwa', pt: 'nome' }),
      help: 'Its name on the market.',
    },
    since,
    country,
    {
      ...unitsTotal,
      headings: also(unitsTotal, {
        en: 'sales, sold',
        de: 'verkäufe',
        fr: 'ventes',
        es: 'ventas',
        it: 'vendite',
        nl: 'verkopen',
        pl: 'sprzedaż',
        pt: 'vendas',
      }),
      help: 'Units sold since it opened.',
    },
    { ...units, help: 'Units sold in the window the file states.' },
    revenue,
    currency,
    {
      name: 'listings',
      label: 'Live listings',
      type: 'count',
      headings: {
        en: 'live listings, active listings, listings, items listed, listing count, no of listings, active listing count, number of listings, active items, items for sale, products, catalogue size, item count, number of items, live items, product count, active products',
        de: 'aktive angebote, angebote, artikel online, anzahl angebote, anzahl artikel, aktive artikel, inserate, artikel im angebot, artikelanzahl, produkte',
        fr: 'annonces actives, nb annonces, annonces, articles en vente, nombre annonces, nb annonces actives, produits en ligne, nb articles, articles en ligne',
        es: 'anuncios activos, anuncios, artículos en venta, número de anuncios, productos activos, n anuncios, artículos activos, productos',
        it: 'inserzioni attive, inserzioni, articoli in vendita, numero inserzioni, annunci attivi, prodotti attivi, n inserzioni, articoli attivi',
        nl: 'actieve advertenties, advertenties, aantal advertenties, artikelen te koop, aantal artikelen, actieve artikelen, aanbod',
        pl: 'aktywne oferty, oferty, liczba ofert, liczba aukcji, wystawione oferty, liczba produktów, aktywne aukcje',
        pt: 'anúncios ativos, anúncios, artigos à venda, número de anúncios, produtos ativos, n anúncios, artigos ativos',
      },
      help: 'How many listings are up.',
    },
    {
      name: 'soldShare',
      label: 'Listings sold',
      type: 'ratio',
      headings: {
        en: 'share sold, sold share, sell through, listings sold, sell thru, sell through rate, str, pct listings sold, sold rate',
        de: 'abverkaufsquote, verkaufsquote, abverkauf, anteil verkauft, verkaufte angebote',
        fr: 'taux de vente, taux écoulement, part vendue, annonces vendues',
        es: 'tasa de venta, porcentaje vendido, anuncios vendidos',
        it: 'tasso di vendita, quota venduta, inserzioni vendute',
        nl: 'verkooppercentage, verkocht aandeel, doorverkoop',
        pl: 'wskaźnik sprzedaży, odsetek sprzedanych, sprzedane oferty',
        pt: 'taxa de venda, percentagem vendida, anúncios vendidos',
      },
      help: 'Share of its listings that sold at least once.',
    },
    averagePrice,
    {
      ...reviews,
      name: 'feedback',
      label: 'Feedback',
      headings: also(reviews, { en: 'feedback, feedback count, feedback score, fb count, feedbacks', de: 'feedback, anzahl feedback', fr: 'nb éval, évaluations reçues', es: 'evaluaciones', it: 'feedback, numero feedback', nl: 'feedback', pl: 'komentarze, opinie kupujących', pt: 'feedback' }),
      help: 'How many left feedback.',
    },
    {
      name: 'positive',
      label: 'Positive feedback',
      type: 'ratio',
      headings: {
        en: 'positive, positive feedback, positive share, positive pct, pct positive, positive rate, positive ratings',
        de: 'positive bewertungen, positiv, pos bewertungen, anteil positiv, positive bewertungen prozent',
        fr: 'éval positives, évaluations positives, avis positifs, positif, part positive',
        es: 'valoraciones positivas, positivas, opiniones positivas, positivos',
        it: 'feedback positivi, positivi, recensioni positive, feedback positivo',
        nl: 'positief, positieve beoordelingen, positieve feedback',
        pl: 'pozytywne, pozytywne opinie, opinie pozytywne',
        pt: 'avaliações positivas, positivas, positivo, opiniões positivas',
      },
      help: 'Share of feedback that is good.',
    },
    rating,
    url,
  ],
} // prettier-ignore
