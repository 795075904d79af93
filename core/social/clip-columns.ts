import type { Clip } from './clip'

/** Clips column by column, so that a hundred thousand are looked through at once; NaN where a figure is not known. */
export interface ClipColumns {
  clips: readonly Clip[]
  views: Float64Array
  units: Float64Array
  revenueE4: Float64Array
  day: Float64Array
  isLive: Uint8Array
  /** 1 paid, 0 not, −1 not known */
  paid: Int8Array
  creator: Coded
  /** the first words of each title; −1 where it has fewer than two */
  opening: Coded
}

interface Coded {
  codes: Int32Array
  words: string[]
}

export function clipColumns(clips: readonly Clip[]): ClipColumns {
  const figures = (of: (clip: Clip) => number | null) => Float64Array.from(clips, (c) => of(c) ?? NaN)
  return {
    clips,
    views: figures((c) => c.views),
    units: figures((c) => c.units),
    revenueE4: figures((c) => c.revenueE4),
    day: figures((c) => c.day),
    isLive: Uint8Array.from(clips, (c) => Number(c.isLive)),
    paid: Int8Array.from(clips, (c) => (c.isPaid === null ? -1 : Number(c.isPaid))),
    creator: coded(clips, (c) => c.creator),
    opening: coded(clips, (c) => openingOf(c.title)),
  }
}

function coded(clips: readonly Clip[], of: (clip: Clip) => string): Coded {
  const known = new Map<string, number>()
  const words: string[] = []
  const codes = Int32Array.from(clips, (clip) => {
    const word = of(clip)
    if (word === '') return -1
    const code = known.get(word)
    if (code !== undefined) return code
    known.set(word, words.length)
    return words.push(word) - 1
  })
  return { codes, words }
}

const titleWords = /[\p{L}\p{N}']+/gu

/** The first two words of a title, by which clips open; '' where it has fewer. */
export function openingOf(title: string): string {
  const [first, second] = title.slice(0, 200).toLowerCase().match(titleWords) ?? []
  return first === undefined || second === undefined ? '' : `${first} ${second}`
}
