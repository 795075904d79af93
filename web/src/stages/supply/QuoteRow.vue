<script setup lang="ts">
import { NButton } from 'naive-ui'
import { computed } from 'vue'
import type { QuoteCompared } from '@sickle/core/catalog'
import { lateBy, quoteState, type Quote } from '@sickle/core/supply'
import { amount, plural } from '@/shared/format'
import { quoteStateWords, quoteTold } from '@/shared/quote-words'
import { useAsk } from '@/shared/stores/ask'
import { useQuotes } from '@/shared/stores/quotes'
import { useRules } from '@/shared/stores/rules'
import BareButton from '@/shared/widgets/BareButton.vue'
import SupplierLink from '@/shared/widgets/SupplierLink.vue'
import { daysTold } from '@/shared/supply-words'
import { useQuoteAsOffer } from './quote-as-offer'

/** One supplier's quote: how far it has come, what it comes to, and what is to be done next. */
const { quote, answer, quantities, least } = defineProps<{
  quote: Quote
  answer: QuoteCompared | null
  quantities: number[]
  /** the least that any answer comes to, by quantity */
  least: number[]
}>()
defineEmits<{ answer: [] }>()
const quotes = useQuotes()
const rules = useRules()
const { ask } = useAsk()
const bring = useQuoteAsOffer()
const state = computed(() => quoteState(quote))
const words = computed(() => quoteStateWords[state.value])
const isLate = computed(() => lateBy(quote, quotes.today()) !== null)
const landed = (n: number) => answer?.landed.find((l) => l.quantity === n)?.landedE4 ?? null
const tooFew = (n: number) => answer !== null && n < answer.candidate.match.offer.minOrder
const offer = computed(() => answer?.candidate.match.offer ?? null)
const isUsed = computed(() => offer.value !== null && rules.corrections.offers[quote.item] === offer.value.key)
async function remove() {
  const isSure = await ask({
    title: `Remove the quote of ${quote.supplier}?`,
    content: 'Its answer and its sample go with it.',
    yes: 'Remove',
    no: 'Keep',
  })
  if (isSure) await quotes.remove([quote.id])
}
</script>

<template>
  <tr>
    <td>
      <SupplierLink :supplier="quote.supplier" />
      <div class="small" :class="[words.tone, { late: isLate }]">
        <span aria-hidden="true">{{ words.sign }}</span> {{ quoteTold(quote, quotes.today()) }}
      </div>
    </td>
    <td v-for="(n, i) in quantities" :key="n" class="num">
      <b v-if="landed(n) !== null && landed(n) === least[i]">{{ amount(landed(n), rules.home) }}</b>
      <template v-else-if="landed(n) !== null">{{ amount(landed(n), rules.home) }}</template>
      <span v-else-if="tooFew(n)" class="quiet small">from {{ offer?.minOrder }}</span>
      <span v-else class="quiet">–</span>
    </td>
    <td class="num small">
      {{ offer ? daysTold(offer) : '–' }}
      <div v-if="answer" class="quiet">packs of {{ answer.candidate.pack }}</div>
    </td>
    <td>
      <div class="row-gap next">
        <NButton v-if="state === 'asked'" size="tiny" type="primary" @click="$emit('answer')">Note the answer</NButton>
        <template v-if="state === 'answered'">
          <NButton size="tiny" @click="quotes.orderSample(quote.id)">Sample ordered</NButton>
          <NButton size="tiny" :disabled="isUsed || offer === null" @click="bring(quote, offer)">{{
            isUsed ? 'Reckoned with' : 'Reckon with it'
          }}</NButton>
        </template>
        <template v-if="state === 'sampled'">
          <NButton v-if="quote.sample?.arrivedOn === null" size="tiny" @click="quotes.arrived(quote.id)"
            >Sample is here</NButton
          >
          <NButton size="tiny" type="primary" @click="quotes.judge(quote.id, true)">Passed</NButton>
          <NButton size="tiny" @click="quotes.judge(quote.id, false)">Failed</NButton>
        </template>
        <NButton
          v-if="state === 'passed'"
          size="tiny"
          :disabled="isUsed || offer === null"
          @click="bring(quote, offer)"
          >{{ isUsed ? 'Reckoned with' : 'Reckon with it' }}</NButton
        >
        <BareButton v-if="state !== 'asked'" type="info" class="link small" @click="$emit('answer')"
          >Its answer</BareButton
        >
        <BareButton type="info" class="link small" :aria-label="`Remove the quote of ${quote.supplier}`" @click="remove"
          >Remove</BareButton
        >
      </div>
      <div v-if="answer?.candidate.notes.length" class="small note">{{ answer.candidate.notes.join(' · ') }}</div>
      <div v-if="quote.sample" class="small quiet">
        Sample{{
          quote.answer?.sampleE4 != null
            ? ` at ${amount(quote.answer.sampleE4, quote.answer.currency)} ${quote.answer.currency}`
            : ''
        }},
        {{
          quote.sample.dueOn === null
            ? 'no day promised'
            : `promised in ${plural(quote.sample.dueOn - quote.sample.orderedOn, 'day')}`
        }}
      </div>
    </td>
  </tr>
</template>

<style scoped>
.late,
.note {
  color: var(--wheat-ink);
}
.next {
  flex-wrap: wrap;
}
</style>
