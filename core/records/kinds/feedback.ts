import type { RecordKind } from '../field'
import { also } from './fields/also'
import { rating } from './fields/counts'
import { listingId } from './fields/goods'
import { currency, price } from './fields/money'
import { market, store } from './fields/people'

export const feedback: RecordKind = {
  name: 'feedback',
  label: 'Feedback',
  noun: ['feedback', 'feedbacks'],
  row: 'what one buyer said of one purchase',
  from: 'market',
  dayMeans: 'day',
  keys: ['store', 'day', 'words'],
  lives: { rating: 'how well it is liked', day: 'when it was left' },
  fields: [
    market,
    { ...store, required: true },
    listingId,
    {
      name: 'day',
      label: 'Left on',
      type: 'day',
      required: true,
      headings: {
        en: 'left on, feedback date, review date, date, day, reviewed on, left, date left, posted at, posted, reviewed at, created at, posted on, review day, submitted on, when',
        de: 'datum, bewertungsdatum, bewertet am, abgegeben am, tag, rezensiert am, datum der bewertung',
        fr: "date, date de l'avis, date avis, laissé le, publié le, jour, date évaluation",
        es: 'fecha, fecha de la opinión, fecha opinión, publicado el, día, fecha de valoración, fecha reseña',
        it: 'data, data recensione, lasciato il, giorno, data del feedback, pubblicato il',
        nl: 'datum, datum review, geplaatst op, dag, beoordeeld op, datum beoordeling',
        pl: 'data, data opinii, wystawiono, dzień, data wystawienia, data oceny, dodano, dnia',
        pt: 'data, data da avaliação, publicado em, dia, data da opinião, data do comentário',
      },
      help: 'When it was left.',
    },
    { ...rating, label: 'Stars', help: 'Stars given, 0 to 5.' },
    {
      name: 'sign',
      label: 'Good or bad',
      type: 'text',
      headings: {
        en: 'sign, sentiment, positive or negative, good or bad, feedback type, pos neg, verdict, type, tone, polarity',
        de: 'art, stimmung, positiv oder negativ, bewertungsart, urteil, typ, tendenz',
        fr: 'type, sentiment, positif ou négatif, tonalité, type avis',
        es: 'tipo, sentimiento, positivo o negativo, tono, tipo de opinión',
        it: 'tipo, sentimento, positivo o negativo, tono, tipo feedback',
        nl: 'soort, sentiment, positief of negatief, toon, type',
        pl: 'rodzaj, typ, pozytywna czy negatywna, ton, wydźwięk',
        pt: 'tipo, sentimento, positivo ou negativo, tom',
      },
      values: 'signs',
      help: 'positive, neutral or negative.',
    },
    {
      name: 'words',
      label: 'Words',
      type: 'text',
      headings: {
        en: 'comment, review, feedback, words, text, review text, feedback text, body, message, comments, review body, what they said, remark, review comment, said, what was said',
        de: 'kommentar, rezension, bewertungstext, text, bemerkung, bewertung, meinung, rezensionstext',
        fr: 'commentaire, avis, texte, remarque, texte avis, message, contenu',
        es: 'comentario, opinión, reseña, texto, mensaje, observación',
        it: 'commento, recensione, testo, opinione, messaggio, testo recensione',
        nl: 'opmerking, reactie, recensie, tekst, commentaar, review, bericht, toelichting',
        pl: 'komentarz, treść, opinia, tekst, recenzja, treść opinii, uwagi',
        pt: 'comentário, opinião, texto, avaliação, mensagem, crítica, observação',
      },
      help: 'What was said.',
    },
    {
      ...price,
      label: 'Price paid',
      headings: also(price, { en: 'price paid, paid, amt paid, amount paid', de: 'bezahlt, bezahlter preis', fr: 'prix payé, payé', es: 'precio pagado, pagado', it: 'prezzo pagato, pagato', nl: 'betaald, betaalde prijs', pl: 'zapłacono, zapłacona cena', pt: 'preço pago, pago' }),
      help: 'What was paid.',
    },
    currency,
  ],
} // prettier-ignore
