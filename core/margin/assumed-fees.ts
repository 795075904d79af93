import type { FeeLine } from './fee-line'

const line = (id: string, label: string, kind: FeeLine['kind'], ratio: number): FeeLine => ({
  id,
  label,
  kind,
  base: 'price and postage',
  withTax: true,
  ratio,
  fixedE4: 0,
  minE4: null,
  maxE4: null,
  steps: [],
  stepsApply: 'marginal',
  per: 'order',
})

/**
 * Fees of a market of which none are entered: those of the trade (market 10–15 %, payment up to 3 %; common practice, no source), at
 * their upper ends, so that the profit that is shown is rather too low than too high. A market without fees has a schedule without lines.
 */
export const assumedFees: readonly FeeLine[] = [
  line('assumed-market', 'Market fee, assumed', 'market', 0.15),
  line('assumed-payment', 'Payment fee, assumed', 'payment', 0.03),
]

/** The assumption in words. */
export const assumedFeesWords = '15 % for the market and 3 % for payment, by common practice'
