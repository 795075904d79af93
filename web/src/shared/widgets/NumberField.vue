<script setup lang="ts">
import { computed } from 'vue'
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
} = defineProps<{
  value: number | null | undefined
  label: string
  percent?: boolean
  min?: number
  max?: number
  whole?: boolean
  open?: boolean
  placeholder?: string
}>()
const emit = defineEmits<{ change: [value: number]; clear: [] }>()
const factor = computed(() => (percent ? 100 : 1))
/** without the dust of binary sums */
const exact = (n: number) => Number(n.toPrecision(12))
const { text, fault, typed } = useTyped({
  shown: () => (value == null ? '' : String(Math.round(value * factor.value * 1e6) / 1e6)),
  options: () => ({ whole }),
  check: (plain) => {
    const n = Number(plain) / factor.value
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
