// Runs every measurement, or those that are named, and prints one line a target; ends non-zero when one is short. Not part of the tests.
import { ensureChromium, ensureDeps, ensureNode, npm, root, run } from './ensure.mjs'

ensureNode()
ensureDeps()
process.env.CHROMIUM = ensureChromium()
npm('run', 'build', '--silent')
const { bundle } = await import('./bundle.mjs')
await bundle(`${root}bench/run.ts`, `${root}bench/dist/run.js`)
run(process.execPath, [`${root}bench/dist/run.js`, ...process.argv.slice(2)])
