import { execFileSync } from 'node:child_process'
import { cpSync, mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { dirname, join, resolve } from 'node:path'

/** A small house of its own: one file that breaks each rule, and beside it files that may import what they do. */
const breaks: Record<string, [file: string, imports: string]> = {
  'app-looks-up': ['web/src/app/a.ts', '../main'],
  'stages-looks-up': ['web/src/stages/finds/a.ts', '../../app/frame'],
  'shared-looks-up': ['web/src/shared/stores/a.ts', '../../stages/finds/page'],
  'services-looks-up': ['web/src/services/a.ts', '@/shared/format'],
  'workers-looks-up': ['web/src/workers/a.ts', '../services/services'],
  'storage-looks-up': ['web/src/storage/a.ts', '../workers/channel'],
  'stage-to-stage': ['web/src/stages/margin/a.ts', '../finds/page'],
  'by-the-door': ['core/engine/a.ts', '../catalog/item'],
  'by-the-door-from-outside': ['web/src/shared/b.ts', '../../../core/catalog/item'],
  'core-inward': ['core/catalog/b.ts', '../../web/src/shared/format'],
  'server-apart': ['server/a.ts', '../web/src/shared/format'],
  'standins-apart': ['standins/a.ts', '../server/main'],
  'web-apart': ['web/src/shared/c.ts', '../../../standins/index'],
  circle: ['core/catalog/c.ts', './d'],
  unresolved: ['core/catalog/e.ts', './gone'],
}
const sound: Record<string, string[]> = {
  'web/src/main.ts': ['./app/frame'],
  'web/src/app/frame.ts': ['../stages/finds/page'],
  'web/src/stages/finds/page.ts': ['../../shared/format', './part'],
  'web/src/stages/finds/part.ts': [],
  'web/src/shared/format.ts': ['@/services/services'],
  'web/src/services/services.ts': ['@/workers/channel'],
  'web/src/workers/channel.ts': ['../storage/database'],
  'web/src/storage/database.ts': ['../../../core/catalog/index'],
  'core/catalog/index.ts': ['./item'],
  'core/catalog/item.ts': [],
  'core/catalog/d.ts': ['./c'],
  'core/engine/index.ts': ['../catalog/index'],
  'server/main.ts': ['../standins/index'],
  'standins/index.ts': ['../core/catalog/index'],
  // a test may reach anywhere
  'web/src/storage/database.test.ts': ['../shared/format'],
  'core/engine/index.test.ts': ['../catalog/item'],
}

function house(): string {
  const root = mkdtempSync(join(tmpdir(), 'house-'))
  const write = (file: string, imports: readonly string[]) => {
    mkdirSync(dirname(join(root, file)), { recursive: true })
    const name = file.replaceAll(/\W/g, '_')
    const lines = imports.map((from, i) => `import * as x${i} from '${from}'\nvoid x${i}`)
    writeFileSync(join(root, file), `${lines.join('\n')}\nexport const ${name} = 1\n`)
  }
  for (const [file, imports] of Object.values(breaks)) write(file, [imports])
  for (const [file, imports] of Object.entries(sound)) write(file, imports)
  cpSync(resolve('tsconfig.json'), join(root, 'tsconfig.json'))
  return root
}

interface Violation {
  from: string
  rule: { name: string }
}

function violations(root: string): Violation[] {
  const bin = resolve('node_modules/dependency-cruiser/bin/dependency-cruise.mjs')
  const config = resolve('.dependency-cruiser.mjs')
  let json: string
  try {
    json = execFileSync(process.execPath, [bin, '.', '--config', config, '--output-type', 'json'], {
      cwd: root,
      encoding: 'utf8',
      stdio: ['ignore', 'pipe', 'inherit'],
    })
  } catch (failed) {
    json = (failed as { stdout: string }).stdout // violations end it with a code of its own
  }
  return (JSON.parse(json) as { summary: { violations: Violation[] } }).summary.violations
}

describe('what may import what', () => {
  const root = house()
  const found = violations(root)
  afterAll(() => rmSync(root, { recursive: true }))

  test.each(Object.keys(breaks))('%s is found', (rule) => {
    const [file] = breaks[rule] as [string, string]
    expect(found.filter((v) => v.from === file).map((v) => v.rule.name)).toContain(rule)
  })

  test('what may import what it does is left alone', () => {
    const allowed = new Set(Object.keys(sound).filter((file) => file !== 'core/catalog/d.ts'))
    expect(found.filter((v) => allowed.has(v.from))).toEqual([])
  })

  test('every rule of the house is broken here once', async () => {
    const house = (await import(resolve('.dependency-cruiser.mjs'))) as { default: { forbidden: { name: string }[] } }
    expect(house.default.forbidden.map((r) => r.name).sort()).toEqual(Object.keys(breaks).sort())
  })
})
