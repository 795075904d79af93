import { lookup } from 'node:dns/promises'
import http, { type IncomingMessage } from 'node:http'
import https from 'node:https'
import { imageSize } from 'image-size'
import ipaddr from 'ipaddr.js'

/** A picture that is not fetched, and why; told to the page, with nothing of the answer. */
export class PictureRefused extends Error {}

export interface PictureWays {
  /** names of hosts, with their port where it is not the usual one */
  hosts: readonly string[]
  /** every address of a host */
  resolve: (host: string) => Promise<string[]>
  /** asks one address of a host */
  open: (url: URL, address: string, signal: AbortSignal) => Promise<IncomingMessage>
  /** the longest that all of it may take (default 10 s) */
  longestMs?: number
}

export interface FetchedPicture {
  type: string
  bytes: Buffer
}

const mostBytes = 5_000_000
const mostPixels = 40_000_000
const longestMs = 10_000
const mostRedirects = 3

/**
 * Fetches a picture from a host of the list. Every step of a redirect is held to the same: a listed host over http or https, all of whose
 * addresses are public, and the connection goes to an address that was looked at. What is no bitmap, whatever it calls itself, is refused.
 *
 * @throws PictureRefused
 */
export async function fetchPicture(address: string, ways: PictureWays): Promise<FetchedPicture> {
  const signal = AbortSignal.timeout(ways.longestMs ?? longestMs)
  try {
    let next = address
    for (let step = 0; step <= mostRedirects; step++) {
      const url = listed(next, ways.hosts)
      const found = await inTime(publicAddress(url.hostname, ways.resolve), signal)
      const answer = await ways.open(url, found, signal)
      const { statusCode = 0, headers } = answer
      if (statusCode >= 300 && statusCode < 400 && headers.location !== undefined) {
        answer.destroy()
        next = URL.canParse(headers.location, url.href) ? new URL(headers.location, url).href : ''
        continue
      }
      if (statusCode !== 200) {
        answer.destroy()
        throw new PictureRefused(`it was answered ${statusCode}`)
      }
      const bytes = await readUpTo(answer, mostBytes)
      return { type: bitmapType(bytes), bytes }
    }
    throw new PictureRefused('it leads on too often')
  } catch (error) {
    if (error instanceof PictureRefused) throw error
    throw new PictureRefused(signal.aborted ? 'it takes too long' : 'it cannot be reached', { cause: error })
  }
}

/** A name that nobody answers for is not waited for without end. */
function inTime<T>(doing: Promise<T>, signal: AbortSignal): Promise<T> {
  signal.throwIfAborted()
  const ended = new Promise<never>((_, reject) =>
    signal.addEventListener('abort', () => reject(new Error('too late')), { once: true }),
  )
  return Promise.race([doing, ended])
}

function listed(address: string, hosts: readonly string[]): URL {
  if (!URL.canParse(address)) throw new PictureRefused('it is no address')
  const url = new URL(address)
  const isPlain = /^https?:$/.test(url.protocol) && url.username === '' && url.password === ''
  if (!isPlain) throw new PictureRefused('it is no address of the web')
  if (!hosts.includes(url.host)) throw new PictureRefused('its host is not among those that pictures may come from')
  return url
}

/** One private address among several is enough to refuse: which one is asked is chance. */
async function publicAddress(host: string, resolve: PictureWays['resolve']): Promise<string> {
  const addresses = await resolve(host)
  const isPublic = (a: string) => ipaddr.isValid(a) && ipaddr.process(a).range() === 'unicast'
  const [first] = addresses
  if (first === undefined || !addresses.every(isPublic))
    throw new PictureRefused('its host is not on the public network')
  return first
}

async function readUpTo(answer: IncomingMessage, most: number): Promise<Buffer> {
  if (Number(answer.headers['content-length'] ?? 0) > most) {
    answer.destroy()
    throw new PictureRefused('it is too large')
  }
  const parts: Buffer[] = []
  let length = 0
  for await (const part of answer as AsyncIterable<Buffer>) {
    length += part.length
    if (length > most) {
      answer.destroy()
      throw new PictureRefused('it is too large')
    }
    parts.push(part)
  }
  return Buffer.concat(parts)
}

const bitmaps = new Map([
  ['png', 'image/png'],
  ['jpg', 'image/jpeg'],
  ['gif', 'image/gif'],
  ['webp', 'image/webp'],
])

/** By its own first bytes, not by what is said of it. A drawing can hold a script, and few bytes can unfold to a picture that no page can hold. */
function bitmapType(bytes: Buffer): string {
  const { type, width, height } = sizeOf(bytes)
  const known = bitmaps.get(type ?? '')
  if (known === undefined) throw new PictureRefused('it is no picture of a known kind')
  if (!(width * height <= mostPixels)) throw new PictureRefused('it is too large')
  return known
}

function sizeOf(bytes: Buffer): { type?: string; width: number; height: number } {
  try {
    return imageSize(bytes)
  } catch {
    return { width: 0, height: 0 } // nothing that is known
  }
}

/** The network as it is. */
export const networkWays: Omit<PictureWays, 'hosts'> = {
  resolve: async (host) => (await lookup(host, { all: true })).map((found) => found.address),
  open: (url, address, signal) =>
    new Promise((resolve, reject) => {
      const found = { address, family: ipaddr.parse(address).kind() === 'ipv6' ? 6 : 4 }
      const options: https.RequestOptions = {
        signal,
        headers: { accept: 'image/*', 'user-agent': 'Sickle' },
        // the address that was looked at, not one that the name has by now
        lookup: (_, { all }, done) => (all ? done(null, [found]) : done(null, found.address, found.family)),
      }
      ;(url.protocol === 'https:' ? https : http).get(url, options, resolve).on('error', reject)
    }),
}
