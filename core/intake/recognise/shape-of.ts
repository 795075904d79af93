import { rejectColumns } from '../rejected-rows'
import { readHeading } from './heading'

/** What makes two files 'of the same shape': their headings in any order. Rejected rows that come back count as the same. */
export function shapeOf(headings: readonly string[]): string {
  return headings
    .filter((h) => !(rejectColumns as readonly string[]).includes(h))
    .map((h) => readHeading(h).words.join(' ') || h)
    .sort()
    .join('\u0001')
}
