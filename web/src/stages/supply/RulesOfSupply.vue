<script setup lang="ts">
import { NCheckbox } from 'naive-ui'
import { computed, ref } from 'vue'
import { supplyRulesSchema, type OriginCosts, type SupplyRules } from '@sickle/core/supply'
import { faultIn } from '@/shared/fault-in'
import { currencySign } from '@/shared/format'
import { useRules } from '@/shared/stores/rules'
import { useSettings } from '@/shared/stores/settings'
import { useWorkspace } from '@/shared/stores/workspace'
import AddByName from '@/shared/widgets/AddByName.vue'
import BareButton from '@/shared/widgets/BareButton.vue'
import LineField from '@/shared/widgets/LineField.vue'
import HouseDrawer from '@/shared/widgets/HouseDrawer.vue'
import NumberField from '@/shared/widgets/NumberField.vue'
import PlainTable from '@/shared/widgets/PlainTable.vue'

/** What an offer has to keep to be chosen by itself. */
const { show } = defineProps<{ show: boolean }>()
const emit = defineEmits<{ close: [] }>()
const rules = useRules()
const settings = useSettings()
const workspace = useWorkspace()
const now = computed(() => rules.rules.supply)
const fault = ref('')
async function change(some: Partial<SupplyRules>) {
  const supply = { ...now.value, ...some }
  fault.value = faultIn(supplyRulesSchema, supply) ?? ''
  if (fault.value !== '') return
  await rules.set({ ...rules.rules, supply })
  await workspace.follow()
}
type Bound = 'maxDays' | 'minRating' | 'minYears' | 'minGoodReviews' | 'maxOrders'
const bounds: { name: Bound; label: string; whole: boolean; max: number }[] = [
  { name: 'maxDays', label: 'Days until it arrives, at most', whole: true, max: 365 },
  { name: 'minRating', label: 'Rating, at least', whole: false, max: 5 },
  { name: 'minYears', label: 'Years of trading, at least', whole: false, max: 100 },
  { name: 'minGoodReviews', label: 'Good reviews, at least', whole: true, max: 1e6 },
  { name: 'maxOrders', label: 'Orders so far, at most', whole: true, max: 1e9 },
]
const origin = (at: number, some: Partial<OriginCosts>) =>
  change({ imports: now.value.imports.map((o, i) => (i === at ? { ...o, ...some } : o)) })
const without = (at: number) => change({ imports: now.value.imports.filter((_, i) => i !== at) })
async function addOrigin(origin: string): Promise<boolean> {
  await change({ imports: [...now.value.imports, { origin, dutyRatio: 0, importTaxRatio: 0 }] })
  return fault.value === ''
}
const namesIn = (typed: string) =>
  typed
    .split(/[,;]/)
    .map((name) => name.trim())
    .filter((name) => name !== '')
</script>

<template>
  <HouseDrawer :show="show" title="Rules of choice" :width="440" @close="emit('close')">
    <div class="body">
      <p class="small quiet">
        Of the offers of the same goods the cheapest that keeps these is reckoned with. What an offer does not say
        breaks nothing. An empty field asks for nothing. The first figures are common practice.
      </p>
      <div class="form">
        <template v-for="b in bounds" :key="b.name">
          <span>{{ b.label }}</span><NumberField
            :value="now[b.name]"
            :label="b.label"
            :whole="b.whole"
            :max="b.max"
            open
            @change="(n) => change({ [b.name]: n })"
            @clear="change({ [b.name]: null })"
          />
        </template>
        <span>Money in a first order, {{ currencySign(rules.home) }}, at most</span
        ><NumberField
          :value="now.maxLotE4 === null ? null : now.maxLotE4 / 10_000"
          label="Money in a first order, at most"
          :max="1e9"
          open
          @change="(n) => change({ maxLotE4: Math.round(n * 10_000) })"
          @clear="change({ maxLotE4: null })"
        />
        <span>A sample first where a first order takes, {{ currencySign(rules.home) }}</span
        ><NumberField
          :value="settings.value.dearFromE4 / 10_000"
          label="A sample first where a first order takes"
          :max="1e9"
          @change="(n) => settings.change({ dearFromE4: Math.round(n * 10_000) })"
        />
        <span>cm³ that freight charges as a kilogram</span
        ><NumberField
          :value="now.volumetricDivisor"
          label="Cubic centimetres that freight charges as a kilogram"
          whole
          :max="100_000"
          @change="(volumetricDivisor) => change({ volumetricDivisor })"
        />
        <span>Enough in stock for a first order</span
        ><NCheckbox
          :checked="now.stockForLot"
          aria-label="Enough in stock for a first order"
          @update:checked="(stockForLot: boolean) => change({ stockForLot })"
        />
      </div>
      <div class="form">
        <span>Countries it may come from, all if none</span
        ><LineField
          :value="now.origins.join(', ')"
          label="Countries it may come from"
          @change="(typed) => change({ origins: namesIn(typed) })"
        />
      </div>
      <h2>Duty and import tax by country</h2>
      <PlainTable aria-label="Duty and import tax by country">
        <thead>
          <tr>
            <th>Country</th>
            <th class="num">Duty, %</th>
            <th class="num">Import tax, %</th>
            <th><span class="sr-only">Remove</span></th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(o, i) in now.imports" :key="o.origin">
            <td>{{ o.origin }}</td>
            <td class="num">
              <NumberField
                :value="o.dutyRatio"
                percent
                :max="5"
                :label="`Duty from ${o.origin}`"
                @change="(dutyRatio) => origin(i, { dutyRatio })"
              />
            </td>
            <td class="num">
              <NumberField
                :value="o.importTaxRatio"
                percent
                :max="1"
                :label="`Import tax from ${o.origin}`"
                @change="(importTaxRatio) => origin(i, { importTaxRatio })"
              />
            </td>
            <td><BareButton type="info" class="link small" @click="without(i)">Remove</BareButton></td>
          </tr>
        </tbody>
      </PlainTable>
      <AddByName label="A country" placeholder="A country, as offers state it" :add="addOrigin" />
      <p class="small quiet">Any other country has the duty and import tax of your costs in Margin.</p>
      <p v-if="fault" class="loss small" role="alert">{{ fault }}</p>
    </div>
  </HouseDrawer>
</template>

<style scoped>
.body {
  display: grid;
  gap: 10px;
}
.form {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 6px 12px;
  align-items: center;
}
</style>
