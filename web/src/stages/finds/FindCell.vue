<script setup lang="ts">
import { computed } from 'vue'
import { measure, type FindRow } from '@sickle/core/engine'
import TrendLine from '@/shared/charts/TrendLine.vue'
import { amount, count, decimal, percent } from '@/shared/format'
import { valueWords } from '@/shared/span-words'
import GradeMark from '@/shared/widgets/GradeMark.vue'
import ProfitFigure from '@/shared/widgets/ProfitFigure.vue'
import type { FindColumn } from './columns'

/** One cell of a find. */
const { column, row, home } = defineProps<{ column: FindColumn; row: FindRow; home: string }>()
const price = computed(() => {
  if (row.priceLowE4 === null) return ['–', '']
  const [low, high] = [amount(row.priceLowE4, home), amount(row.priceHighE4, home)]
  return low === high ? [low, ''] : [`${low}–`, high]
})
const tone = computed(() => ((row.worth ?? 0) >= 60 ? 'moss' : (row.worth ?? 0) >= 35 ? 'wheat' : 'clay'))
const falls = computed(() => row.stage === 'Fading' || row.stage === 'Flash')
const clearingTone = { restricted: 'loss', 'needs approval': 'wheaten', allowed: 'profit', unknown: 'quiet' }
const figure = computed(() => row.figures[column.id] ?? null)
</script>

<template>
  <div v-if="column.id === 'price'" role="gridcell" class="num">{{ price[0] }}<br />{{ price[1] }}</div>
  <div v-else-if="column.id === 'units'" role="gridcell" class="num">
    {{ count(row.units) }}<GradeMark :grade="row.unitsGrade" />
  </div>
  <div v-else-if="column.id === 'trend'" role="gridcell" class="trend">
    <TrendLine :values="row.trend" :stage="row.stage" /><span class="small" :class="falls ? 'falling' : 'quiet'">{{
      row.stage
    }}</span>
  </div>
  <div
    v-else-if="column.id === 'sold'"
    role="gridcell"
    class="num"
    :title="
      row.sellThrough === null ? '' : `95\u00a0%: ${percent(row.sellThroughLow)} to ${percent(row.sellThroughHigh)}`
    "
  >
    {{ percent(row.sellThrough) }}<br /><span class="quiet">{{ decimal(row.unitsPerListing) }}</span>
  </div>
  <div v-else-if="column.id === 'room'" role="gridcell">
    {{ row.room }}<br /><span class="quiet small"
      >{{ row.sellers }} {{ row.sellers === 1 ? 'seller' : 'sellers' }}</span
    >
  </div>
  <div v-else-if="column.id === 'landed'" role="gridcell" class="num">{{ amount(row.landedE4, home) }}</div>
  <div v-else-if="column.id === 'profit'" role="gridcell" class="num">
    <ProfitFigure :e4="row.profitE4" :currency="home" :assumed="row.assumed" /><br /><span class="quiet">{{
      percent(row.margin)
    }}</span>
  </div>
  <div v-else-if="column.id === 'clearing'" role="gridcell" class="small" :class="clearingTone[row.clearing]">
    {{ row.clearing }}
  </div>
  <div v-else-if="column.id === 'worth'" role="gridcell" class="num">
    <b>{{ row.worth === null ? '–' : Math.round(row.worth) }}</b><span class="meter" aria-hidden="true"
      ><i :style="{ width: `${row.worth ?? 0}%`, background: `var(--${tone})` }"
    /></span>
  </div>
  <div v-else role="gridcell" class="num">{{ figure === null ? '–' : valueWords(measure(column.id), figure) }}</div>
</template>

<style scoped>
.trend {
  display: grid;
  line-height: 1.1;
}
.wheaten {
  color: var(--wheat-ink);
}
.falling {
  color: var(--clay);
}
.meter {
  display: block;
  height: 4px;
  border-radius: 2px;
  background: var(--sunk);
  margin-top: 4px;
  overflow: hidden;
}
.meter i {
  display: block;
  height: 100%;
}
</style>
