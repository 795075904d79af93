import { existsSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import type { AddressInfo } from 'node:net'
import { demoCosts, demoFiles, demoImports, demoRates, demoSchedules } from '@sickle/standins'
import { createApp } from './app'
import { readConfig } from './config'
import { demoBytes } from './demo-bytes'
import { readPictureHosts } from './picture-hosts'
import { readSources } from './sources-config'

const config = readConfig(process.env)
const webRoot = fileURLToPath(new URL('../../web/dist/', import.meta.url))
const files = await demoBytes(demoFiles())
const rules = { schedules: demoSchedules, rates: demoRates, costs: demoCosts, imports: demoImports }
const pictureHosts = readPictureHosts(process.env)
const sources = {
  sources: readSources(process.env),
  fetch,
  now: () => Date.now(),
  random: () => Math.random(),
  sleep: (ms: number) => new Promise<void>((resolve) => setTimeout(resolve, ms)),
}
const app = createApp({ webRoot: existsSync(webRoot) ? webRoot : null, demo: { files, rules }, sources, pictureHosts })
const server = app.listen(config.port, config.host, (error?: Error) => {
  if (error) {
    const taken = (error as NodeJS.ErrnoException).code === 'EADDRINUSE'
    console.error(taken ? `Port ${config.port} is taken: set SICKLE_PORT to another.` : error.message)
    process.exit(1)
  }
  console.log(`Sickle runs at http://${config.host}:${(server.address() as AddressInfo).port}`)
})
for (const signal of ['SIGINT', 'SIGTERM'] as const) process.on(signal, () => server.close(() => process.exit(0)))
