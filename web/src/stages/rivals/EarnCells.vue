<script setup lang="ts">
import type { FindRow } from '@sickle/core/engine'
import { amount } from '@/shared/format'
import { useRules } from '@/shared/stores/rules'
import ProfitFigure from '@/shared/widgets/ProfitFigure.vue'

/** The cells that end a row of items: lowest price, profit and Worth. */
const { row } = defineProps<{ row: FindRow }>()
const rules = useRules()
</script>

<template>
  <td class="num">{{ amount(row.priceLowE4, rules.home) }}</td>
  <td class="num"><ProfitFigure :e4="row.profitE4" :currency="rules.home" :assumed="row.assumed" /></td>
  <td class="num">{{ row.worth === null ? '–' : Math.round(row.worth) }}</td>
</template>
