<script setup lang="ts">
import { computed } from 'vue'
import type { FindRow } from '@sickle/core/engine'
import TrendLine from '@/shared/charts/TrendLine.vue'
import { amount, count, decimal, percent, signed } from '@/shared/format'
import GoodsPicture from '@/shared/widgets/GoodsPicture.vue'
import GradeMark from '@/shared/widgets/GradeMark.vue'

const { row, home } = defineProps<{
  row: FindRow | null
  home: string
  selected: boolean
  decision: 'keep' | 'hold' | 'drop' | null
}>()
defineEmits<{ choose: []; open: [] }>()
const price = computed(() => {
  if (!row || row.priceLowE4 === null) return ['–', '']
  const [low, high] = [amount(row.priceLowE4, home), amount(row.priceHighE4, home)]
  return low === high ? [low, ''] : [`${low}–`, high]
})
const tone = computed(() => ((row?.worth ?? 0) >= 60 ? 'moss' : (row?.worth ?? 0) >= 35 ? 'wheat' : 'clay'))
const words = { keep: 'kept', hold: 'held', drop: 'dropped' }
</script>

<template>
  <div
    class="find"
    role="row"
    :class="{ selected }"
    :aria-selected="selected"
    :tabindex="selected ? 0 : -1"
    @click="$emit('choose')"
    @dblclick="$emit('open')"
    @keydown.enter="$emit('open')"
  >
    <template v-if="row">
      <div class="item" role="gridcell">
        <GoodsPicture :src="row.picture" :title="row.title" />
        <div class="words">
          <div class="title" :title="row.title">{{ row.title }}</div>
          <div class="meta">
            {{ row.markets.map((m) => m.charAt(0)).join(' ') }} · {{ row.listings }}
            {{ row.listings === 1 ? 'listing' : 'listings'
            }}<b v-if="decision" :class="decision"> · {{ words[decision] }}</b>
          </div>
        </div>
      </div>
      <div role="gridcell" class="num">{{ price[0] }}<br />{{ price[1] }}</div>
      <div role="gridcell" class="num">{{ count(row.units) }}<GradeMark :grade="row.unitsGrade" /></div>
      <div role="gridcell" class="trend">
        <TrendLine :values="row.trend" :stage="row.stage" /><span
          class="small"
          :class="{
            quiet: row.stage !== 'Fading' && row.stage !== 'Flash',
            falling: row.stage === 'Fading' || row.stage === 'Flash',
          }"
          >{{ row.stage }}</span
        >
      </div>
      <div
        role="gridcell"
        class="num"
        :title="
          row.sellThrough === null ? '' : `95 %: ${percent(row.sellThroughLow)} to ${percent(row.sellThroughHigh)}`
        "
      >
        {{ percent(row.sellThrough) }}<br /><span class="quiet">{{ decimal(row.unitsPerListing) }}</span>
      </div>
      <div role="gridcell" class="c-room">
        {{ row.room }}<br /><span class="quiet small"
          >{{ row.sellers }} {{ row.sellers === 1 ? 'seller' : 'sellers' }}</span
        >
      </div>
      <div role="gridcell" class="num">{{ amount(row.landedE4, home) }}</div>
      <div role="gridcell" class="num">
        <span :class="row.profitE4 === null ? 'quiet' : row.profitE4 < 0 ? 'loss' : 'profit'">{{
          signed(row.profitE4, home)
        }}</span><br /><span class="quiet">{{ percent(row.margin) }}</span>
      </div>
      <div role="gridcell" class="num worth">
        <b>{{ row.worth === null ? '–' : Math.round(row.worth) }}</b><span class="meter" aria-hidden="true"
          ><i :style="{ width: `${row.worth ?? 0}%`, background: `var(--${tone})` }"
        /></span>
      </div>
    </template>
    <div v-else class="quiet small" role="gridcell">…</div>
  </div>
</template>

<style scoped>
.find {
  position: absolute;
  left: 0;
  right: 0;
  height: 60px;
  contain: strict;
  align-items: center;
  padding: 0 10px;
  border-bottom: 1px solid var(--line);
  font-size: 13px;
  line-height: 1.3;
  cursor: pointer;
}
.find:hover {
  background: var(--sunk);
}
.find.selected {
  background: var(--slate-soft);
  box-shadow: inset 3px 0 0 var(--slate);
}
.item {
  display: flex;
  align-items: center;
  gap: 10px;
  min-width: 0;
}
.words {
  min-width: 0;
}
.title {
  font-weight: 500;
  display: -webkit-box;
  -webkit-line-clamp: 2;
  -webkit-box-orient: vertical;
  overflow: hidden;
}
.meta {
  font-size: 12px;
  color: var(--quiet);
}
.trend {
  display: grid;
  line-height: 1.1;
}
.falling {
  color: var(--clay);
}
.keep {
  color: var(--moss);
}
.hold {
  color: var(--wheat-ink);
}
.drop {
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
