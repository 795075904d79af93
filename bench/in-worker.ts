import { chromium } from '@playwright/test'
import { build } from 'esbuild'
import { fileURLToPath } from 'node:url'

/** Runs a worker of this folder in headless Chromium and gives back what it posts, typed arrays as lists. */
export async function inWorker<T>(file: string, executablePath: string): Promise<T> {
  const { outputFiles } = await build({
    entryPoints: [fileURLToPath(new URL(`../${file}`, import.meta.url))],
    bundle: true,
    write: false,
    format: 'iife',
    target: 'es2022',
    logLevel: 'error',
  })
  const browser = await chromium.launch({ executablePath, args: ['--no-sandbox', '--disable-gpu'] })
  try {
    const page = await browser.newPage()
    const got = await page.evaluate(
      (code) =>
        new Promise<string>((resolve, reject) => {
          const worker = new Worker(URL.createObjectURL(new Blob([code], { type: 'text/javascript' })))
          worker.onerror = (event) => reject(new Error(event.message))
          worker.onmessage = ({ data }) =>
            resolve(
              JSON.stringify(data, (_, v) => (ArrayBuffer.isView(v) ? Array.from(v as Float64Array) : (v as unknown))),
            )
        }),
      outputFiles[0]?.text ?? '',
    )
    return JSON.parse(got) as T
  } finally {
    await browser.close()
  }
}
