<script setup lang="ts">
import { readTyped } from '@sickle/core/money'

/** A count of pieces with − and +; emptied, it goes back to what the title says. */
const { value, label } = defineProps<{ value: number; label: string }>()
const emit = defineEmits<{ change: [value: number | null] }>()
const set = (n: number) => n >= 1 && n <= 5000 && n !== value && emit('change', n)
function typed(event: Event) {
  const text = (event.target as HTMLInputElement).value.trim()
  const { plain } = readTyped(text, { whole: true })
  if (text === '') emit('change', null)
  else if (plain !== null) set(Number(plain))
}
</script>

<template>
  <span class="stepper" role="group" :aria-label="label">
    <button type="button" :aria-label="`${label}: one less`" :disabled="value <= 1" @click="set(value - 1)">−</button>
    <input :value="value" inputmode="numeric" :aria-label="label" @change="typed" />
    <button type="button" :aria-label="`${label}: one more`" @click="set(value + 1)">+</button>
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
  border: 0;
  background: var(--sunk);
  width: 24px;
  min-height: 24px;
  cursor: pointer;
}
input {
  width: 36px;
  border: 0;
  text-align: center;
  background: var(--panel);
}
</style>
