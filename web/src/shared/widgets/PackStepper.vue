<script setup lang="ts">
import { readTyped } from '@sickle/core/money'
import BareButton from './BareButton.vue'
import LineField from './LineField.vue'

/** A count of pieces with − and +; emptied, it goes back to what the title says. */
const { value, label } = defineProps<{ value: number; label: string }>()
const emit = defineEmits<{ change: [value: number | null] }>()
const set = (n: number) => n >= 1 && n <= 5000 && n !== value && emit('change', n)
function typed(text: string) {
  const { plain } = readTyped(text, { whole: true })
  if (text === '') emit('change', null)
  else if (plain !== null) set(Number(plain))
}
</script>

<template>
  <span class="stepper" role="group" :aria-label="label">
    <BareButton :aria-label="`${label}: one less`" :disabled="value <= 1" @click="set(value - 1)">−</BareButton>
    <LineField
      class="count"
      :theme-overrides="{ border: 'none', paddingTiny: '0 4px' }"
      :value="String(value)"
      :label="label"
      @change="typed"
    />
    <BareButton :aria-label="`${label}: one more`" @click="set(value + 1)">+</BareButton>
  </span>
</template>

<style scoped>
.stepper {
  flex: none;
  display: inline-flex;
  border: 1px solid var(--line);
  border-radius: 6px;
  overflow: hidden;
}
button {
  background: var(--sunk);
  width: 24px;
  min-height: 24px;
  text-align: center;
}
.count {
  width: 40px;
  text-align: center;
}
</style>
