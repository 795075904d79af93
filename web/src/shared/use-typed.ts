import { computed, inject, ref, watch, type ComputedRef, type InjectionKey } from 'vue'
import { asTyped, readTyped, type DecimalMark, type TypedOptions } from '@sickle/core/money'

/** How the seller writes numbers; provided by the application from the settings. */
export const decimalMarkKey: InjectionKey<ComputedRef<DecimalMark>> = Symbol('decimal mark')

export interface TypedField {
  /** plain text of the value, '' where there is none */
  shown: () => string
  options: () => Omit<TypedOptions, 'decimal'>
  /** why the number does not do here, null where it does */
  check: (plain: string) => string | null
  change: (plain: string) => void
  /** emptied; left out where a field must hold something */
  clear?: () => void
}

/** The text of a field in which a number is typed: what cannot be taken stays, is marked with the reason, and changes nothing. */
export function useTyped({ shown, options, check, change, clear }: TypedField) {
  const decimal = inject(
    decimalMarkKey,
    computed((): DecimalMark => '.'),
  )
  const asShown = computed(() => asTyped(shown(), decimal.value))
  const text = ref(asShown.value)
  const fault = ref<string | null>(null)
  watch(asShown, (now) => {
    text.value = now
    fault.value = null
  })
  function typed() {
    if (text.value === asShown.value) return void (fault.value = null)
    if (text.value.trim() === '' && clear) {
      fault.value = null
      return clear()
    }
    const read = readTyped(text.value, { ...options(), decimal: decimal.value })
    fault.value = read.fault ?? check(read.plain ?? '')
    if (fault.value !== null) return
    if (Number(read.plain) === Number(shown() === '' ? NaN : shown())) text.value = asShown.value
    else change(read.plain ?? '')
  }
  return { text, fault, typed }
}
