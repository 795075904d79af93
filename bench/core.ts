import Papa from 'papaparse'
import { mannKendall } from '@sickle/core/demand'
import { importRows, openFile, proposeMapping } from '@sickle/core/intake'
import { demoFiles, makeWorld } from '@sickle/standins'
import { median, type Line } from './report'

/** The core alone, in Node: intake with typing and validation beside plain splitting, and the trend test beside its plain form. */
export async function benchCore(): Promise<Line[]> {
  return [await intake(), trend()]
}

async function intake(): Promise<Line> {
  const file = demoFiles(makeWorld()).find((f) => f.name === 'marrowgate-listings.csv')
  const text = typeof file?.content === 'string' ? file.content : ''
  const body = text.slice(text.indexOf('\r\n', text.indexOf('Item ID')) + 2)
  // Each copy with numbers of its own, so that none is a repeat.
  const copies = Array.from({ length: Math.ceil(30e6 / body.length) }, (_, i) =>
    body.replaceAll(/(?<=\n|^)(?=.)/g, String(i)),
  )
  const large = text + copies.join('')
  const bytes = new TextEncoder().encode(large)
  const ours: number[] = []
  const peer: number[] = []
  for (let i = 0; i < 3; i++) {
    const source = new File([bytes], 'large.csv')
    let start = performance.now()
    const opened = await openFile(source)
    await importRows(opened, { ...proposeMapping(opened, Date.UTC(2026, 11, 1)).mapping, market: 'Marrowgate' })
    ours.push(performance.now() - start)
    start = performance.now()
    Papa.parse(new TextDecoder().decode(bytes))
    peer.push(performance.now() - start)
  }
  const [a, b] = [median(ours), median(peer)]
  return {
    name: 'intake of a 30 MB listings CSV, beside PapaParse splitting it',
    ours: a,
    unit: 'ms',
    peer: b,
    target: 'ratio <= 12 (a guard; the goal comes with the full-size engine)',
    met: a / b <= 12,
  }
}

function trend(): Line {
  const series = Array.from({ length: 400 }, (_, s) =>
    Float64Array.from({ length: 180 }, (_x, i) => Math.round(10 + 5 * Math.sin(i * (s + 1)) + i / 40)),
  )
  const time = (test: (x: Float64Array) => unknown) => {
    const runs = Array.from({ length: 5 }, () => {
      const start = performance.now()
      for (const x of series) test(x)
      return performance.now() - start
    })
    return median(runs)
  }
  const [ours, peer] = [time(mannKendall), time(quadratic)]
  return {
    name: 'Mann–Kendall of 400 series of 180 days, beside counting pairs',
    ours,
    unit: 'ms',
    peer,
    target: 'ratio <= 0.75',
    met: ours / peer <= 0.75,
  }
}

function quadratic(x: Float64Array): number {
  let s = 0
  for (let i = 0; i < x.length; i++)
    for (let j = i + 1; j < x.length; j++) s += Math.sign((x[j] as number) - (x[i] as number))
  return s
}
