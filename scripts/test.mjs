// Everything that can fail, in one command: lint, types, unit tests, the build, end-to-end tests. Ends with `N passed, N failed`.
import { spawnSync } from 'node:child_process'
import { mkdtempSync, readFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { ensureChromium, ensureDeps, ensureNode, ensurePython, root } from './ensure.mjs'

ensureNode()
ensureDeps()
ensurePython()
process.env.CHROMIUM = ensureChromium()

const out = mkdtempSync(join(tmpdir(), 'sickle-test-'))
let passed = 0
let failed = 0

/** Runs an npm script; returns whether it went well. */
function script(name, args = [], env = {}) {
  const start = Date.now()
  console.log(`\n== ${name}`)
  const cli = process.env.npm_execpath
  const [command, first] = cli?.endsWith('.js') ? [process.execPath, [cli]] : ['npm', []]
  const { status } = spawnSync(
    command,
    [...first, 'run', '--silent', name, ...(args.length > 0 ? ['--', ...args] : [])],
    {
      cwd: root,
      stdio: 'inherit',
      env: { ...process.env, ...env },
    },
  )
  console.log(`== ${name}: ${status === 0 ? 'fine' : 'FAILED'} in ${((Date.now() - start) / 1000).toFixed(0)} s`)
  return status === 0
}

function count(ok) {
  if (ok) passed++
  else failed++
}

/** Adds a runner's own counts; a runner that died without a report is one failure. */
function counted(ok, file, read) {
  try {
    const { good, bad } = read(JSON.parse(readFileSync(file, 'utf8')))
    passed += good
    failed += bad
    if (!ok && bad === 0) failed++
  } catch {
    failed++
  }
}

count(script('lint'))
count(script('types'))
const unit = join(out, 'unit.json')
counted(script('unit', ['--json', `--outputFile=${unit}`, '--silent']), unit, (r) => ({
  good: r.numPassedTests,
  bad: r.numFailedTests + r.numRuntimeErrorTestSuites,
}))
const built = script('build')
count(built)
if (built) {
  const e2e = join(out, 'e2e.json')
  counted(script('e2e', [], { SICKLE_E2E_JSON: e2e }), e2e, (r) => ({
    good: r.stats.expected,
    bad: r.stats.unexpected + r.stats.flaky + r.errors.length,
  }))
}
console.log(`\n${passed} passed, ${failed} failed`)
process.exit(failed === 0 ? 0 : 1)
