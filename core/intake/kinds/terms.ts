import type { RecordKind } from '../field'
import { also } from './fields/also'
import { units } from './fields/counts'
import { category } from './fields/goods'
import { averagePrice, change, currency, price, revenue } from './fields/money'
import { country, market } from './fields/people'

export const terms: RecordKind = {
  name: 'terms',
  label: 'Search terms',
  row: 'one phrase that buyers search for, with how often',
  from: 'market',
  isBy: 'period',
  hasWindow: true,
  keys: ['term', 'day', 'region'],
  lives: { searches: 'how many look for it', competing: 'how crowded it is' },
  fields: [
    market,
    {
      name: 'term',
      label: 'Term',
      type: 'text',
      required: true,
      says: {
        en: 'search term, term, keyword, query, search phrase, phrase, search query, kw, query text, search word, keywords, search terms, searched for, search, keyphrase, what they search',
        de: 'suchbegriff, suchwort, suchphrase, begriff, stichwort, keyword, suchanfrage, schlagwort, suchwörter',
        fr: 'mot-clé, mot clé, requête, terme, expression, terme de recherche, recherche, mots clés, terme recherché',
        es: 'término de búsqueda, término, palabra clave, búsqueda, consulta, frase, palabras clave, término buscado, palabra, búsqueda de',
        it: 'parola chiave, termine di ricerca, termine, ricerca, frase, query, parole chiave, chiave, parola',
        nl: 'zoekwoord, zoekterm, trefwoord, zoekopdracht, term, zoekwoorden, zoekzin',
        pl: 'fraza, słowo kluczowe, zapytanie, wyszukiwana fraza, hasło, szukana fraza, słowa kluczowe, słowo',
        pt: 'termo, termo de pesquisa, palavra-chave, pesquisa, consulta, expressão, frase, termo de busca, palavra',
      },
      help: 'The words buyers type.',
    },
    {
      name: 'searches',
      label: 'Searches',
      type: 'count',
      required: true,
      says: {
        en: 'searches, search volume, monthly searches, volume, search count, times searched, vol, avg monthly searches, searches per month, number of searches, search vol, sv, search freq, search frequency',
        de: 'suchanfragen, suchvolumen, suchanfragen monat, suchen, volumen, anzahl suchen, gesucht, mal gesucht',
        fr: 'recherches, volume de recherche, recherches mensuelles, nb recherches, volume, nombre de recherches, requêtes par mois',
        es: 'búsquedas, volumen de búsqueda, búsquedas mensuales, volumen, número de búsquedas, volumen búsquedas',
        it: 'ricerche, volume di ricerca, ricerche mensili, volume, numero ricerche, volume ricerche',
        nl: 'zoekvolume, zoekopdrachten, aantal zoekopdrachten, volume, maandelijkse zoekopdrachten, keer gezocht',
        pl: 'wyszukiwania, liczba wyszukiwań, wolumen, miesięczne wyszukiwania, ilość wyszukiwań, wyszukań',
        pt: 'pesquisas, volume de pesquisa, pesquisas mensais, buscas, volume, número de pesquisas, volume de buscas',
      },
      help: 'How often it was searched for in the window.',
    },
    {
      name: 'competing',
      label: 'Competing listings',
      type: 'count',
      says: {
        en: 'competing listings, competition, listings, results, result count, comp, competing items, number of results, no of results, nr results, listing count, competitors, total results, supply, competing products',
        de: 'angebote, konkurrenz, treffer, ergebnisse, konkurrierende angebote, wettbewerb, anzahl angebote, anzahl treffer, suchergebnisse',
        fr: 'annonces concurrentes, concurrence, résultats, nb résultats, annonces, nombre de résultats, nb annonces',
        es: 'resultados, competencia, anuncios competidores, anuncios, número de resultados, anuncios rivales',
        it: 'concorrenza, risultati, inserzioni concorrenti, inserzioni, numero risultati, annunci concorrenti',
        nl: 'concurrerende advertenties, concurrentie, resultaten, aantal resultaten, advertenties, zoekresultaten',
        pl: 'liczba ofert, konkurencja, wyniki, konkurencyjne oferty, liczba wyników, oferty',
        pt: 'anúncios concorrentes, concorrência, resultados, número de resultados, nb anúncios, anúncios',
      },
      help: 'How many listings answer to it.',
    },
    { ...units, says: also(units, { en: 'sold under term, units sold under it' }), help: 'Units sold under it in the window.' },
    { ...revenue, help: 'Money taken under it in the window.' },
    { ...price, label: 'Average price', says: also(averagePrice, price.says), help: 'Average price of what answers to it.' },
    currency,
    { ...change, help: 'Change of searches against the window before.' },
    {
      name: 'day',
      label: 'First day',
      type: 'day',
      says: {
        en: 'first day, month, week, period, date, week starting, day',
        de: 'monat, woche, zeitraum, datum, erster tag, tag',
        fr: 'mois, semaine, période, date, premier jour',
        es: 'mes, semana, periodo, fecha, primer día',
        it: 'mese, settimana, periodo, data, primo giorno',
        nl: 'maand, week, periode, datum, eerste dag',
        pl: 'miesiąc, tydzień, okres, data, pierwszy dzień',
        pt: 'mês, semana, período, data, primeiro dia',
      },
      help: 'The first day of the window, where the file has several.',
    },
    {
      name: 'region',
      label: 'Region',
      type: 'text',
      says: also(country, { en: 'region, place, state, county, area', de: 'region, bundesland, gebiet, ort', fr: 'région, département, lieu, zone', es: 'región, provincia, comunidad, lugar, zona', it: 'regione, provincia, luogo, zona', nl: 'regio, provincie, gebied, plaats', pl: 'region, województwo, miejsce', pt: 'região, distrito, lugar, zona' }),
      help: 'Where it was searched for.',
    },
    category,
  ],
} // prettier-ignore
