import type { ListingStatus } from '@sickle/core/clear'

/** How each answer is written, and its sign: a colour never stands alone. */
export const statusWords: Record<ListingStatus, { label: string; sign: string; tone: string }> = {
  restricted: { label: 'may not be listed', sign: '✗', tone: 'loss' },
  'needs approval': { label: 'needs approval', sign: '!', tone: 'caution' },
  allowed: { label: 'allowed', sign: '✓', tone: 'profit' },
  unknown: { label: 'unknown', sign: '?', tone: 'quiet' },
}
