import type { RecordKind } from '../record-kinds'
import { currency, listingId, market, store } from './shared-fields'

export const feedback: RecordKind = {
  name: 'feedback',
  label: 'Feedback',
  row: 'what one buyer said of one purchase',
  from: 'market',
  isBy: 'day',
  fields: [
    market,
    { ...store, required: true },
    listingId,
    {
      name: 'day',
      label: 'Left on',
      type: 'day',
      required: true,
      says: ['left on', 'feedback date', 'review date', 'date', 'day', 'reviewed on'],
      help: 'When it was left.',
    },
    {
      name: 'rating',
      label: 'Stars',
      type: 'rating',
      says: ['stars', 'rating', 'score'],
      weight: 2,
      help: 'Stars given, 0 to 5.',
    },
    {
      name: 'sign',
      label: 'Good or bad',
      type: 'text',
      says: ['sign', 'sentiment', 'positive or negative', 'good or bad', 'feedback type'],
      weight: 3,
      help: 'positive, neutral or negative.',
    },
    {
      name: 'words',
      label: 'Words',
      type: 'text',
      says: ['comment', 'review', 'feedback', 'words', 'text', 'review text', 'feedback text'],
      weight: 4,
      help: 'What was said.',
    },
    {
      name: 'price',
      label: 'Price paid',
      type: 'money',
      says: ['price', 'price paid', 'paid'],
      help: 'What was paid.',
    },
    currency,
  ],
}
