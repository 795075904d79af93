import { spawn } from 'node:child_process'
import { benchWorkspace } from './workspace'
import { report } from './report'
const server = spawn(process.execPath, ['server/dist/main.js'], { env: { ...process.env, SICKLE_PORT: '4397' }, stdio: ['ignore', 'pipe', 'inherit'] })
await new Promise((resolve) => server.stdout.once('data', resolve))
try { report(await benchWorkspace('http://127.0.0.1:4397', '/usr/bin/chromium')) } finally { server.kill() }
