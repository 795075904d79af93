<script setup lang="ts">
import type { Wordings } from '@sickle/core/engine'
import type { ListingSums } from '@sickle/core/catalog'
import { computed } from 'vue'
import { balanceWords, whichWordingSells } from '@/shared/demand-answers'
import { amount, count, currencySign, decimal, percent, signedPercent } from '@/shared/format'
import GradeMark from '@/shared/widgets/GradeMark.vue'
import type { TermLook } from '@/workers/demand-methods'
import BareButton from '@/shared/widgets/BareButton.vue'
import PlainTable from '@/shared/widgets/PlainTable.vue'

/** Two wordings for the same thing, side by side. */
const { first, second, wordings, home } = defineProps<{
  first: TermLook
  second: TermLook
  wordings: Wordings | null
  home: string
}>()
defineEmits<{ choose: [key: string]; close: [] }>()
const sides = computed(() => [
  { term: first.term, sums: wordings?.first ?? null },
  { term: second.term, sums: wordings?.second ?? null },
])
const share = (s: ListingSums | null) =>
  s?.sellThrough
    ? `${percent(s.sellThrough.ratio)} (${percent(s.sellThrough.low)}–${percent(s.sellThrough.high)})`
    : '–'
const rows = computed(() => [
  { label: 'Searches a month', of: sides.value.map((s) => count(s.term.searches)) },
  { label: 'Competing listings', of: sides.value.map((s) => count(s.term.competing)) },
  { label: 'Searches a listing', of: sides.value.map((s) => balanceWords(s.term.balance)) },
  { label: 'Change, three months', of: sides.value.map((s) => signedPercent(s.term.change?.ratio)) },
  { label: 'Listings with it alone', of: sides.value.map((s) => count(s.sums?.listings)) },
  { label: 'Of them sold, 30 days', of: sides.value.map((s) => share(s.sums)) },
  { label: 'Units a listing, 30 days', of: sides.value.map((s) => decimal(s.sums?.unitsPerListing, 1)) },
  { label: `Middle price, ${currencySign(home)}`, of: sides.value.map((s) => amount(s.sums?.medianPriceE4, home)) },
])
</script>

<template>
  <div class="two">
    <header class="row-gap">
      <h2>Two wordings</h2>
      <span class="spring" />
      <BareButton type="info" class="link" @click="$emit('close')">Back to one</BareButton>
    </header>
    <p v-if="wordings">{{ whichWordingSells(wordings, [first.term.phrase, second.term.phrase]) }}</p>
    <PlainTable class="sides">
      <thead>
        <tr>
          <th />
          <th v-for="(s, i) in sides" :key="s.term.key" class="num" :class="i ? 'second' : 'first'">
            <BareButton @click="$emit('choose', s.term.key)">
              <b>{{ i ? '◆' : '●' }} {{ s.term.phrase }}</b
              ><br /><span class="small quiet">{{ s.term.market }}</span>
            </BareButton>
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="r in rows" :key="r.label">
          <th scope="row">{{ r.label }}</th>
          <td v-for="(v, i) in r.of" :key="i" class="num">{{ v }}</td>
        </tr>
      </tbody>
    </PlainTable>
    <p class="small quiet">
      Searches and listings <GradeMark grade="reported" /> reported by the market; what sold is of the gathered listings
      <GradeMark :grade="wordings?.first.grade ?? null" />.
    </p>
  </div>
</template>

<style scoped>
.two {
  padding: 10px 14px;
  display: grid;
  gap: 8px;
  align-content: start;
  font-size: 13.5px;
}
.spring {
  flex: 1;
}
.sides {
  table-layout: fixed;
}
.sides th {
  white-space: normal;
}
th b {
  font-weight: 600;
}
.first b {
  color: var(--moss);
}
.second b {
  color: var(--plum);
}
th button {
  text-align: right;
}
tbody th {
  font-weight: 400;
}
</style>
