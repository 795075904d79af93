import { readFileSync } from 'node:fs'
import { isElectric } from './is-electric'
import { readAnswer } from './read-answer'

/** How figures of suppliers' answers were read, of one half of those that were labelled by hand. */
export interface AnswersCounted {
  answers: number
  right: number
  wrong: number
  missed: number
  /** figures that were read where none is said */
  extra: number
}

const names = ['tiers', 'currency', 'min', 'delivery', 'days', 'sample'] as const
type Said = Partial<Record<(typeof names)[number], string>>

const plain = (e4: number | null) => (e4 === null ? undefined : (e4 / 1e4).toFixed(2))
const whole = (n: number | null) => (n === null ? undefined : String(n))
const fixture = (name: string) => readFileSync(new URL(`fixtures/${name}`, import.meta.url), 'utf8')

/** For tests and docs/estimates.md. @param half 0 for those that were looked at, 1 for every second one, kept aside */
export function answersRead(half: 0 | 1): AnswersCounted {
  const all = fixture('supplier-answers.txt')
    .split(/^== ?/m)
    .slice(1)
    .filter((_, i) => i % 2 === half)
  const counts: AnswersCounted = { answers: all.length, right: 0, wrong: 0, missed: 0, extra: 0 }
  for (const one of all) {
    const [head = '', ...lines] = one.split('\n')
    const [wanted, got] = [saidIn(head), readSaid(lines.join('\n'))]
    for (const name of names) {
      if (wanted[name] === got[name]) counts.right += wanted[name] === undefined ? 0 : 1
      else if (wanted[name] === undefined) counts.extra++
      else if (got[name] === undefined) counts.missed++
      else counts.wrong++
    }
  }
  return counts
}

/** The first price holds for every quantity below its own too, so from where it is said is no part of it. */
const fromAny = (tiers: string) => tiers.trim().replace(/^\d+/, 'any')

function saidIn(head: string): Said {
  const figures = Object.fromEntries(
    [...head.matchAll(/(currency|min|delivery|days|sample)=(\S+)/g)].map((m) => [m[1], m[2]]),
  ) as Said
  const tiers = /tiers=([\d:. ]+)/.exec(head)?.[1]
  return tiers === undefined ? figures : { ...figures, tiers: fromAny(tiers) }
}

function readSaid(text: string): Said {
  const read = readAnswer(text)
  const tiers = read.tiers.map((t) => `${t.from}:${plain(t.priceE4)}`).join(' ')
  const all: Said = {
    ...(tiers === '' ? {} : { tiers: fromAny(tiers) }),
    ...(read.currency === null ? {} : { currency: read.currency }),
  }
  const [min, days, delivery, sample] = [
    whole(read.minOrder),
    whole(read.leadDays),
    plain(read.deliveryE4),
    plain(read.sampleE4),
  ]
  return Object.assign(all, { min, days, delivery, sample })
}

export interface ElectricCounted {
  titles: number
  /** electric goods that were taken for none, and others that were taken for electric */
  missed: number
  extra: number
}

/** Titles stand in pairs, one of each kind; every second pair is kept aside. */
export function electricTold(half: 0 | 1): ElectricCounted {
  const lines = fixture('electric-titles.tsv').trim().split('\n').slice(1)
  const its = lines.filter((_, i) => (i >> 1) % 2 === half).map((line) => line.split('\t') as [string, string])
  return {
    titles: its.length,
    missed: its.filter(([is, title]) => is === '1' && !isElectric(title)).length,
    extra: its.filter(([is, title]) => is === '0' && isElectric(title)).length,
  }
}
