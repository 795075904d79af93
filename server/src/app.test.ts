import { mkdtempSync, writeFileSync } from 'node:fs'
import type { AddressInfo } from 'node:net'
import { get, type Server } from 'node:http'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { importRows, openFile, openQuestions, proposeMapping } from '@sickle/core/intake'
import { demoFiles, hitOffers, makeWorld } from '@sickle/standins'
import { createApp } from './app'
import { readConfig } from './config'
import { demoBytes } from './demo-bytes'

const world = makeWorld({ goods: 60, listings: 120, stores: 60, offers: 40 })
const sources = {
  sources: [{ id: 'farholt', name: 'Farholt', standin: { size: 3000, stores: 5, latencyMs: 0, perSecond: 100_000 } }],
  fetch,
  now: () => 0,
  random: () => 0.5,
  sleep: () => Promise.resolve(),
}
let server: Server
let base: string

beforeAll(async () => {
  const webRoot = mkdtempSync(join(tmpdir(), 'sickle-'))
  writeFileSync(join(webRoot, 'index.html'), '<title>Sickle</title>')
  const app = createApp({
    webRoot,
    demo: { files: await demoBytes(demoFiles(world)), rules: {} },
    sources,
    pictureHosts: [],
  })
  server = await new Promise((resolve) => {
    const s = app.listen(0, '127.0.0.1', () => resolve(s))
  })
  base = `http://127.0.0.1:${(server.address() as AddressInfo).port}`
})
afterAll(() => new Promise((resolve) => server.close(resolve)))

test('headers are strict: no inline script, nothing from elsewhere, no name of the server', async () => {
  const { headers } = await fetch(`${base}/`)
  const csp = headers.get('content-security-policy') ?? ''
  expect(csp).toContain("default-src 'none'")
  expect(csp).toContain("script-src 'self';")
  expect(csp).toContain("connect-src 'self'")
  expect(headers.get('x-content-type-options')).toBe('nosniff')
  expect(headers.get('referrer-policy')).toBe('no-referrer')
  expect(headers.get('x-powered-by')).toBeNull()
})

test('any path of the application gives the page; demo paths that do not exist give 404', async () => {
  expect(await (await fetch(`${base}/margin/Marrowgate%2F1`)).text()).toContain('<title>Sickle')
  for (const path of [
    '/demo/files/nothing.csv',
    '/demo/pictures/none-red.svg',
    '/demo/files/..%2Fpackage.json',
    '/demo/pictures/constructor-red.svg',
  ]) {
    expect((await fetch(base + path)).status).toBe(404)
  }
  expect((await fetch(`${base}/demo/files/%E0%A4%A`)).status).toBe(400)
})

test('pictures are drawn', async () => {
  const response = await fetch(`${base}/demo/pictures/mug-white.svg`)
  expect(response.headers.get('content-type')).toContain('image/svg+xml')
  expect(await response.text()).toMatch(/^<svg .*<\/svg>$/)
})

test("the supplier's price list is a spreadsheet that the intake reads back whole", async () => {
  const bytes = await (await fetch(`${base}/demo/files/quaymaster-prices.xlsx`)).blob()
  const opened = await openFile(new File([bytes], 'q.xlsx'))
  const { mapping, questions } = proposeMapping(opened, Date.UTC(2026, 11, 1))
  expect(mapping).toMatchObject({ kind: 'offers', currency: 'USD', capturedOn: 20604 })
  expect(openQuestions(questions, mapping)).toEqual([])
  const result = await importRows(opened, mapping)
  expect(result.taken).toBe(world.offers.length + hitOffers(world).length)
})

test('the configuration is checked and frozen', () => {
  expect(readConfig({})).toEqual({ host: '127.0.0.1', port: 4173 })
  expect(Object.isFrozen(readConfig({ SICKLE_PORT: '0' }))).toBe(true)
  expect(() => readConfig({ SICKLE_PORT: '99999' })).toThrow(/SICKLE_PORT must be a port/)
})

/** Asked by hand, with headers that fetch would not let be set. */
function asked(path: string, headers: Record<string, string>): Promise<number | undefined> {
  return new Promise((resolve, reject) =>
    get(`${base}${path}`, { headers }, (res) => {
      res.resume()
      resolve(res.statusCode)
    }).on('error', reject),
  )
}

test('a foreign name is refused everywhere, its own names are answered', async () => {
  const { port } = server.address() as AddressInfo
  const names = ['127.0.0.1', 'localhost', 'LOCALHOST', `127.0.0.1:${port}`, `localhost:${port}`, '[::1]:4173']
  for (const host of names) expect([host, await asked('/', { host })]).toEqual([host, 200])
  const foreign = [
    'evil.test',
    `evil.test:${port}`,
    '127.0.0.1.evil.test',
    'localhost.evil.test',
    '127.0.0.2',
    'localhost:1:2',
    'x@localhost',
  ]
  for (const path of ['/', '/demo/index.json', '/api/sources', '/api/sources/farholt/about'])
    for (const host of foreign) expect([path, host, await asked(path, { host })]).toEqual([path, host, 421])
})

test('a page of another site gets nothing of the sources, be it by a picture', async () => {
  const site = (value: string) => asked('/api/sources/farholt/about', { 'sec-fetch-site': value })
  expect(await Promise.all(['same-origin', 'none'].map(site))).toEqual([200, 200])
  expect(await Promise.all(['cross-site', 'same-site', 'else'].map(site))).toEqual([403, 403, 403])
  expect(await asked('/', { 'sec-fetch-site': 'cross-site' })).toBe(200) // a link to Sickle may stand anywhere
})

test('what Sickle never needs is forbidden to its page', async () => {
  const { headers } = await fetch(`${base}/`)
  expect(headers.get('permissions-policy')).toMatch(/camera=\(\).*geolocation=\(\).*microphone=\(\).*usb=\(\)/)
  expect(headers.get('content-security-policy')).toContain("require-trusted-types-for 'script'")
})
