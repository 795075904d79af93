// Writes the record kinds into docs/formats.md and the connector contract into docs/connector.openapi.json. Run: npm run docs
import { readFileSync, writeFileSync } from 'node:fs'
import { contract } from '../core/scan'
import { formatsPage } from '../core/records/formats-page'

const path = new URL('../docs/formats.md', import.meta.url)
const page = readFileSync(path, 'utf8')
const [start, end] = ['<!-- kinds: written by `npm run docs` -->', '<!-- /kinds -->']
const [before, rest] = page.split(start)
const after = rest?.split(end)[1]
if (before === undefined || after === undefined) throw new Error('docs/formats.md has lost its marks')
writeFileSync(path, `${before}${start}\n\n${formatsPage()}\n\n${end}${after}`)
writeFileSync(new URL('../docs/connector.openapi.json', import.meta.url), `${JSON.stringify(contract(), null, 2)}\n`)
