<script setup lang="ts">
import { computed, ref } from 'vue'
import type { PriceMove, PriceMoves } from '@sickle/core/supply'
import { count, day, money, plural, signedPercent } from '@/shared/format'
import { useRules } from '@/shared/stores/rules'
import BareButton from '@/shared/widgets/BareButton.vue'

/** How its prices moved from one price list to the next. */
const { moves } = defineProps<{ moves: PriceMoves }>()
const rules = useRules()
const shownAtFirst = 6
const isAll = ref(false)
const shown = computed(() => (isAll.value ? moves.moves : moves.moves.slice(0, shownAtFirst)))
const told = computed(() => {
  const gone = moves.gone === 0 ? '' : ` ${plural(moves.gone, 'offer')} of before is not in its newest list.`
  if (moves.compared === 0) return `Not known: only one list of it names each offer.${gone}`
  const still = moves.compared - moves.dearer - moves.cheaper
  return `Of ${plural(moves.compared, 'offer')} in two lists ${count(moves.dearer)} became dearer, ${count(moves.cheaper)} cheaper, ${count(still)} stayed.${gone}`
})
const inMoney = (e4: number, m: PriceMove) => money(e4, m.currency ?? rules.home)
</script>

<template>
  <section class="panel text-pane" aria-label="Price changes">
    <h2>Price changes</h2>
    <p>{{ told }}</p>
    <ul v-if="shown.length">
      <li v-for="m in shown" :key="m.id" class="small">
        <span class="what">{{ m.title || m.id }}</span>
        <span class="num">{{ inMoney(m.beforeE4, m) }} → {{ inMoney(m.nowE4, m) }}</span>
        <b class="num" :class="m.nowE4 > m.beforeE4 ? 'loss' : 'profit'">{{
          m.beforeE4 === 0 ? '' : signedPercent(m.nowE4 / m.beforeE4 - 1)
        }}</b>
        <span class="quiet num">{{ day(m.nowOn) }}</span>
      </li>
    </ul>
    <BareButton v-if="moves.moves.length > shownAtFirst" type="info" class="link small" @click="isAll = !isAll">{{
      isAll ? 'Only the largest' : `All ${count(moves.moves.length)}`
    }}</BareButton>
  </section>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto 56px 76px;
  gap: 10px;
  padding: 3px 0;
  border-top: 1px solid var(--line);
}
</style>
