<script setup lang="ts">
import { NButton } from 'naive-ui'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import type { QuotesCompared } from '@sickle/core/catalog'
import type { Quote } from '@sickle/core/supply'
import { currencySign, plural } from '@/shared/format'
import { useRules } from '@/shared/stores/rules'
import PlainTable from '@/shared/widgets/PlainTable.vue'
import AnswerForm from './AnswerForm.vue'
import QuoteRow from './QuoteRow.vue'
import type { QuotedItem } from './quotes-of-items'

/** The quotes of one item: what its goods would cost by each at the quantities that were asked for, cheapest first. */
const { item, compared } = defineProps<{ item: QuotedItem; compared: QuotesCompared | null }>()
const router = useRouter()
const rules = useRules()
const answering = ref<Quote | null>(null)
const quantities = computed(() => [...new Set(item.quotes.flatMap((q) => q.quantities))].sort((a, b) => a - b))
const rows = computed(() => {
  const answers = new Map(compared?.answers.map((a, i) => [a.id, { ...a, place: i }]))
  const place = (q: Quote) => answers.get(q.id)?.place ?? Infinity
  return [...item.quotes]
    .sort((a, b) => (place(a) === place(b) ? a.askedOn - b.askedOn : place(a) - place(b)))
    .map((quote) => ({ quote, answer: answers.get(quote.id) ?? null }))
})
/** of each quantity the least that an answer comes to */
const least = computed(() =>
  quantities.value.map((n) =>
    Math.min(...rows.value.map((r) => r.answer?.landed.find((l) => l.quantity === n)?.landedE4 ?? Infinity)),
  ),
)
</script>

<template>
  <section class="panel scroll" tabindex="0" :aria-label="`Quotes of ${item.title}`">
    <header class="row-gap">
      <h2>{{ item.title }}</h2>
      <span class="push row-gap">
        <NButton size="tiny" @click="router.push(`/supply/${encodeURIComponent(item.key)}`)">On the match desk</NButton>
        <NButton size="tiny" @click="router.push({ path: '/supply/quotes', query: { ask: item.key } })"
          >Ask others …</NButton
        >
      </span>
    </header>
    <p class="small quiet">
      What the goods of one sale cost, landed, {{ currencySign(rules.home) }}, where so many packs are ordered at once.
    </p>
    <PlainTable :aria-label="`Quotes of ${item.title}`">
      <thead>
        <tr>
          <th>Supplier</th>
          <th v-for="n in quantities" :key="n" class="num">{{ plural(n, 'pack') }}</th>
          <th class="num">Days</th>
          <th>Next</th>
        </tr>
      </thead>
      <tbody>
        <QuoteRow
          v-for="r in rows"
          :key="r.quote.id"
          :quote="r.quote"
          :answer="r.answer"
          :quantities="quantities"
          :least="least"
          @answer="answering = r.quote"
        />
      </tbody>
    </PlainTable>
    <p v-for="r in rows.filter((x) => x.quote.answer?.note)" :key="r.quote.id" class="small">
      <b>{{ r.quote.supplier }}</b>: “{{ r.quote.answer?.note }}”
    </p>
    <AnswerForm :quote="answering" @close="answering = null" />
  </section>
</template>

<style scoped>
section {
  padding: 10px 14px;
}
</style>
