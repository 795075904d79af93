<script setup lang="ts">
import { NButton } from 'naive-ui'
import { computed, ref, watch } from 'vue'
import { readAnswer, splitAnswers, type Quote, type QuoteAnswer } from '@sickle/core/supply'
import { toProblem } from '@/shared/problem'
import { useQuotes } from '@/shared/stores/quotes'
import { useRules } from '@/shared/stores/rules'
import BareButton from '@/shared/widgets/BareButton.vue'
import HouseModal from '@/shared/widgets/HouseModal.vue'
import LongText from '@/shared/widgets/LongText.vue'
import AnswerFields from './AnswerFields.vue'

/** What a supplier answered: pasted, as far as it can be read, and put right by hand before it counts. */
const { quote } = defineProps<{ quote: Quote | null }>()
const emit = defineEmits<{ close: [] }>()
const quotes = useQuotes()
const rules = useRules()
const [text, fault] = [ref(''), ref('')]
const nothing = (): QuoteAnswer => ({
  on: quotes.today(),
  tiers: [],
  currency: rules.home,
  minOrder: null,
  deliveryE4: null,
  leadDays: null,
  sampleE4: null,
  pack: null,
  note: '',
})
const answer = ref<QuoteAnswer>(nothing())
watch(
  () => quote,
  (now) => {
    text.value = fault.value = ''
    answer.value = now?.answer ?? nothing()
  },
)
/** what the text says of this item, where the message asked about several */
const part = computed(() => (quote ? (splitAnswers(text.value, quote.of)[quote.place - 1] ?? '') : ''))
const read = computed(() => readAnswer(part.value))
watch(text, (now) => {
  // what names no price says nothing, and what was entered stays
  if (now.trim() === '' || read.value.tiers.length === 0) return
  const { currency, ...said } = read.value
  answer.value = { ...answer.value, ...said, currency: currency ?? answer.value.currency }
})
async function keep(given: QuoteAnswer) {
  if (quote === null) return
  try {
    await quotes.answer(quote.id, given)
  } catch (thrown) {
    return void (fault.value = toProblem(thrown).message)
  }
  emit('close')
}
const hasNone = () => keep({ ...nothing(), note: answer.value.note })
</script>

<template>
  <HouseModal
    :show="quote !== null"
    :title="`What does ${quote?.supplier ?? ''} answer?`"
    :width="820"
    @update:show="(open: boolean) => !open && emit('close')"
  >
    <form class="two" @submit.prevent="keep(answer)">
      <div class="paste">
        <LongText v-model="text" label="The answer, pasted" placeholder="Paste the answer here" :rows="14" />
        <p class="small quiet" role="status">
          {{
            text.trim() === ''
              ? `About ${quote?.title ?? ''}.`
              : read.tiers.length === 0
                ? 'No price was found in it: enter it by hand.'
                : 'Read as it stands at the right: put right what is not.'
          }}
        </p>
      </div>
      <div class="fields">
        <AnswerFields v-model="answer" />
        <p v-if="fault" class="small loss" role="alert">{{ fault }}</p>
        <div class="row-gap">
          <NButton size="small" type="primary" attr-type="submit" :disabled="answer.tiers.length === 0"
            >Note the answer</NButton
          >
          <BareButton type="info" class="link small" @click="hasNone">It has none</BareButton>
        </div>
      </div>
    </form>
  </HouseModal>
</template>

<style scoped>
.two {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 360px;
  gap: 18px;
}
.paste,
.fields {
  display: grid;
  gap: 8px;
  align-content: start;
}
</style>
