<script setup lang="ts">
import { e4OfPlain } from '@sickle/core/notation'
import { minorDigitsOf, plainAmount } from '@sickle/core/money'
import { moneyE4 } from '@sickle/core/schema'
import { faultIn } from '../fault-in'
import { useTyped } from '../use-typed'
import TypedInput from './TypedInput.vue'

/** An amount, typed as the seller writes numbers; what is no amount stays and is marked, and changes nothing; with `open` it may be empty, which is null. */
const {
  value,
  currency,
  label,
  open = false,
} = defineProps<{ value: number | null; currency: string; label: string; open?: boolean }>()
const emit = defineEmits<{ change: [e4: number]; clear: [] }>()
const { text, fault, typed } = useTyped({
  shown: () => (value === null ? '' : plainAmount(value, currency)),
  options: () => ({ digits: minorDigitsOf(currency) }),
  check: (plain) => faultIn(moneyE4(), e4OfPlain(plain)),
  change: (plain) => emit('change', e4OfPlain(plain) as number),
  ...(open ? { clear: () => emit('clear') } : {}),
})
</script>

<template>
  <TypedInput v-model="text" class="money" :fault="fault" :label="label" @typed="typed" />
</template>
