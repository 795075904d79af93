import { signatureKey, titleSignature } from './title-signature'

export interface JoinedListing {
  title: string
  gtin: string | null
}

/** Why a listing stands with the others of its item: the strongest of what it shares with any of them. */
export type JoinReason =
  { by: 'barcode' } | { by: 'same words' } | { by: 'alike words'; share: number } | { by: 'nothing' }

/** @param share words that both titles have / words that either has, each counted once: a plain measure of what was weighed */
export function whyJoined(listing: JoinedListing, others: readonly JoinedListing[]): JoinReason {
  if (listing.gtin !== null && others.some((o) => o.gtin === listing.gtin)) return { by: 'barcode' }
  const own = titleSignature(listing.title)
  const signatures = others.map((o) => titleSignature(o.title))
  if (signatures.some((s) => signatureKey(s) === signatureKey(own))) return { by: 'same words' }
  const share = Math.max(0, ...signatures.map((s) => overlap(own.words, s.words)))
  return share > 0 ? { by: 'alike words', share } : { by: 'nothing' }
}

function overlap(a: readonly string[], b: readonly string[]): number {
  const both = a.filter((w) => b.includes(w)).length
  return both === 0 ? 0 : both / (a.length + b.length - both)
}
