/** Thresholds of the stages; rules the user can change. */
export interface StageRules {
  minDays: number
  minUnits: number
  /** units in 90 days below which a lump is chance, not a flash */
  flashUnits: number
  flashShare: number
  flashRest: number
  /** an earlier fortnight of so large a share of its sales is one like it */
  flashAlike: number
  seasonStrength: number
  youngDays: number
  /** change from which on something moves */
  growth: number
  /** chance below which a trend is one */
  p: number
  /** a trend as sure as this counts unless the last weeks surely say otherwise */
  surely: number
  /** so many times the scatter counts where the last weeks stand above half a year, and below it: swings upwards are larger */
  riseScatter: number
  fallScatter: number
  /** upper end / lower end of the growth's interval beyond which nothing is called Ripe: too little is known to say that it is steady */
  steadyWithin: number
}

export const stageRules: StageRules = {
  minDays: 21,
  minUnits: 10,
  flashUnits: 24,
  flashShare: 0.5,
  flashRest: 0.25,
  flashAlike: 0.4,
  seasonStrength: 0.64,
  youngDays: 60,
  growth: 0.1,
  p: 0.025,
  surely: 0.01,
  riseScatter: 2,
  fallScatter: 1.4,
  steadyWithin: 9,
}
