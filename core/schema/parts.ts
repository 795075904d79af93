import { array, boolean, mixed, number, object, string, type ObjectShape, type Schema } from 'yup'
import { dayOfIso } from '../identity'
import { isCurrencyCode } from '../money'
import { faultOf } from './checked'

/** Pieces of which every form and every small document is checked. A message says what is wanted; where is said by the path. */

/** A text that is not blank. */
export const text = (most = 200) =>
  string()
    .typeError('must be a text')
    .required('is missing')
    .max(most, `is longer than ${most} letters`)
    .test('not-blank', 'is blank', (v) => v == null || v.trim() !== '')

/** A text that may be empty. */
export const anyText = (most = 20_000) =>
  string()
    .typeError('must be a text')
    .defined('is missing')
    .nonNullable('is missing')
    .max(most, `is longer than ${most} letters`)

export const truth = () => boolean().typeError('must be yes or no').defined('is missing').nonNullable('is missing')

const figure = () =>
  number()
    .typeError('must be a number')
    .defined('is missing')
    .nonNullable('is missing')
    .test('finite', 'must be a number', (v) => v == null || Number.isFinite(v))

/** A number within bounds, both included. */
export const span = (least: number, most: number, unit = '') =>
  figure().min(least, `must be from ${least} to ${most}${unit}`).max(most, `must be from ${least} to ${most}${unit}`)

export const whole = (least: number, most: number) => span(least, most).integer('must be a whole number')

/** 0.2 is 20 %. */
export const ratio = (most = 1) =>
  figure()
    .min(0, `must be from 0 to ${most * 100} %`)
    .max(most, `must be from 0 to ${most * 100} %`)

/** Money in E4: whole, none below zero, at most 900 thousand million. */
export const moneyE4 = () =>
  figure().integer('must be an amount').min(0, 'must be an amount of 0 or more').max(9e15, 'is too large an amount')

export const currency = () =>
  text(3).test('currency', 'is no currency of ISO 4217', (v) => v == null || isCurrencyCode(v))

export const isoDay = () =>
  text(10).test(
    'day',
    'must be a day such as 2026-05-31',
    (v) => v == null || (v.length === 10 && dayOfIso(v) !== null),
  )

export const oneOf = <T extends string>(...options: readonly T[]) =>
  mixed<T>()
    .defined('is missing')
    .test('one-of', `must be one of ${options.join(', ')}`, (v) => v === undefined || options.includes(v))

export const listOf = (of: Schema, most: number) =>
  array(of)
    .typeError('must be a list')
    .defined('is missing')
    .nonNullable('is missing')
    .max(most, `holds more than ${most} entries`)

/** An object with these parts and no others. */
export const record = (shape: ObjectShape, tellUnknown = true) => {
  const made = object(shape)
    .typeError('must be an object')
    .nonNullable('is missing')
    .defined('is missing')
    .test('plain', 'must be an object', (v) => !Array.isArray(v))
  return tellUnknown ? made.exact('has parts that are not known: ${properties}') : made
}

/** An object whose parts have names of their own: each is checked alike. */
export const byName = (of: Schema, most: number) =>
  mixed()
    .defined('is missing')
    .nonNullable('is missing')
    .test('object', 'must be an object', (v) => typeof v === 'object' && v !== null && !Array.isArray(v))
    .test('few', `holds more than ${most} entries`, (v) => Object.keys(v ?? {}).length <= most)
    .test('each', (v, { path, createError }) => {
      for (const [name, value] of Object.entries(v ?? {})) {
        const fault = faultOf(of, value)
        if (!fault) continue
        const under = fault.path && !fault.path.startsWith('[') ? `.${fault.path}` : fault.path
        return createError({
          path: `${path}[${JSON.stringify(name.replaceAll('"', "'"))}]${under}`,
          message: fault.message,
        })
      }
      return true
    }) as unknown as Schema

/** May be null as well, which stands for unknown or open. */
export const orNull = <S extends Schema>(of: S): S => of.nullable() as S
