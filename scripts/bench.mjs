// Runs every measurement and prints one line a target; ends non-zero when one is short. Not part of the tests.
import { ensureChromium, ensureDeps, ensureNode, npm, root, run } from './ensure.mjs'

ensureNode()
ensureDeps()
process.env.CHROMIUM = ensureChromium()
npm('run', 'build', '--silent')
run(process.execPath, ['--import', 'tsx', `${root}bench/run.ts`])
