<script setup lang="ts">
import { NInput } from 'naive-ui'
import { ref } from 'vue'
import type { Letter } from '@sickle/core/supply'
import { toProblem } from '@/shared/problem'
import { useQuotes } from '@/shared/stores/quotes'
import LineField from '@/shared/widgets/LineField.vue'
import NumberField from '@/shared/widgets/NumberField.vue'
import { quantitiesIn } from './ask-quotes'

/** What goes into every message: quantities, questions, and the words around them. What is changed is kept for the next ones. */
const quotes = useQuotes()
const fault = ref('')
async function set(some: Partial<Letter>) {
  fault.value = ''
  try {
    await quotes.setLetter(some)
  } catch (thrown) {
    fault.value = toProblem(thrown).message
  }
}
function setQuantities(text: string) {
  const quantities = quantitiesIn(text)
  if (quantities) return void set({ quantities })
  fault.value = 'Quantities are one to eight whole numbers, such as 10, 50, 200.'
}
const lines = (text: string) =>
  text
    .split('\n')
    .map((q) => q.trim())
    .filter((q) => q !== '')
</script>

<template>
  <div class="letter">
    <h3>With</h3>
    <div class="row">
      <span>Packs in an order</span>
      <LineField :value="quotes.letter.quantities.join(', ')" label="Packs in an order" @change="setQuantities" />
      <span>An answer is late after, days</span>
      <NumberField
        :value="quotes.letter.answerDays"
        label="An answer is late after, days"
        whole
        :min="1"
        :max="90"
        @change="(answerDays) => set({ answerDays })"
      />
    </div>
    <NInput
      v-for="part in ['opening', 'questions', 'closing'] as const"
      :key="part"
      type="textarea"
      size="small"
      :autosize="{ minRows: 2, maxRows: 6 }"
      :default-value="part === 'questions' ? quotes.letter.questions.join('\n') : quotes.letter[part]"
      :input-props="{ 'aria-label': part === 'questions' ? 'Questions, one a line' : `Words of the ${part}` }"
      @change="(text: string) => set(part === 'questions' ? { questions: lines(text) } : { [part]: text })"
    />
    <p v-if="fault" class="small loss" role="alert">{{ fault }}</p>
  </div>
</template>

<style scoped>
.letter {
  display: grid;
  gap: 6px;
}
.row {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 120px;
  gap: 4px 10px;
  align-items: center;
  font-size: 13px;
}
h3 {
  margin-top: 6px;
}
</style>
