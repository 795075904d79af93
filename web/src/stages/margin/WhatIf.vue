<script setup lang="ts">
import { NButton } from 'naive-ui'
import { computed, ref } from 'vue'
import { turnsOf } from '@sickle/core/catalog'
import { saleResult, scenarioParts, underScenario, type ScenarioPart } from '@sickle/core/margin'
import { amount, currencySign, percent } from '@/shared/format'
import { changeTold, scenarioTold } from '@/shared/scenario-words'
import { useScenarios } from '@/shared/stores/scenarios'
import PlainTable from '@/shared/widgets/PlainTable.vue'
import ProfitFigure from '@/shared/widgets/ProfitFigure.vue'
import ScenarioEditor from '@/shared/widgets/ScenarioEditor.vue'
import type { Costing } from './use-costing'

/** The sale under the seller's what-ifs side by side, and what would make it a loss. */
const { costing, home } = defineProps<{ costing: Costing; home: string }>()
const scenarios = useScenarios()
const isOpen = ref(false)
const rows = computed(() => {
  const sale = costing.sale.value
  if (!sale) return []
  const asItIs = { name: 'As it is', told: '', ...saleResult(sale) }
  const under = scenarios.list.map((s) => ({
    name: s.name,
    told: scenarioTold(s),
    ...saleResult(underScenario(sale, s)),
  }))
  return [asItIs, ...under]
})
const turns = computed(() => {
  const sale = costing.sale.value
  if (!sale || rows.value[0]?.profitE4 == null) return []
  const all = Object.entries(turnsOf(sale)) as [ScenarioPart, number | null][]
  return all.flatMap(([part, at]) => (at === null ? [] : [{ part, at }]))
})
const isLoss = computed(() => turns.value.some(({ at }) => at === 0))
</script>

<template>
  <section aria-label="What if">
    <div class="row-gap">
      <h3>What if</h3>
      <NButton size="tiny" class="edit" @click="isOpen = true">What-ifs …</NButton>
    </div>
    <PlainTable class="tight" aria-label="The sale under what-ifs">
      <thead>
        <tr>
          <th>{{ currencySign(home) }}</th>
          <th class="num">Price</th>
          <th class="num">Landed</th>
          <th class="num">Profit</th>
          <th class="num">Margin</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(r, i) in rows" :key="i">
          <td>
            {{ r.name }}
            <div v-if="r.told" class="small quiet">{{ r.told }}</div>
          </td>
          <td class="num">{{ amount(r.priceE4, home) }}</td>
          <td class="num">{{ amount(r.landedE4, home) }}</td>
          <td class="num"><ProfitFigure :e4="r.profitE4" :currency="home" :assumed="costing.assumed.value" /></td>
          <td class="num">{{ percent(r.margin) }}</td>
        </tr>
      </tbody>
    </PlainTable>
    <p v-if="isLoss" class="small loss">It is a loss as it is.</p>
    <p v-else-if="turns.length" class="small turns">
      <span class="quiet">It turns to a loss, one change alone, at</span>
      <span v-for="t in turns" :key="t.part" class="turn"
        >{{ scenarioParts[t.part].label }} <b>{{ changeTold(t.part, t.at) }}</b></span
      >
    </p>
    <ScenarioEditor :show="isOpen" @close="isOpen = false" />
  </section>
</template>

<style scoped>
.edit {
  margin-left: auto;
}
.turns {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
  margin-top: 8px;
}
.turn {
  white-space: nowrap;
}
</style>
