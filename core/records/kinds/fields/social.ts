import { field } from '../../field'

/** Fields of what is shown and how it is met. */
export const views = field({
  name: 'views',
  label: 'Views',
  type: 'count',
  headings: {
    en: 'views, plays, impressions, view count, watched, reach, view ct, video views, impr, times seen, viewers, watch count, play count, total views',
    de: 'aufrufe, ansichten, impressionen, wiedergaben, reichweite, views, abrufe, zuschauer',
    fr: 'vues, nombre de vues, nb vues, impressions, lectures, portée, affichages',
    es: 'visualizaciones, vistas, impresiones, reproducciones, alcance, visitas, n visualizaciones',
    it: 'visualizzazioni, impressioni, riproduzioni, copertura, impression, visite',
    nl: 'weergaven, vertoningen, bereik, bekeken, keer bekeken, views',
    pl: 'wyświetlenia, odsłony, obejrzenia, zasięg, liczba wyświetleń, odtworzenia',
    pt: 'visualizações, impressões, vistas, reproduções, alcance, exibições',
  },
  help: 'How often it was seen.',
})
export const likes = field({
  name: 'likes',
  label: 'Likes',
  type: 'count',
  headings: {
    en: 'likes, hearts, reactions, thumbs up, like count, like ct, faves, favourites, favorites',
    de: 'gefällt mir, likes, herzen, reaktionen, gefällt mir angaben',
    fr: "j'aime, mentions j'aime, likes, cœurs, coeurs, réactions, nb likes",
    es: 'me gusta, likes, corazones, reacciones, n me gusta',
    it: 'mi piace, likes, cuori, reazioni, like',
    nl: 'vind ik leuks, likes, hartjes, vind ik leuk',
    pl: 'polubienia, lajki, serduszka, reakcje, liczba polubień',
    pt: 'gostos, curtidas, likes, corações, reações',
  },
  help: 'How many liked it.',
})
export const comments = field({
  name: 'comments',
  label: 'Comments',
  type: 'count',
  headings: {
    en: 'comments, replies, comment count, cmts, comment ct, number of comments, responses',
    de: 'kommentare, antworten, anzahl kommentare',
    fr: 'commentaires, nb commentaires, réponses, nombre de commentaires',
    es: 'comentarios, respuestas, n comentarios',
    it: 'commenti, risposte, numero commenti',
    nl: 'reacties, opmerkingen, aantal reacties',
    pl: 'komentarze, odpowiedzi, liczba komentarzy',
    pt: 'comentários, respostas, número de comentários',
  },
  help: 'How many answered it.',
})
export const shares = field({
  name: 'shares',
  label: 'Shares',
  type: 'count',
  headings: {
    en: 'shares, reposts, forwards, share count, shared, share ct, times shared',
    de: 'geteilt, mal geteilt, weitergeleitet, shares, teilungen',
    fr: 'partages, nb partages, partagé, repartages',
    es: 'compartidos, veces compartido, compartido, compartidas',
    it: 'condivisioni, condiviso, inoltri',
    nl: 'gedeeld, keer gedeeld, delingen',
    pl: 'udostępnienia, udostępniono, liczba udostępnień',
    pt: 'partilhas, compartilhamentos, partilhado',
  },
  help: 'How many passed it on.',
})
export const headline = field({
  name: 'title',
  label: 'Headline',
  type: 'text',
  headings: {
    en: 'headline, title, ad text, text, copy, ad copy, caption, description, ad title, message, body',
    de: 'überschrift, titel, anzeigentext, text, beschreibung, anzeigentitel, werbetext, schlagzeile',
    fr: 'titre, accroche, texte, légende, description, texte annonce, message',
    es: 'título, texto, titular, descripción, leyenda, texto del anuncio, pie',
    it: 'titolo, testo, descrizione, didascalia, testo annuncio, messaggio',
    nl: 'titel, kop, tekst, bijschrift, omschrijving, advertentietekst, koptekst',
    pl: 'tytuł, nagłówek, tekst, opis, treść reklamy, treść, podpis',
    pt: 'título, texto, legenda, descrição, cabeçalho, texto do anúncio',
  },
  help: 'Its words.',
})
