import { isLiveSort, isPaidWord } from '../social'

/** What clips and lives of one item say of a window of 30 days, and who joined of late; null where nothing says. */
export interface ClipReach {
  /** clips and lives posted in the window */
  clips30: number | null
  /** units that those sold since they were posted, lives among them; all of that lies in the window */
  clipUnits30: number | null
  liveUnits30: number | null
  /** of units of clips that say whether their reach was paid for, the share without; 0–1, over all days */
  unpaidRatio: number | null
  /** creators whose first clip about it was posted in the last 28 days of the window */
  joined28: number | null
}

/** One record of a clip. */
interface Seen {
  creator: string
  day: number | null
  isLive: boolean
  isPaid: boolean | null
  units: number | null
  /** day up to which its market is known */
  end: number
}

const windowDays = 30
const joinedDays = 28

/** Collects the clips of one item; a later record of the same clip counts. */
export class ClipsOfItem {
  readonly #clips = new Map<string, Seen>()

  add(
    clip: string,
    { sort, paid, ...seen }: Omit<Seen, 'isLive' | 'isPaid'> & { sort: string | null; paid: string | null },
  ) {
    this.#clips.set(clip, { ...seen, isLive: isLiveSort(sort), isPaid: isPaidWord(paid) })
  }

  reach(): ClipReach {
    const all = [...this.#clips.values()]
    const dated = all.filter((c) => c.day !== null && c.day <= c.end)
    if (dated.length === 0) return { ...nothing, unpaidRatio: unpaidOf(all) }
    const inWindow = dated.filter((c) => (c.day as number) > c.end - windowDays)
    return {
      clips30: inWindow.length,
      clipUnits30: unitsOf(inWindow),
      liveUnits30: unitsOf(inWindow.filter((c) => c.isLive)) ?? (unitsOf(inWindow) === null ? null : 0),
      unpaidRatio: unpaidOf(all),
      joined28: joinedLately(dated),
    }
  }
}

const nothing = { clips30: null, clipUnits30: null, liveUnits30: null, joined28: null }

/** Units of those that say; null where none does. */
function unitsOf(clips: readonly Seen[]): number | null {
  const said = clips.flatMap((c) => c.units ?? [])
  return said.length === 0 ? null : said.reduce((a, b) => a + b, 0)
}

function unpaidOf(clips: readonly Seen[]): number | null {
  const said = clips.filter((c) => c.isPaid !== null)
  const all = unitsOf(said) ?? 0
  return all === 0 ? null : (unitsOf(said.filter((c) => c.isPaid === false)) ?? 0) / all
}

function joinedLately(clips: readonly Seen[]): number {
  const first = new Map<string, number>()
  for (const { creator, day, end } of clips) {
    const ago = end - (day as number)
    first.set(creator, Math.max(first.get(creator) ?? ago, ago))
  }
  return [...first.values()].filter((ago) => ago < joinedDays).length
}
