import { build } from 'esbuild'
import { fileURLToPath } from 'node:url'

const at = (path) => fileURLToPath(new URL(path, import.meta.url))

/** Bundles a Node program: the workspace packages from their source, everything else stays in node_modules. */
export const bundle = (entry, outfile) =>
  build({
    entryPoints: [entry],
    outfile,
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    plugins: [
      {
        name: 'workspace-source',
        setup(b) {
          b.onResolve({ filter: /^@sickle\/core\// }, ({ path }) => ({
            path: at(`../core/${path.slice(13)}/index.ts`),
          }))
          b.onResolve({ filter: /^@sickle\/standins$/ }, () => ({ path: at('../standins/index.ts') }))
          b.onResolve({ filter: /^[^./]/ }, ({ path, kind }) =>
            kind === 'entry-point' ? null : { path, external: true },
          )
        },
      },
    ],
  })
