import type { Item } from './item'

/**
 * The address under which a listing can be opened; null for anything but a plain web page: what a file says is never trusted to be one.
 *
 * @example webAddress('javascript:alert(1)') // null
 */
export function webAddress(text: string | null): string | null {
  if (text === null || text.length > 2000 || !URL.canParse(text.trim())) return null
  const { protocol, username, password, href } = new URL(text.trim())
  return (protocol === 'http:' || protocol === 'https:') && username + password === '' ? href : null
}

/** The address of the listing that an item is known by, or of the first that has one. */
export function addressOf({ key, listings }: Pick<Item, 'key' | 'listings'>): string | null {
  return listings.find((l) => l.key === key)?.url ?? listings.find((l) => l.url !== null)?.url ?? null
}
