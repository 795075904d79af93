/**
 * Whether a picture is one that Sickle's own server draws. The whole address is matched: one that only begins rightly may lead
 * anywhere, such as to a source that is asked with the seller's token.
 */
export function isOwnPicture(address: string | null): address is string {
  return address !== null && /^\/demo\/pictures\/[a-z]{1,40}-[a-z]{1,40}\.svg$/.test(address)
}
