// Changes lines of the core one by one, by chance but seeded, and runs the tests that touch them: what lives shows a line that no test
// holds. Run: npm run mutants [-- N [SEED [BEGINNING OF A PATH …]]], by default 300 of six folders. It works on a copy, and changes nothing here.
import { execFileSync } from 'node:child_process'
import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { chance } from '../standins/random'
import { mutantsOf, mutated, type Mutant } from './mutations'
import { passes, suitesByLine, type SuitesByLine } from './suites-by-line'

const home = fileURLToPath(new URL('..', import.meta.url))
const folders = ['demand', 'estimates', 'margin', 'goods', 'catalog', 'intake']
const isWanted = (file: string) => wanted.length === 0 || wanted.some((beginning) => file.startsWith(beginning))
const [many = '300', seed = '1', ...wanted] = process.argv.slice(2)

const together = 2
/** test files that are run at once: what a change breaks is mostly told by the first few */
const perRun = 6

interface Place {
  file: string
  mutant: Mutant
}

function placesIn(folder: string): Place[] {
  const path = join(home, 'core', folder)
  const files = readdirSync(path, { recursive: true, encoding: 'utf8' }).filter(
    (f) => f.endsWith('.ts') && !/\.test\.ts$|judged-|test-|index\.ts$|corpus\//.test(f),
  )
  return files.flatMap((f) => {
    const file = join('core', folder, f)
    return mutantsOf(readFileSync(join(home, file), 'utf8')).map((mutant) => ({ file, mutant }))
  })
}

/** A copy of what is committed or not, with the packages linked: tests of two mutants never meet. */
function copyOfAll(): string {
  const to = mkdtempSync(join(tmpdir(), 'sickle-mutants-'))
  const files = execFileSync('git', ['ls-files', '-z', '--cached', '--others', '--exclude-standard'], { cwd: home })
  execFileSync('tar', ['-cf', join(to, 'all.tar'), '--null', '-T', '-'], { cwd: home, input: files })
  execFileSync('tar', ['-xf', 'all.tar'], { cwd: to })
  execFileSync('cp', ['-al', join(home, 'node_modules'), join(to, 'node_modules')])
  return to
}

async function isKilled(at: string, { file, mutant }: Place, suites: SuitesByLine): Promise<boolean> {
  const path = join(at, file)
  const before = readFileSync(path, 'utf8')
  writeFileSync(path, mutated(before, mutant))
  try {
    for (const some of inTurn(file, suites.of(file, mutant.line)))
      if (!(await passes(at, ['--runTestsByPath', ...some]))) return true
    return false
  } finally {
    writeFileSync(path, before)
  }
}

/** Tests beside a file first, then the others that reach the line, a few at a time. */
function inTurn(file: string, suites: readonly string[]): string[][] {
  const isBeside = (suite: string) => suite.startsWith(file.split('/').slice(0, 2).join('/') + '/')
  const order = [...suites.filter(isBeside), ...suites.filter((s) => !isBeside(s))]
  return Array.from({ length: Math.ceil(order.length / perRun) }, (_, i) => order.slice(i * perRun, (i + 1) * perRun))
}

const short = (text: string) => text.replace(/\s+/g, ' ').slice(0, 60)

function chosen(): Place[] {
  const random = chance(Number(seed))
  const all = folders.flatMap(placesIn).filter(({ file }) => isWanted(file))
  const list: Place[] = []
  while (list.length < Number(many) && all.length > 0)
    list.push(...all.splice(Math.floor(random.next() * all.length), 1))
  return list
}

const tests = readdirSync(join(home, 'core'), { recursive: true, encoding: 'utf8' })
  .filter((f) => f.endsWith('.test.ts'))
  .map((f) => join('core', f))
const suites = await suitesByLine(home, tests, together)
const queue = chosen()
const total = queue.length
let [killed, tried] = [0, 0]
await Promise.all(
  Array.from({ length: together }, async () => {
    const at = copyOfAll()
    for (let place = queue.shift(); place; place = queue.shift()) {
      const dead = await isKilled(at, place, suites)
      if (dead) killed++
      const { line, from, to } = place.mutant
      if (!dead) console.log(`lives: ${place.file}:${line}  ${short(from)}  →  ${short(to)}`)
      if (++tried % 20 === 0) console.log(`${tried} of ${total} tried, ${killed} killed`)
    }
    rmSync(at, { recursive: true })
  }),
)
console.log(`${killed} of ${total} killed (${((100 * killed) / total).toFixed(1)} %), seed ${seed}`)
