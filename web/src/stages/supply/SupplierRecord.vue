<script setup lang="ts">
import { computed, ref } from 'vue'
import { NButton } from 'naive-ui'
import { answerTime, onTimeRecord, promisesOf } from '@sickle/core/supply'
import { useServices } from '@/services/services'
import { day, plural } from '@/shared/format'
import { useQuotes } from '@/shared/stores/quotes'
import { useWorkspace } from '@/shared/stores/workspace'
import { answerTimeTold, onTimeTold } from '@/shared/record-words'
import { quoteStateWords } from '@/shared/quote-words'
import { useLatest } from '@/shared/use-latest'
import BareButton from '@/shared/widgets/BareButton.vue'
import { quoteState } from '@sickle/core/supply'
import NoteOrder from './NoteOrder.vue'

/** How a supplier keeps to what it promises, out of own orders, and how soon it answers. */
const { supplier } = defineProps<{ supplier: string }>()
const services = useServices()
const quotes = useQuotes()
const workspace = useWorkspace()
const isNoting = ref(false)
const bought = useLatest([() => workspace.version], async () =>
  workspace.version === 0 ? [] : services.engine.call('bought', []),
)
const ordered = computed(() => quotes.purchases.filter((p) => p.supplier === supplier))
const its = computed(() => quotes.list.filter((q) => q.supplier === supplier))
const record = computed(() =>
  onTimeRecord(promisesOf(supplier, [...quotes.purchases, ...(bought.value ?? [])], quotes.list), quotes.today()),
)
const ofFiles = computed(() => bought.value?.filter((p) => p.supplier === supplier).length ?? 0)
const told = computed(() => onTimeTold(record.value))
const answers = computed(() => answerTimeTold(answerTime(its.value, quotes.today())))
</script>

<template>
  <section class="panel text-pane" aria-label="What it promised">
    <div class="row-gap">
      <h2>On time?</h2>
      <NButton size="tiny" class="push" @click="isNoting = true">Note an order …</NButton>
    </div>
    <p>{{ told }}</p>
    <p v-if="ofFiles" class="small quiet">{{ plural(ofFiles, 'order') }} of it from files of your own orders.</p>
    <ul v-if="ordered.length" class="orders">
      <li v-for="o in ordered" :key="o.id" class="row-gap small">
        <span class="what">{{ o.what }}</span>
        <span class="quiet"
          >ordered {{ day(o.orderedOn) }},
          {{ o.promisedOn === null ? 'no day promised' : `promised ${day(o.promisedOn)}` }}</span
        >
        <NButton
          v-if="o.arrivedOn === null"
          size="tiny"
          @click="quotes.changePurchase(o.id, { arrivedOn: quotes.today() })"
          >Arrived today</NButton
        >
        <span v-else :class="o.promisedOn !== null && o.arrivedOn > o.promisedOn ? 'loss' : ''"
          >arrived {{ day(o.arrivedOn) }}</span
        >
        <BareButton
          type="info"
          class="link small"
          :aria-label="`Remove the order of ${o.what}`"
          @click="quotes.removePurchase(o.id)"
          >Remove</BareButton
        >
      </li>
    </ul>
    <h2>How soon it answers</h2>
    <p>{{ answers }}</p>
    <ul v-if="its.length" class="orders">
      <li v-for="q in its" :key="q.id" class="row-gap small">
        <RouterLink class="what" :to="{ path: '/supply/quotes', query: { item: q.item } }">{{ q.title }}</RouterLink>
        <span :class="quoteStateWords[quoteState(q)].tone">{{ quoteStateWords[quoteState(q)].label }}</span>
        <span class="quiet">asked {{ day(q.askedOn) }}</span>
      </li>
    </ul>
    <NoteOrder v-model:show="isNoting" :supplier="supplier" />
  </section>
</template>

<style scoped>
.orders {
  list-style: none;
  margin: 0;
  padding: 0;
}
.orders li {
  padding: 3px 0;
  border-top: 1px solid var(--line);
}
.what {
  flex: 1;
  min-width: 0;
}
</style>
