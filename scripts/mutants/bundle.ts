import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { pathToFileURL } from 'node:url'
import { build, context, type BuildContext, type Plugin } from 'esbuild'

/** the checkout, where npm runs scripts */
export const home = process.cwd()
/** where programs are put for a moment */
export const folder = join(home, 'node_modules/.mutants')

/** A script of this folder as a program of its own, which runs without a loader: that would look through every bundle of tests. */
export async function asProgram(name: string): Promise<string> {
  const outfile = join(folder, `${name}.mjs`)
  const entry = join(home, 'scripts/mutants', `${name}.ts`)
  await build({ entryPoints: [entry], outfile, bundle: true, format: 'esm', platform: 'node', packages: 'external' })
  return outfile
}

/** A source file that stands otherwise than on the disk. @field file path below the checkout */
export interface Changed {
  file: string
  text: string
}

/** A test file and all it needs, as one program. */
export interface Bundle {
  program: string
  map: string
}

/** Puts test files together, each file with what a change makes of it; what did not change is not read again. */
export class Bundler {
  readonly #texts = new Map<string, string>()
  readonly #contexts = new Map<string, BuildContext>()
  #changed: Changed | null = null

  async bundle(suite: string, changed: Changed | null): Promise<Bundle> {
    this.#changed = changed
    const known = this.#contexts.get(suite) ?? (await this.#contextOf(suite))
    this.#contexts.set(suite, known)
    const { outputFiles } = await known.rebuild()
    const text = (end: string) => outputFiles?.find((f) => f.path.endsWith(end))?.text ?? ''
    return { program: text('.js'), map: text('.map') }
  }

  async end(): Promise<void> {
    for (const known of this.#contexts.values()) await known.dispose()
  }

  #contextOf(suite: string): Promise<BuildContext> {
    return context({
      absWorkingDir: home,
      entryPoints: [join(home, suite)],
      outdir: folder,
      bundle: true,
      write: false,
      format: 'esm',
      platform: 'node',
      target: 'node20',
      packages: 'external',
      sourcemap: 'external',
      logLevel: 'silent',
      plugins: [this.#sources()],
    })
  }

  #sources(): Plugin {
    return {
      name: 'changed sources',
      setup: (build) =>
        build.onLoad({ filter: /\.ts$/ }, ({ path }) => ({ contents: this.#textOf(path), loader: 'ts' })),
    }
  }

  #textOf(path: string): string {
    const isChanged = this.#changed !== null && path === join(home, this.#changed.file)
    const text = isChanged ? (this.#changed as Changed).text : (this.#texts.get(path) ?? readFileSync(path, 'utf8'))
    if (!isChanged) this.#texts.set(path, text)
    // what a file finds beside itself it finds from the bundle too
    return text.replaceAll('import.meta.url', JSON.stringify(pathToFileURL(path).href))
  }
}
