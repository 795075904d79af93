import { field } from '../../field'

/** Fields of what was sold, how it is thought of, and what is left. */
export const units = field({
  name: 'units',
  label: 'Units in window',
  type: 'count',
  headings: {
    en: 'units sold, sold, units, quantity sold, qty sold, sales, orders, sold month, units per month, monthly units, monthly sales, sold last 30 days, sales last 30 days, qty, quantity, pieces sold, pcs sold, units ordered, unit sales, sold qty, number sold, sold count, items sold, sales qty, sales count, order count, monthly sold, recent sales, pcs',
    de: 'verkauft, verkaufte stück, verkäufe, absatz, menge, stück, stückzahl, absatzmenge, anzahl verkauft, verkaufte menge, verkaufte einheiten, absatz monat, verk, anzahl, stk, verkaufszahl, bestellungen',
    fr: 'ventes, vendus, unités vendues, quantité vendue, qté vendue, nb vendus, quantité, qté, ventes du mois, nombre de ventes, unités, nb ventes, pièces vendues, ventes mensuelles, commandes',
    es: 'vendidos, unidades vendidas, uds vendidas, ventas, cantidad, cantidad vendida, unidades, uds, ventas del mes, ventas mensuales, cant, cant vendida, número de ventas, pedidos',
    it: 'venduti, pezzi venduti, unità vendute, vendite, quantità, q.tà, qta, quantità venduta, q.tà venduta, vendite mensili, pz venduti, pezzi, unità, pz, numero vendite, ordini',
    nl: 'verkocht, aantal verkocht, verkopen, verkochte stuks, aantal, stuks, verkochte aantallen, verkocht maand, afzet, hoeveelheid, verkoopaantal, bestellingen',
    pl: 'sprzedano, sprzedane, sprzedaż, sprzedane sztuki, ilość, szt, liczba sprzedanych, sztuki, sprzedaż szt, ilość sprzedana, sprzedaż miesięczna, sprzedanych, liczba sztuk, zamówienia',
    pt: 'vendidos, unidades vendidas, vendas, quantidade, quantidade vendida, unidades, qtd, qtd vendida, vendas mensais, vendas do mês, peças vendidas, un vendidas, qtde, número de vendas, pedidos, encomendas',
  },
  help: 'Units sold in the window the file states (30 days unless it says otherwise).',
})
export const unitsTotal = field({
  name: 'unitsTotal',
  label: 'Units in all',
  type: 'count',
  headings: {
    en: 'sold total, total sold, sold ever, lifetime sales, units total, lifetime units, sold lifetime, total units, total units sold, all time sales, qty all time, total sales, sold all time, sold to date, sales total, units all time, cumulative sales, sold overall, sales ever, total orders',
    de: 'verkäufe gesamt, gesamt verkauft, verkauft gesamt, insgesamt verkauft, gesamtabsatz, gesamtverkäufe, absatz gesamt, verkäufe insgesamt',
    fr: 'ventes totales, total ventes, total vendu, ventes cumulées, vendus au total, ventes depuis le début, total des ventes, cumul ventes',
    es: 'ventas totales, vendidos totales, total vendido, total ventas, vendidos en total, ventas acumuladas, unidades totales',
    it: 'vendite totali, totale venduti, venduti in totale, totale vendite, pezzi venduti totali, vendite complessive',
    nl: 'totaal verkocht, verkocht totaal, totale verkopen, verkopen totaal, in totaal verkocht',
    pl: 'sprzedano łącznie, sprzedaż łącznie, łączna sprzedaż, sprzedano razem, sprzedaż ogółem, sprzedano ogółem, razem sprzedano, suma sprzedaży',
    pt: 'vendas totais, total vendido, total de vendas, vendidos no total, vendas acumuladas, unidades totais',
  },
  help: 'Units sold since it was listed.',
})
export const rating = field({
  name: 'rating',
  label: 'Rating',
  type: 'rating',
  headings: {
    en: 'rating, stars, score, average rating, star rating, review score, avg stars, avg rating, avg rtg, rtg, stars avg, rating value, mean rating, rate, review rating, seller rating, store rating',
    de: 'bewertung, sterne, note, durchschnittliche bewertung, ø bewertung, punkte, bewertungsschnitt, sternebewertung, bewertung ø',
    fr: 'note, étoiles, note moyenne, évaluation, notation, score, nombre étoiles, moyenne des avis',
    es: 'valoración, estrellas, puntuación, valoración media, calificación, nota, puntuación media, nota media',
    it: 'valutazione, stelle, voto, valutazione media, punteggio, media voti, media recensioni',
    nl: 'beoordeling, sterren, score, gemiddelde beoordeling, aantal sterren, waardering, gem beoordeling',
    pl: 'ocena, gwiazdki, średnia ocena, ocena średnia, oceny średnia, liczba gwiazdek',
    pt: 'avaliação, estrelas, classificação, avaliação média, nota, pontuação, classificação média',
  },
  help: 'Average stars, 0 to 5.',
})
export const reviews = field({
  name: 'reviews',
  label: 'Reviews',
  type: 'count',
  headings: {
    en: 'reviews, review count, number of reviews, ratings, rating count, no of reviews, review total, n reviews, no ratings, rtgs, ratings total, total reviews, reviews count, num reviews, number of ratings, nr of reviews, review qty, opinions',
    de: 'bewertungen, anzahl bewertungen, anz bewertungen, rezensionen, anzahl rezensionen, zahl der bewertungen',
    fr: 'avis, nb avis, nombre avis, nombre d’avis, évaluations, nb évaluations, nombre de commentaires, nb notes',
    es: 'opiniones, reseñas, número de opiniones, valoraciones, nº de reseñas, número de valoraciones, comentarios, n opiniones',
    it: 'recensioni, n recensioni, numero recensioni, valutazioni, numero valutazioni, opinioni',
    nl: 'reviews, aantal reviews, beoordelingen, aantal beoordelingen, recensies',
    pl: 'opinie, liczba opinii, oceny, liczba ocen, recenzje, ilość opinii',
    pt: 'avaliações, número de avaliações, num avaliações, opiniões, n de opiniões, comentários, número de opiniões, qtd avaliações, nº avaliações',
  },
  help: 'How many reviews.',
})
export const stock = field({
  name: 'stock',
  label: 'Stock',
  type: 'count',
  headings: {
    en: 'stock, in stock, quantity available, available, inventory, qty available, qty avail, on hand, stock level, stock qty, available quantity, units available, qty in stock, avail, inventory qty, stock on hand, qty on hand, remaining, stock left, left, how many left, in hand',
    de: 'lager, bestand, lagerbestand, auf lager, verfügbar, lagermenge, verfügbare menge, vorrat, lagerbest, best, lagerst',
    fr: 'stock, en stock, disponible, dispo, quantité disponible, stocks, qté dispo, qté en stock, stock disponible',
    es: 'stock, existencias, disponible, disponibles, inventario, unidades disponibles, cantidad disponible, en stock',
    it: 'giacenza, disponibilità, stock, disponibili, magazzino, in magazzino, scorte, quantità disponibile, giacenze, giac, mag, q.tà mag, disp',
    nl: 'voorraad, op voorraad, beschikbaar, voorradig, beschikbare aantal, magazijn, vrd',
    pl: 'stan, stan magazynowy, dostępne, dostępna ilość, na stanie, magazyn, zapas, stany, dostępność, w magazynie, mag',
    pt: 'stock, estoque, em stock, disponível, existências, quantidade disponível, inventário, disponibilidade',
  },
  help: 'Units on offer.',
})
export const leadDays = field({
  name: 'leadDays',
  label: 'Days to deliver',
  type: 'lead',
  headings: {
    en: 'lead time, delivery days, delivery time, days to deliver, transit days, shipping time, handling time, handling days, dispatch time, production days, lead time days, shipping days, production time, processing time, eta, turnaround, days, lead, delivery in days, transit time, lt',
    de: 'lieferzeit, lieferzeit tage, lieferdauer, lieferfrist, versanddauer, bearbeitungszeit, liefertage, tage bis lieferung, produktionszeit, lz, lz tage, lief zeit',
    fr: 'délai, délai de livraison, délai livraison, délai expédition, jours de livraison, temps de livraison, délais, délai de préparation, délai j',
    es: 'plazo de entrega, plazo, tiempo de entrega, días de entrega, plazo entrega, tiempo de envío, días entrega',
    it: 'tempi di consegna, tempo di consegna, consegna, consegna gg, giorni di consegna, tempi consegna, giorni consegna, tempo di spedizione, gg consegna, gg cons',
    nl: 'levertijd, levertijd dagen, leverdagen, bezorgtijd, doorlooptijd, levertermijn',
    pl: 'czas dostawy, czas realizacji, termin dostawy, dni dostawy, czas wysyłki, termin realizacji',
    pt: 'prazo de entrega, prazo, tempo de entrega, dias de entrega, prazo entrega, tempo de envio',
  },
  help: 'Days from order to arrival.',
})
