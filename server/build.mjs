import { fileURLToPath } from 'node:url'
import { bundle } from '../scripts/bundle.mjs'

const at = (path) => fileURLToPath(new URL(path, import.meta.url))
await bundle(at('src/main.ts'), at('dist/main.js'))
