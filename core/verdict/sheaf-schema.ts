import { mixed } from 'yup'
import { anyText, byName, listOf, record, text, whole } from '../schema'

const isText = (v: unknown, most: number) => typeof v === 'string' && v.length <= most
const isNumber = (v: unknown) => typeof v === 'number' && Number.isFinite(v)
const orNull = (v: unknown, fits: (v: unknown) => boolean) => v === null || fits(v)

/** A step of a sheaf. There are thousands of them, so each is looked at in one go. */
export const sheafStepSchema = mixed().test('step', 'is no decision', (value) => {
  const { at, key, action, text, snapshot } = (value ?? {}) as Record<string, unknown>
  const fine = isNumber(at) && isText(key, 4000) && isText(text, 20_000)
  const { title, picture, profitE4, units, listings } = (snapshot ?? {}) as Record<string, unknown>
  const shown = isText(title, 4000) && orNull(picture, (v) => isText(v, 4000)) && isNumber(listings)
  const figures = orNull(profitE4, isNumber) && orNull(units, isNumber)
  return fine && shown && figures && ['keep', 'hold', 'drop', 'clear', 'note'].includes(action as string)
})

const sheaf = record({
  id: text(200),
  name: text(200),
  events: listOf(sheafStepSchema, 1e6),
  cursor: whole(0, 1e6),
}).test('cursor', 'stands behind its last decision', (value) => {
  const { events, cursor } = value as { events?: unknown[]; cursor?: number }
  return (cursor ?? 0) <= (events?.length ?? 0)
})

/** Research lists and their decisions. */
export const sheavesSchema = record({ open: text(200), sheaves: listOf(sheaf, 10_000).min(1, 'holds no sheaf') })

/** What rests of them beside their steps. */
export const sheafHeadSchema = record({
  open: text(200),
  sheaves: listOf(record({ id: text(200), name: text(200), steps: whole(0, 1e6), cursor: whole(0, 1e6) }), 10_000).min(
    1,
    'holds no sheaf',
  ),
})

export const judgementsSchema = byName(listOf(anyText(200), 200), 1e6)
