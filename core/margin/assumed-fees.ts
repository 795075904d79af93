import { feeLine, type FeeLine } from './fee-line'

/**
 * Fees of a market of which none are entered: those of the trade (market 10–15 %, payment up to 3 %; common practice, no source), at
 * their upper ends, so that the profit that is shown is rather too low than too high. A market without fees has a schedule without lines.
 */
export const assumedFees: readonly FeeLine[] = [
  feeLine({ id: 'assumed-market', label: 'Market fee, assumed', base: 'price and postage', ratio: 0.15 }),
  feeLine({
    id: 'assumed-payment',
    label: 'Payment fee, assumed',
    kind: 'payment',
    base: 'price and postage',
    ratio: 0.03,
  }),
]

/** The assumption in words. */
export const assumedFeesWords = '15 % for the market and 3 % for payment, by common practice'
