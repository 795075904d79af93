<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { plainNumber } from '@sickle/core/intake'

/** A plain number or, with `percent`, a ratio shown in percent. */
const {
  value,
  label,
  percent = false,
  min = 0,
  max = 1e6,
  whole = false,
} = defineProps<{ value: number; label: string; percent?: boolean; min?: number; max?: number; whole?: boolean }>()
const emit = defineEmits<{ change: [value: number] }>()
const factor = computed(() => (percent ? 100 : 1))
const shown = computed(() => String(Math.round(value * factor.value * 1e6) / 1e6))
const text = ref(shown.value)
const bad = ref(false)
watch(shown, (now) => {
  text.value = now
  bad.value = false
})
function typed() {
  const plain = plainNumber(text.value.replace(',', '.').replace('%', ''), { decimal: '.', group: '' })
  const n = Number(plain ?? NaN) / factor.value
  bad.value = !(n >= min && n <= max) || (whole && !Number.isInteger(n))
  if (!bad.value && n !== value) emit('change', n)
}
</script>

<template>
  <input
    v-model="text"
    class="figure number"
    :class="{ bad }"
    inputmode="decimal"
    :aria-label="label"
    :aria-invalid="bad"
    :title="bad ? 'This number makes no sense here' : label"
    @change="typed"
    @keydown.enter="typed"
  />
</template>
