import type { AnswerTime, OnTimeRecord } from '@sickle/core/supply'
import { decimal, percent, plural } from './format'

/** fewer orders than that say little, and no share is told */
const leastKnown = 5

const days = (n: number) => plural(n, 'day').replace(/^\d+/, decimal(n, n % 1 === 0 ? 0 : 1))

/** How a supplier kept to what it promised, in a sentence or two. */
export function onTimeTold({ known, onTime, share, middleDaysLate, unpromised, underway }: OnTimeRecord): string {
  const rest = [
    ...(underway > 0 ? [`${plural(underway, 'order')} on the way`] : []),
    ...(unpromised > 0 ? [`${plural(unpromised, 'order')} without a promised day`] : []),
  ]
  const more = rest.length === 0 ? '' : ` ${rest.join(', ')}.`
  if (known === 0) return `Not known: no order of yours was promised for a day that has come.${more}`
  const of = `${onTime} of ${plural(known, 'order')} on time`
  const sure =
    known < leastKnown || !share
      ? ': too few to say how it will be'
      : `; of many, ${percent(share.low)} to ${percent(share.high)} would be`
  const late =
    middleDaysLate === null
      ? ''
      : middleDaysLate > 0
        ? ` At the middle ${days(middleDaysLate)} late.`
        : middleDaysLate < 0
          ? ` At the middle ${days(-middleDaysLate)} early.`
          : ' At the middle on the day.'
  return `${of}${sure}.${late}${more}`
}

export function answerTimeTold({ asked, answered, middleDays, late }: AnswerTime): string {
  if (asked === 0) return 'Not known: you never asked it for a quote.'
  const how =
    middleDays === null ? '' : ` At the middle ${middleDays === 0 ? 'on the same day' : `after ${days(middleDays)}`}.`
  const open = late === 0 ? '' : ` ${plural(late, 'answer is', 'answers are')} late.`
  return `It answered ${answered} of ${plural(asked, 'question')}.${how}${open}`
}
