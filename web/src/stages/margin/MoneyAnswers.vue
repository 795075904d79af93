<script setup lang="ts">
import { computed } from 'vue'
import { amount, count, currencySign, decimal, money, percent, plural } from '@/shared/format'
import type { Costing } from './use-costing'
import { useSettings } from '@/shared/stores/settings'
import NumberField from '@/shared/widgets/NumberField.vue'
import PlainTable from '@/shared/widgets/PlainTable.vue'

const { costing, home } = defineProps<{ costing: Costing; home: string }>()
const settings = useSettings()
/** Where the floor holds, if fee steps make it stop holding further up. */
const holds = computed(() => {
  const ranges = costing.floor.value?.ranges ?? []
  if (ranges.length === 0) return 'No price earns the least profit with these costs.'
  if (ranges.length === 1 && ranges[0]?.toE4 === null) return ''
  return `The least profit holds from ${ranges.map((r) => `${amount(r.fromE4, home)}${r.toE4 === null ? ' on' : ` to ${amount(r.toE4, home)}`}`).join(', and from ')}.`
})
</script>

<template>
  <section aria-label="What follows">
    <h3>What follows</h3>
    <PlainTable>
      <thead>
        <tr>
          <th>For a margin of</th>
          <th class="num">sell at, {{ currencySign(home) }}</th>
          <th class="num">or buy a pack under, {{ currencySign(home) }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="b in costing.buying.value" :key="b.margin === settings.value.wantedMargin ? 'wanted' : b.margin">
          <td v-if="b.margin === settings.value.wantedMargin">
            <NumberField
              :value="b.margin"
              percent
              :max="0.99"
              label="Margin that I want"
              @change="(wantedMargin) => settings.change({ wantedMargin })"
            />
            %
          </td>
          <td v-else>{{ percent(b.margin) }}</td>
          <td class="num">{{ amount(b.sellE4, home) }}</td>
          <td class="num">{{ amount(b.priceE4, home) }}</td>
        </tr>
      </tbody>
    </PlainTable>
    <ul>
      <li>
        Advertising a sale can bear: <b>{{ money(costing.adverts.value?.affordableE4, home) }}</b><template
          v-if="costing.adverts.value?.breakEvenReturn"
          >; it must bring back {{ decimal(costing.adverts.value.breakEvenReturn, 1) }} times its cost</template
        >.
      </li>
      <li v-if="costing.back.value">
        A first order lays out <b>{{ money(costing.back.value.outlayE4, home) }}</b><template
          v-if="costing.back.value.units !== null"
          >, paid back after {{ plural(costing.back.value.units, 'sale')
          }}<template v-if="costing.back.value.days !== null"
            >, about {{ count(costing.back.value.days) }} days at an even share of the units sold ○</template
          ></template
        >.
      </li>
      <li v-if="holds">{{ holds }}</li>
    </ul>
  </section>
</template>

<style scoped>
ul {
  margin: 8px 0 0;
  padding-left: 16px;
  font-size: 13px;
}
li {
  margin: 3px 0;
}
table {
  margin-top: 4px;
}
</style>
