import type { RequestHandler } from 'express'

const ownNames = new Set(['127.0.0.1', 'localhost', '[::1]'])

/**
 * Answers to its own names alone. A page elsewhere can make a name of its own point here (DNS rebinding); then the browser takes that
 * page for one of Sickle's, but still says by which name it asked.
 */
export const ownNameOnly: RequestHandler = (req, res, next) => {
  const name = (req.headers.host ?? '').toLowerCase().replace(/:\d{1,5}$/, '')
  if (ownNames.has(name)) return next()
  res.status(421).type('text/plain').send('Sickle answers to 127.0.0.1 and localhost alone.')
}

const welcome = new Set(['same-origin', 'none'])

/** Refuses what a page of another site asks, be it by a picture: the answer would cost the seller's tokens. Source: W3C, Fetch Metadata. */
export const ownPagesOnly: RequestHandler = (req, res, next) => {
  const site = req.headers['sec-fetch-site']
  if (site === undefined || welcome.has(String(site))) return next()
  res.status(403).json({ reason: 'asked by a page of another site' })
}
