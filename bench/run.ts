import { spawn } from 'node:child_process'
import { benchChanges } from './changes'
import { benchClearing } from './clearing'
import { benchCore } from './core'
import { benchEngine } from './engine'
import { benchEvidence } from './evidence'
import { benchFinds } from './finds'
import { benchFuzz } from './fuzz'
import { benchKeep } from './keep'
import { benchHostile } from './hostile/run'
import { benchParquet } from './parquet'
import { benchRivals } from './rivals'
import { benchRecognition } from './recognition'
import { benchSocial } from './social'
import { report, type Line } from './report'
import { benchWorkspace } from './workspace'

const port = 4397
const server = spawn(process.execPath, ['server/dist/main.js'], {
  env: { ...process.env, SICKLE_PORT: String(port) },
  stdio: ['ignore', 'pipe', 'inherit'],
})
await new Promise((resolve) => server.stdout.once('data', resolve))
const base = `http://127.0.0.1:${port}`
const browser = process.env.CHROMIUM ?? '/usr/bin/chromium'
const count = process.env.SICKLE_BENCH_COUNT ? Number(process.env.SICKLE_BENCH_COUNT) : undefined
/** `npm run bench -- hostile parquet` runs these alone. */
const parts: Record<string, () => Promise<Line[]>> = {
  changes: () => benchChanges(base, browser),
  keep: () => benchKeep(base, browser),
  workspace: () => benchWorkspace(base, browser),
  finds: () => benchFinds(base, browser),
  rivals: () => benchRivals(base, browser),
  engine: () => benchEngine(browser),
  evidence: () => benchEvidence(browser),
  clearing: () => benchClearing(browser),
  social: () => benchSocial(browser),
  core: () => benchCore(),
  recognition: () => benchRecognition(base, browser),
  parquet: () => benchParquet(base, browser),
  fuzz: () => benchFuzz(base, browser, count),
  hostile: () => benchHostile(base, browser, count),
}
const wanted = process.argv.slice(2).filter((name) => Object.hasOwn(parts, name))
try {
  const lines: Line[] = []
  for (const [name, part] of Object.entries(parts))
    if (wanted.length === 0 || wanted.includes(name)) lines.push(...(await part()))
  process.exitCode = report(lines) ? 0 : 1
} finally {
  server.kill()
}
