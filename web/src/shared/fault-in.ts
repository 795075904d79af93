import type { Schema } from 'yup'
import { faultOf } from '@sickle/core/schema'

/** Why a field cannot hold a value, as a sentence; null where it can. @example faultIn(ratio(), 2) // 'It must be from 0 to 100 %' */
export function faultIn(schema: Schema, value: unknown): string | null {
  const fault = faultOf(schema, value)
  return fault && `It ${fault.message}`
}
