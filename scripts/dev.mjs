// For developers: the demo server and Vite's, which reloads what changes.
import { spawn } from 'node:child_process'
import { ensureDeps, ensureNode, npm, root } from './ensure.mjs'

ensureNode()
ensureDeps()
npm('run', 'build', '-w', 'server', '--silent')
const children = [
  spawn(process.execPath, ['server/dist/main.js'], { cwd: root, stdio: 'inherit' }),
  spawn(process.execPath, ['node_modules/vite/bin/vite.js', 'web'], { cwd: root, stdio: 'inherit' }),
]
const stop = () => children.forEach((c) => c.kill('SIGTERM'))
for (const s of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(s, stop)
children.forEach((c) => c.on('exit', stop))
