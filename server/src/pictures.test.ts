import { createServer, type Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import express from 'express'
import { fetchPicture, networkWays } from './fetch-picture'
import { readPictureHosts, standinHost } from './picture-hosts'
import { pictures } from './pictures'
import { standinPicture } from './standin-picture'

const png = standinPicture('x').bytes
/** few bytes that say they are 60,000 × 60,000 pixels */
const bomb = Buffer.from(png)
bomb.writeUInt32BE(60_000, 16)
bomb.writeUInt32BE(60_000, 20)
const svg = '<svg xmlns="http://www.w3.org/2000/svg"><script>alert(1)</script></svg>'
const host = 'pictures.example.org'
let sent = 0

/** A market's host of pictures that is not to be trusted. */
const hostile = createServer((req, res) => {
  const to = (location: string) => res.writeHead(302, { location }).end()
  const as = (type: string, body: string | Buffer) => res.writeHead(200, { 'content-type': type }).end(body)
  switch (req.url) {
    case '/good.png':
      return as('text/plain', png)
    case '/moved':
      return to('/good.png')
    case '/away':
      return to('http://elsewhere.example.net/good.png')
    case '/inside':
      return to('http://private.example.org/good.png')
    case '/file':
      return to('file:///etc/passwd')
    case '/round':
      return to('/round')
    case '/huge':
      return res.writeHead(200, { 'content-type': 'image/png', 'content-length': '1000000000' }).write(png)
    case '/endless': {
      res.writeHead(200, { 'content-type': 'image/png' })
      const more = () => {
        while (!res.destroyed && sent < 60_000_000) {
          sent += 65_536
          if (!res.write(Buffer.alloc(65_536))) return void res.once('drain', more)
        }
        res.end()
      }
      return more()
    }
    case '/drawing.png':
      return as('image/png', svg)
    case '/page':
      return as('image/jpeg', '<!doctype html><script>alert(1)</script>')
    case '/bomb.png':
      return as('image/png', bomb)
    case '/slow':
      return undefined
    default:
      return res.writeHead(404).end()
  }
})
const listening = (server: Server) =>
  new Promise<number>((resolve) => server.listen(0, '127.0.0.1', () => resolve((server.address() as AddressInfo).port)))
let port = 0
beforeAll(async () => void (port = await listening(hostile)))
afterAll(() => {
  hostile.closeAllConnections()
  return new Promise((resolve) => hostile.close(resolve))
})

const addresses: Record<string, string[]> = {
  [host]: ['93.184.216.34'],
  'private.example.org': ['10.0.0.7'],
  'both.example.org': ['93.184.216.34', '127.0.0.1'],
  'none.example.org': [],
}
/** As the network would, but every host is the hostile one. */
const ways = {
  hosts: [...Object.keys(addresses), '127.0.0.1', 'localhost', 'mapped.example.org', `${host}:8443`],
  resolve: (name: string) => Promise.resolve(addresses[name] ?? [name]),
  open: (url: URL, _: string, signal: AbortSignal) =>
    networkWays.open(new URL(`http://${url.hostname}:${port}${url.pathname}`), '127.0.0.1', signal),
  longestMs: 1500,
}
const refused = (address: string, some: Partial<typeof ways> = {}) =>
  fetchPicture(address, { ...ways, ...some }).then(
    () => 'fetched',
    (error: Error) => error.message,
  )

test('a picture of a listed host comes, also by a redirect on the list, and its type is what it is', async () => {
  for (const path of ['good.png', 'moved']) {
    const { type, bytes } = await fetchPicture(`https://${host}/${path}`, ways)
    expect([type, bytes.equals(png)]).toEqual(['image/png', true])
  }
})

test.each([
  ['http://elsewhere.example.net/good.png', 'its host is not among those that pictures may come from'],
  [`http://${host}:8080/good.png`, 'its host is not among those that pictures may come from'],
  [`http://${host}.example.net/good.png`, 'its host is not among those that pictures may come from'],
  [`http://me:secret@${host}/good.png`, 'it is no address of the web'],
  ['file:///etc/passwd', 'it is no address of the web'],
  ['data:image/png;base64,AAAA', 'it is no address of the web'],
  ['/good.png', 'it is no address'],
  ['', 'it is no address'],
  ['http://private.example.org/good.png', 'its host is not on the public network'],
  ['http://both.example.org/good.png', 'its host is not on the public network'],
  ['http://none.example.org/good.png', 'its host is not on the public network'],
  ['http://127.0.0.1/good.png', 'its host is not on the public network'],
  [`http://${host}/away`, 'its host is not among those that pictures may come from'],
  [`http://${host}/inside`, 'its host is not on the public network'],
  [`http://${host}/file`, 'it is no address of the web'],
  [`http://${host}/round`, 'it leads on too often'],
  [`http://${host}/huge`, 'it is too large'],
  [`http://${host}/endless`, 'it is too large'],
  [`http://${host}/drawing.png`, 'it is no picture of a known kind'],
  [`http://${host}/page`, 'it is no picture of a known kind'],
  [`http://${host}/bomb.png`, 'it is too large'],
  [`http://${host}/gone`, 'it was answered 404'],
  [`http://${host}/slow`, 'it takes too long'],
])('%s: %s', async (address, why) => expect(await refused(address)).toBe(why))

test('of what never ends no more is read than may be', () => expect(sent).toBeLessThan(30_000_000))

// Private, shared, local and documentation ranges: RFC 1918, 6598, 3927, 4193, 4291.
test.each([
  ...['0.0.0.0', '10.1.2.3', '100.64.0.1', '127.8.8.8', '169.254.169.254', '172.16.0.1', '192.168.1.1', '224.0.0.1'],
  ...[
    '::',
    '::1',
    'fc00::1',
    'fe80::1',
    '::ffff:127.0.0.1',
    '::ffff:10.0.0.1',
    '64:ff9b::7f00:1',
    'ff02::1',
    'no address',
  ],
])('%s is not on the public network', async (address) =>
  expect(await refused(`http://${host}/good.png`, { resolve: () => Promise.resolve([address]) })).toBe(
    'its host is not on the public network',
  ),
)

test('a host that cannot be found, or does not answer, is said to be out of reach', async () => {
  const lost = () => Promise.reject(new Error('ENOTFOUND'))
  expect(await refused(`http://${host}/good.png`, { resolve: lost })).toBe('it cannot be reached')
  expect(await refused(`http://${host}/good.png`, { open: lost })).toBe('it cannot be reached')
  const never = () => new Promise<string[]>(() => undefined)
  expect(await refused(`http://${host}/good.png`, { resolve: never, longestMs: 50 })).toBe('it takes too long')
})

test('the hosts are those of the configuration; none unless it names some', () => {
  expect(readPictureHosts({})).toEqual([])
  expect(readPictureHosts({ SICKLE_PICTURES: ' Pictures.Example.org:8443, standin,' })).toEqual([
    `${host}:8443`,
    standinHost,
  ])
  for (const wrong of ['http://a.example', '10.0.0.7', '192.168.1.1:80', 'localhost', 'a b.example', '*.example.org'])
    expect(() => readPictureHosts({ SICKLE_PICTURES: wrong })).toThrow(`'${wrong}' is no name of a host`)
})

test('pages are answered with the picture or with the reason, and the stand-in without any network', async () => {
  const app = express().use(
    '/p',
    pictures([host, standinHost], { ...ways, resolve: () => Promise.resolve(['10.0.0.1']) }),
  )
  const server = createServer(app)
  const base = `http://127.0.0.1:${await listening(server)}/p`
  const ask = (address: string) => fetch(`${base}?address=${encodeURIComponent(address)}`)
  expect(await (await fetch(`${base}/hosts`)).json()).toEqual([host, standinHost])
  const drawn = await ask(`https://${standinHost}/7.png`)
  expect(drawn.headers.get('content-type')).toBe('image/png')
  expect(drawn.headers.get('content-security-policy')).toBe("default-src 'none'; sandbox")
  expect(Buffer.from(await drawn.arrayBuffer())).toEqual(standinPicture(`https://${standinHost}/7.png`).bytes)
  const no = await ask(`https://${host}/good.png`)
  expect([no.status, await no.json()]).toEqual([422, { reason: 'its host is not on the public network' }])
  await new Promise((resolve) => server.close(resolve))
})

test('the connection goes to the address that was looked at, under the name of the host', async () => {
  const named = createServer((req, res) => res.end(req.headers.host))
  const at = await listening(named)
  const answer = await networkWays.open(new URL(`http://${host}:${at}/`), '127.0.0.1', AbortSignal.timeout(2000))
  const said: Buffer[] = []
  for await (const part of answer as AsyncIterable<Buffer>) said.push(part)
  expect(Buffer.concat(said).toString()).toBe(`${host}:${at}`)
  await new Promise((resolve) => named.close(resolve))
})
