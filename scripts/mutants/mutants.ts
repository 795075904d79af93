// Changes lines of the core one by one, by chance but seeded, and runs the tests that reach them: what lives shows a line that no test
// holds. Run: npm run mutants [-- N [SEED [BEGINNING OF A PATH …]]], by default 300 of six folders. Nothing is changed on the disk.
import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { chance } from '../../standins/random'
import { asProgram, home } from './bundle'
import { mutantsOf, mutated, type Mutant } from './mutations'
import { suitesByLine, type Suite, type SuitesByLine } from './suites-by-line'
import { Tester } from './tester'

const folders = ['demand', 'estimates', 'margin', 'goods', 'catalog', 'intake']
const [many = '300', seed = '1', ...wanted] = process.argv.slice(2)
const together = 2

interface Place {
  file: string
  text: string
  mutant: Mutant
}

function placesIn(folder: string): Place[] {
  const files = readdirSync(join(home, 'core', folder), { recursive: true, encoding: 'utf8' }).filter(
    (f) => f.endsWith('.ts') && !/\.test\.ts$|judged-|test-|fixtures\/|index\.ts$|corpus\//.test(f),
  )
  return files.flatMap((f) => {
    const file = join('core', folder, f)
    const text = readFileSync(join(home, file), 'utf8')
    return mutantsOf(text).map((mutant) => ({ file, text, mutant }))
  })
}

function chosen(): Place[] {
  const random = chance(Number(seed))
  const isWanted = ({ file }: Place) => wanted.length === 0 || wanted.some((beginning) => file.startsWith(beginning))
  const all = folders.flatMap(placesIn).filter(isWanted)
  const list: Place[] = []
  while (list.length < Number(many) && all.length > 0)
    list.push(...all.splice(Math.floor(random.next() * all.length), 1))
  return list
}

/** Tests beside a file first, then the others that reach the line, the quickest first. */
function inTurn({ file, mutant }: Place, suites: SuitesByLine): Suite[] {
  const isBeside = (suite: Suite) => suite.file.startsWith(file.split('/').slice(0, 2).join('/') + '/')
  const all = suites.of(file, mutant.line)
  return [...all.filter(isBeside), ...all.filter((s) => !isBeside(s))]
}

const short = (text: string) => text.replace(/\s+/g, ' ').slice(0, 60)

const tests = readdirSync(join(home, 'core'), { recursive: true, encoding: 'utf8' })
  .filter((f) => f.endsWith('.test.ts'))
  .map((f) => join('core', f))
console.log(`looking which lines ${tests.length} test files reach`)
const suites = await suitesByLine(tests, together)
const program = await asProgram('try-mutants')
const queue = chosen()
const total = queue.length
let [killed, tried] = [0, 0]
const byKind = new Map<string, { killed: number; of: number }>()
await Promise.all(
  Array.from({ length: together }, async () => {
    const tester = new Tester(program)
    for (let place = queue.shift(); place; place = queue.shift()) {
      const { file, text, mutant } = place
      const isKilled = await tester.isKilled({ file, text: mutated(text, mutant), suites: inTurn(place, suites) })
      const kind = byKind.get(mutant.kind) ?? { killed: 0, of: 0 }
      byKind.set(mutant.kind, { killed: kind.killed + Number(isKilled), of: kind.of + 1 })
      if (isKilled) killed++
      else console.log(`lives: ${file}:${mutant.line}  ${short(mutant.from)}  →  ${short(mutant.to)}`)
      if (++tried % 20 === 0) console.log(`${tried} of ${total} tried, ${killed} killed`)
    }
    tester.end()
  }),
)
for (const [kind, { killed: some, of }] of [...byKind].sort()) console.log(`  ${kind}: ${some} of ${of}`)
console.log(`${killed} of ${total} killed (${((100 * killed) / total).toFixed(1)} %), seed ${seed}`)
process.exit()
