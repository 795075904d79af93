import { dayOfIso } from '../../identity'
import { readNotes } from './read-notes'

test('a period, a day, or nothing', () => {
  expect(readNotes(['Period: 1 May 2026 to 30 May 2026'], 'dmy')).toEqual({
    day: { day: dayOfIso('2026-05-30'), why: 'the file says: Period: 1 May 2026 to 30 May 2026' },
    period: 30,
  })
  expect(readNotes(['Shop report', 'Stand: 31.05.2026'], 'dmy').day?.day).toBe(dayOfIso('2026-05-31'))
  expect(readNotes(['no day here', '31.02.2026'], 'dmy')).toEqual({ day: null, period: null })
})
