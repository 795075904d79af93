import express, { type ErrorRequestHandler, type Express } from 'express'
import helmet from 'helmet'
import { picture } from '@sickle/standins'
import { connector, type ConnectorDeps } from './connector'
import type { ServedFile } from './demo-bytes'
import { pictures } from './pictures'
import { ownNameOnly, ownPagesOnly } from './own-site'

export interface AppDeps {
  /** folder of the built application; null serves the demo alone (development) */
  webRoot: string | null
  demo: { files: ServedFile[]; rules: unknown }
  sources: ConnectorDeps
  /** hosts that pictures may be fetched from */
  pictureHosts: readonly string[]
}

/** The server without its socket: strict headers, the application, the demo's files and pictures, the sources. */
export function createApp({ webRoot, demo, sources, pictureHosts }: AppDeps): Express {
  const app = express()
  app.disable('x-powered-by')
  app.use(ownNameOnly)
  app.use(
    helmet({
      contentSecurityPolicy: {
        useDefaults: false,
        directives: {
          defaultSrc: ["'none'"],
          scriptSrc: ["'self'"],
          workerSrc: ["'self'"],
          // Naive UI writes its styles into the page; scripts get no such leave.
          styleSrc: ["'self'", "'unsafe-inline'"],
          imgSrc: ["'self'", 'data:', 'blob:'],
          fontSrc: ["'self'"],
          connectSrc: ["'self'"],
          manifestSrc: ["'self'"],
          baseUri: ["'none'"],
          formAction: ["'none'"],
          frameAncestors: ["'none'"],
          // Text never becomes script or markup but by these: Vue's own templates, and the addresses of Sickle's workers.
          requireTrustedTypesFor: ["'script'"],
          trustedTypes: ['vue', 'sickle'],
        },
      },
      strictTransportSecurity: false,
      referrerPolicy: { policy: 'no-referrer' },
    }),
  )
  app.use((_, res, next) => {
    res.set('Permissions-Policy', permissions)
    next()
  })
  app.get('/demo/index.json', (_, res) => {
    const files = demo.files.map(({ name, label, answers, bytes }) => ({ name, label, answers, size: bytes.length }))
    res.json({ files, rules: demo.rules })
  })
  app.get('/demo/files/:name', (req, res, next) => {
    const file = demo.files.find((f) => f.name === req.params.name)
    if (!file) return next()
    res.type('application/octet-stream').send(Buffer.from(file.bytes))
  })
  app.get('/demo/pictures/:name', (req, res, next) => {
    const [, shape, colour] = /^([a-z]+)-([a-z]+)\.svg$/.exec(req.params.name) ?? []
    const svg = shape && colour ? picture(shape, colour) : null
    if (svg === null) return next()
    res.set('Cache-Control', 'public, max-age=86400').type('image/svg+xml').send(svg)
  })
  app.use('/demo', (_, res) => void res.status(404).type('text/plain').send('There is no such demo file.'))
  app.use('/api/pictures', ownPagesOnly, pictures(pictureHosts))
  app.use('/api', ownPagesOnly, connector(sources))
  if (webRoot !== null) {
    app.use(express.static(webRoot, { index: 'index.html', maxAge: '1h', setHeaders: noStoreForPages }))
    app.get('/{*path}', (_, res) => res.sendFile('index.html', { root: webRoot, cacheControl: false }))
  }
  app.use(onError)
  return app
}

/** What Sickle never asks a browser for. Copying to the clipboard is its own. */
const permissions = [
  ...[
    'accelerometer',
    'camera',
    'display-capture',
    'geolocation',
    'gyroscope',
    'hid',
    'magnetometer',
    'microphone',
    'midi',
  ],
  ...['payment', 'publickey-credentials-get', 'screen-wake-lock', 'serial', 'usb', 'xr-spatial-tracking'],
]
  .map((feature) => `${feature}=()`)
  .concat('clipboard-write=(self)')
  .join(', ')

function noStoreForPages(res: { setHeader(name: string, value: string): void }, path: string): void {
  if (path.endsWith('.html')) res.setHeader('Cache-Control', 'no-cache')
}

/** Says that it failed, not what was asked: the server logs no data. */
const onError: ErrorRequestHandler = (error: { status?: number }, _req, res, next) => {
  if (res.headersSent) return next(error)
  const status = error.status !== undefined && error.status >= 400 && error.status < 500 ? error.status : 500
  res
    .status(status)
    .type('text/plain')
    .send(status === 500 ? 'The server failed. Please try again.' : 'The request cannot be read.')
}
