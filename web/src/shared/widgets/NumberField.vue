<script setup lang="ts">
import { computed } from 'vue'
import type { Schema } from 'yup'
import { faultIn } from '../fault-in'
import { useTyped } from '../use-typed'
import TypedInput from './TypedInput.vue'

/** A plain number or, with `percent`, a ratio shown in percent; with `open` it may be empty, which is null. */
const {
  value,
  label,
  percent = false,
  min = 0,
  max = 1e6,
  whole = false,
  open = false,
  placeholder = '',
  schema = null,
} = defineProps<{
  value: number | null | undefined
  label: string
  percent?: boolean
  min?: number
  max?: number
  whole?: boolean
  open?: boolean
  placeholder?: string
  /** what it must be, as the document that it goes into says; in place of bounds */
  schema?: Schema | null
}>()
const emit = defineEmits<{ change: [value: number]; clear: [] }>()
const factor = computed(() => (percent ? 100 : 1))
/** without the dust of binary sums */
const exact = (n: number) => Number(n.toPrecision(12))
const { text, fault, typed } = useTyped({
  shown: () => (value == null ? '' : String(Math.round(value * factor.value * 1e6) / 1e6)),
  options: () => ({ whole }),
  check: (plain) => {
    const n = exact(Number(plain) / factor.value)
    if (schema) return faultIn(schema, n)
    if (n >= min && n <= max) return null
    return `It must lie between ${exact(min * factor.value)} and ${exact(max * factor.value)}`
  },
  change: (plain) => emit('change', exact(Number(plain) / factor.value)),
  ...(open ? { clear: () => emit('clear') } : {}),
})
defineExpose({ isFaulty: () => fault.value !== null })
</script>

<template>
  <TypedInput v-model="text" class="number" :fault="fault" :label="label" :placeholder="placeholder" @typed="typed" />
</template>
