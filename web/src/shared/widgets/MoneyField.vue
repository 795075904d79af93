<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { e4OfPlain, plainNumber } from '@sickle/core/intake'
import { plainAmount } from '@sickle/core/money'

/** An amount, typed with a point or a comma; what is no amount stays and is marked, and changes nothing. */
const { value, currency, label } = defineProps<{ value: number | null; currency: string; label: string }>()
const emit = defineEmits<{ change: [e4: number] }>()
const shown = computed(() => (value === null ? '' : plainAmount(value, currency)))
const text = ref(shown.value)
const bad = ref(false)
watch(shown, (now) => {
  text.value = now
  bad.value = false
})
function typed() {
  const plain = plainNumber(text.value.replace(',', '.'), { decimal: '.', group: '' })
  const e4 = plain === null ? null : e4OfPlain(plain)
  bad.value = e4 === null || e4 < 0
  if (!bad.value && e4 !== value) emit('change', e4 as number)
  else if (!bad.value) text.value = shown.value
}
</script>

<template>
  <input
    v-model="text"
    class="figure money"
    :class="{ bad }"
    inputmode="decimal"
    :aria-label="label"
    :aria-invalid="bad"
    :title="bad ? 'This is no amount of 0 or more' : label"
    @change="typed"
    @keydown.enter="typed"
  />
</template>
