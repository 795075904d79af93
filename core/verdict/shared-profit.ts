/**
 * What one seller more among an item's listings would earn in the window of its units, if sales were shared evenly: an assumption, to be
 * said wherever it is shown.
 *
 * @param profit of a sale, in any unit of money: what is returned has the same
 * @param listings that there are already
 */
export const sharedProfit = (profit: number, units: number, listings: number): number =>
  (profit * units) / (listings + 1)

/** Units of the same window that would be its share. */
export const sharedUnits = (units: number, listings: number): number => sharedProfit(1, units, listings)
