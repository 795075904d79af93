<script setup lang="ts">
import { computed } from 'vue'
import type { CostSheet } from '@sickle/core/margin'
import { waterfall } from '@/shared/charts/waterfall'
import { amount, currencySign, signed } from '@/shared/format'

const { sheet } = defineProps<{ sheet: CostSheet }>()
const fall = computed(() => waterfall(sheet.lines))
const tone = (group: string, e4: number | null) =>
  group === 'revenue' && (e4 ?? 0) > 0
    ? 'slate'
    : group === 'goods'
      ? 'wheat'
      : group === 'fees'
        ? 'plum'
        : group === 'tax'
          ? 'quiet'
          : 'clay'
</script>

<template>
  <section aria-label="From price to profit">
    <h3>From price to profit, {{ currencySign(sheet.currency) }}</h3>
    <table>
      <tbody>
        <tr v-for="b in fall.bars" :key="b.line.id">
          <th scope="row">{{ b.line.label }}</th>
          <td class="bars">
            <span
              class="bar"
              :style="{
                left: `${b.from * 100}%`,
                width: `max(2px, ${b.width * 100}%)`,
                background: `var(--${tone(b.line.group, b.line.amountE4)})`,
              }"
            />
          </td>
          <td class="num" :data-line="b.line.id">
            {{
              b.line.amountE4 === null
                ? 'not known'
                : b.line.id === 'price'
                  ? amount(b.line.amountE4, sheet.currency)
                  : signed(b.line.amountE4, sheet.currency)
            }}
          </td>
        </tr>
        <tr class="total">
          <th scope="row">Profit</th>
          <td class="bars">
            <span
              v-if="sheet.profitE4 !== null"
              class="bar"
              :style="{
                left: `${Math.min(fall.zero, fall.bars.at(-1)?.from ?? 0) * 100}%`,
                width: `max(2px, ${(Math.abs(sheet.profitE4) / Math.max(1, sheet.priceE4)) * 100}%)`,
                background: sheet.profitE4 < 0 ? 'var(--clay)' : 'var(--moss)',
              }"
            />
          </td>
          <td class="num" :class="(sheet.profitE4 ?? 0) < 0 ? 'loss' : 'profit'">
            {{ sheet.profitE4 === null ? 'not known' : signed(sheet.profitE4, sheet.currency) }}
          </td>
        </tr>
      </tbody>
    </table>
    <p v-if="sheet.unknown.length" class="small quiet">
      Not known: {{ sheet.unknown.join(', ') }}. Until it is, there is no profit figure.
    </p>
  </section>
</template>

<style scoped>
table {
  width: 100%;
  border-collapse: collapse;
  font-size: 13px;
  margin-top: 6px;
}
th {
  font-weight: 400;
  text-align: left;
  white-space: nowrap;
  padding: 2px 8px 2px 0;
}
.bars {
  width: 55%;
  position: relative;
  height: 20px;
}
.bar {
  position: absolute;
  top: 4px;
  bottom: 4px;
  border-radius: 2px;
  transition:
    left 120ms,
    width 120ms;
}
.total th,
.total td {
  border-top: 1px solid var(--line);
  font-weight: 600;
  padding-top: 4px;
}
.num {
  padding-left: 8px;
}
</style>
