import express, { Router, type Response } from 'express'
import { contract, isContractPath, narrowedBy } from '@sickle/core/scan'
import type { SourceConfig } from './sources-config'
import { StandinSource, type StandinDeps } from './standin-source'

export interface ConnectorDeps extends StandinDeps {
  sources: readonly SourceConfig[]
  fetch: typeof fetch
}

const mostBytes = 8_000_000
const longestMs = 30_000
const known = [...narrowedBy, 'page', 'limit', 'asOf']

/** The one way out: configured sources, the contract's paths and its parameters, nothing else. */
export function connector({ sources, fetch: get, ...deps }: ConnectorDeps): Router {
  const router = Router()
  const standins = new Map(
    sources.flatMap((s) => ('standin' in s ? [[s.id, new StandinSource(s.standin, deps)] as const] : [])),
  )
  router.get('/contract.json', (_, res) => res.json(contract()))
  router.get('/sources', (_, res) => res.json(sources.map(({ id, name }) => ({ id, name, standin: standins.has(id) }))))
  // Another site's page cannot send this: JSON by PUT is asked for beforehand, and no leave is ever given.
  router.put('/standins/:id', express.json({ limit: '4kb' }), (req, res) => {
    const standin = standins.get(req.params.id ?? '')
    if (!standin) return void res.status(404).json({ reason: 'there is no such stand-in' })
    try {
      standin.turn(req.body)
      res.json(standin.knobs)
    } catch (error) {
      res.status(400).json({ reason: error instanceof RangeError ? error.message : 'the knobs cannot be read' })
    }
  })
  router.get('/sources/:id/{*path}', async (req, res) => {
    const path = ([] as string[]).concat(req.params.path ?? []).join('/')
    const source = sources.find((s) => s.id === req.params.id)
    if (!source || !isContractPath(path))
      return void res.status(404).json({ reason: 'there is no such source or list' })
    const query = Object.fromEntries(
      known.flatMap((name) => (typeof req.query[name] === 'string' ? [[name, req.query[name]]] : [])),
    )
    if ('standin' in source) return standins.get(source.id)?.answer(path, query, req, res)
    await forward(source, path, query, res, get)
  })
  router.use((_, res) => void res.status(404).json({ reason: 'there is nothing here' }))
  return router
}

async function forward(
  source: Extract<SourceConfig, { base: string }>,
  path: string,
  query: Record<string, string>,
  res: Response,
  get: typeof fetch,
): Promise<void> {
  const url = `${source.base}/${path.split('/').map(encodeURIComponent).join('/')}?${new URLSearchParams(query).toString()}`
  const headers: Record<string, string> = { accept: 'application/json' }
  if (source.token !== null) headers.authorization = `Bearer ${source.token}`
  try {
    const answer = await get(url, { headers, redirect: 'error', signal: AbortSignal.timeout(longestMs) })
    const after = answer.headers.get('retry-after')
    if (after !== null) res.set('Retry-After', after)
    const body = await limited(answer)
    res.status(answer.status).type('json').send(body)
  } catch {
    res.status(502).json({ reason: 'the source did not answer, or said too much' })
  }
}

/** The body as text, never more than the bound. */
async function limited(answer: globalThis.Response): Promise<string> {
  const reader = answer.body?.getReader()
  const parts: Uint8Array[] = []
  let size = 0
  for (let part = await reader?.read(); part && !part.done; part = await reader?.read()) {
    size += part.value.length
    if (size > mostBytes) {
      await reader?.cancel()
      throw new Error('too long an answer')
    }
    parts.push(part.value)
  }
  return Buffer.concat(parts).toString('utf8')
}
