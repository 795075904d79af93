import { build } from 'esbuild'
import { fileURLToPath } from 'node:url'

const at = (path) => fileURLToPath(new URL(path, import.meta.url))

// The workspace packages are bundled from their source; everything else stays in node_modules.
await build({
  entryPoints: [at('src/main.ts')],
  outfile: at('dist/main.js'),
  bundle: true,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  plugins: [
    {
      name: 'workspace-source',
      setup(b) {
        b.onResolve({ filter: /^@sickle\/core\// }, ({ path }) => ({ path: at(`../core/${path.slice(13)}/index.ts`) }))
        b.onResolve({ filter: /^@sickle\/standins$/ }, () => ({ path: at('../standins/index.ts') }))
        b.onResolve({ filter: /^[^./]/ }, ({ path, kind }) =>
          kind === 'entry-point' ? null : { path, external: true },
        )
      },
    },
  ],
})
