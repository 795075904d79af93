import type { Chance } from './random'

/** What a store sold, and how many of its buyers left feedback. */
interface Left {
  left: number
  sold: number
}

/** Worlds of stores whose buyers leave feedback at rates that no estimate assumes. */
export interface LeaveWorld {
  name: string
  /** the rule for learning rates was written with it in view; the others are kept aside */
  isTuned: boolean
  /** @param logSd how far stores differ, of the logarithm of their rate */
  store: (random: Chance, rate: number, logSd: number) => Left
}

export const leaveWorlds: readonly LeaveWorld[] = [
  {
    name: 'log-normal rates',
    isTuned: true,
    store: (random, rate, logSd) => thinned(random, rate * Math.exp(logSd * random.normal())),
  },
  {
    name: 'rates of heavy tails (three degrees of freedom)',
    isTuned: false,
    store: (random, rate, logSd) => {
      const chi = [0, 0, 0].reduce((sum) => sum + random.normal() ** 2, 0)
      return thinned(random, rate * Math.exp((logSd * random.normal()) / Math.sqrt(chi)))
    },
  },
  {
    name: 'every second store has buyers who come again and leave once',
    isTuned: false,
    store: (random, rate, logSd) =>
      thinned(random, rate * Math.exp(logSd * random.normal()) * (random.happens(0.5) ? 1 : 0.6)),
  },
]

function thinned(random: Chance, rate: number): Left {
  const sold = Math.round(Math.exp(3.2 + 1.5 * random.normal()))
  const own = Math.min(1, rate)
  let left = 0
  for (let i = 0; i < sold; i++) if (random.happens(own)) left++
  return { left, sold }
}
