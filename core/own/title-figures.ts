/** What must agree of two titles, by sort: sizes by their unit, colours, and all marks as one. */
export interface TitleFigures {
  /** unit, or 'colour' → what is stated of it */
  stated: ReadonlyMap<string, ReadonlySet<string>>
  pack: string
}

const unitOf = (size: string) => size.replace(/[\d.x]+/, '')

/** @param said as the forms of titles have it: sizes, colours, pack and marks, parted by a sign that none holds */
export function titleFigures(said: string): TitleFigures {
  const [sizes = '', colours = '', pack = '', marks = ''] = said.split('\u0001')
  const stated = new Map<string, Set<string>>()
  const add = (sort: string, value: string) => {
    const known = stated.get(sort)
    if (known) known.add(value)
    else stated.set(sort, new Set([value]))
  }
  add('marks', marks)
  for (const size of sizes.split(',')) if (size !== '') add(unitOf(size), size)
  for (const colour of colours.split(',')) if (colour !== '') add('colour', colour)
  return { stated, pack: pack === '' ? '1' : pack }
}

/** Each states something of one sort that the other does not: '9 speed, 116 links' and '10 speed, 116 links'. */
export function figuresClash(a: TitleFigures, b: TitleFigures): boolean {
  for (const [sort, mine] of a.stated) {
    const theirs = b.stated.get(sort)
    if (theirs && has(mine, theirs) && has(theirs, mine)) return true
  }
  return false
}

/** Whether one holds something that the other does not. */
function has(some: ReadonlySet<string>, others: ReadonlySet<string>): boolean {
  for (const value of some) if (!others.has(value)) return true
  return false
}

/** Both state the same sorts, each as much of it. */
export function statesAsMuch(a: TitleFigures, b: TitleFigures): boolean {
  if (a.stated.size !== b.stated.size) return false
  for (const [sort, mine] of a.stated) if (b.stated.get(sort)?.size !== mine.size) return false
  return true
}

/** Finds those of many figures that do not clash with some, without comparing all with all. */
export class FittingFigures {
  readonly #figures: readonly TitleFigures[]
  /** sort → what is stated of it → places of the figures that state it; and places of those that state none of it */
  readonly #stating = new Map<string, Map<string, number[]>>()
  readonly #lacking = new Map<string, number[]>()

  constructor(figures: readonly TitleFigures[]) {
    this.#figures = figures
    figures.forEach(({ stated }, at) => {
      for (const [sort, values] of stated) {
        const of = this.#stating.get(sort) ?? new Map<string, number[]>()
        this.#stating.set(sort, of)
        for (const value of values) of.set(value, [...(of.get(value) ?? []), at])
      }
    })
    for (const sort of this.#stating.keys())
      this.#lacking.set(
        sort,
        figures.flatMap(({ stated }, at) => (stated.has(sort) ? [] : at)),
      )
  }

  /** Places of those that do not clash. */
  find(wanted: TitleFigures): number[] {
    return this.#candidates(wanted).filter((at) => !figuresClash(wanted, this.#figures[at] as TitleFigures))
  }

  /** What these can see of some figures: of two that they see alike, the same ones clash. What none of them states is all one to them. */
  seen({ stated }: TitleFigures): string {
    const sorts: string[] = []
    for (const [sort, values] of stated) {
      const of = this.#stating.get(sort)
      if (of) sorts.push([sort, ...new Set([...values].map((v) => (of.has(v) ? v : '?')))].sort().join('\u0001'))
    }
    return sorts.sort().join('\u0002')
  }

  /** By the sort that leaves fewest: what shares nothing of it, though it states some, clashes. */
  #candidates({ stated }: TitleFigures): number[] {
    let best: number[] | null = null
    for (const [sort, values] of stated) {
      const of = this.#stating.get(sort)
      if (!of) continue
      const sharing = new Set([...values].flatMap((value) => of.get(value) ?? []))
      const fitting = [...sharing, ...(this.#lacking.get(sort) ?? [])]
      if (!best || fitting.length < best.length) best = fitting
    }
    return best ?? this.#figures.map((_, at) => at)
  }
}
