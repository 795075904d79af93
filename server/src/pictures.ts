import { Router } from 'express'
import { fetchPicture, networkWays, PictureRefused, type PictureWays } from './fetch-picture'
import { standinHost } from './picture-hosts'
import { standinPicture } from './standin-picture'

const dayS = 86_400

/** Pictures from addresses in the data: only from hosts that the configuration names, and none where it names none. */
export function pictures(hosts: readonly string[], ways: Omit<PictureWays, 'hosts'> = networkWays): Router {
  const router = Router()
  router.get('/hosts', (_, res) => res.json(hosts))
  router.get('/', async (req, res) => {
    const address = typeof req.query.address === 'string' ? req.query.address : ''
    try {
      const { type, bytes } = isStandins(address, hosts)
        ? standinPicture(address)
        : await fetchPicture(address, { hosts, ...ways })
      // opened by itself it can do nothing either
      res.set({ 'Cache-Control': `private, max-age=${dayS}`, 'Content-Security-Policy': "default-src 'none'; sandbox" })
      res.type(type).send(bytes)
    } catch (error) {
      if (!(error instanceof PictureRefused)) throw error
      res.status(422).json({ reason: error.message })
    }
  })
  return router
}

const isStandins = (address: string, hosts: readonly string[]) =>
  hosts.includes(standinHost) && URL.canParse(address) && new URL(address).host === standinHost
