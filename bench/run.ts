import { spawn } from 'node:child_process'
import { benchCore } from './core'
import { benchEngine } from './engine'
import { benchEvidence } from './evidence'
import { benchFinds } from './finds'
import { benchFuzz } from './fuzz'
import { report } from './report'
import { benchWorkspace } from './workspace'

const port = 4397
const server = spawn(process.execPath, ['server/dist/main.js'], {
  env: { ...process.env, SICKLE_PORT: String(port) },
  stdio: ['ignore', 'pipe', 'inherit'],
})
await new Promise((resolve) => server.stdout.once('data', resolve))
try {
  const lines = [
    ...(await benchWorkspace(`http://127.0.0.1:${port}`, process.env.CHROMIUM ?? '/usr/bin/chromium')),
    ...(await benchFinds(`http://127.0.0.1:${port}`, process.env.CHROMIUM ?? '/usr/bin/chromium')),
    ...(await benchEngine(process.env.CHROMIUM ?? '/usr/bin/chromium')),
    ...(await benchEvidence(process.env.CHROMIUM ?? '/usr/bin/chromium')),
    ...(await benchCore()),
    ...(await benchFuzz(`http://127.0.0.1:${port}`, process.env.CHROMIUM ?? '/usr/bin/chromium')),
  ]
  process.exitCode = report(lines) ? 0 : 1
} finally {
  server.kill()
}
