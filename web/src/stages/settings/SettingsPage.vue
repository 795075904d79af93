<script setup lang="ts">
import { NCheckbox, NRadioButton, NRadioGroup } from 'naive-ui'
import { computed, ref } from 'vue'
import type { SellerRules } from '@sickle/core/catalog'
import { costSchemas } from '@sickle/core/margin'
import type { DecimalMark } from '@sickle/core/money'
import { currency } from '@sickle/core/schema'
import { faultIn } from '@/shared/fault-in'
import { currencySign } from '@/shared/format'
import { useRules } from '@/shared/stores/rules'
import { useSettings } from '@/shared/stores/settings'
import { useWorkspace } from '@/shared/stores/workspace'
import MoneyField from '@/shared/widgets/MoneyField.vue'
import NumberField from '@/shared/widgets/NumberField.vue'
import BackupPanel from './BackupPanel.vue'
import LearnedPanel from './LearnedPanel.vue'
import PicturesPanel from './PicturesPanel.vue'
import RateTable from './RateTable.vue'
import TaughtPanel from './TaughtPanel.vue'
import HouseSelect from '@/shared/widgets/HouseSelect.vue'

const rules = useRules()
const workspace = useWorkspace()
const settings = useSettings()
const marks = [
  { label: '1,234.50', value: '.' },
  { label: '1.234,50', value: ',' },
]
const currencies = ['EUR', 'GBP', 'USD', 'CAD', 'AUD', 'NZD', 'PLN', 'SEK', 'DKK', 'NOK', 'CHF', 'CZK', 'JPY'].map(
  (c) => ({ label: c, value: c }),
)
async function change(some: Partial<SellerRules>) {
  await rules.set({ ...rules.rules, ...some })
  await workspace.follow()
}
const homeFault = ref('')
function chooseHome(typed: string) {
  const homeCurrency = typed.trim().toUpperCase()
  homeFault.value = faultIn(currency(), homeCurrency) ?? ''
  if (homeFault.value === '') void change({ homeCurrency })
}
const costs = computed(() => rules.rules.costs)
const changeCosts = (some: Partial<SellerRules['costs']>) => change({ costs: { ...costs.value, ...some } })
const sign = computed(() => currencySign(rules.home))
</script>

<template>
  <div class="page scroll" tabindex="0" role="region" aria-label="Settings">
    <h1>Settings</h1>
    <section class="panel">
      <h2>Money</h2>
      <div class="form">
        <span>Home currency</span
        ><HouseSelect
          filterable
          tag
          class="short"
          label="Home currency"
          :model-value="rules.home"
          :options="currencies"
          @update:model-value="(code) => code !== null && chooseHome(code)"
        /><span v-if="homeFault" class="small loss" role="alert">{{ homeFault }}</span> <span>I write numbers like</span
        ><NRadioGroup
          size="small"
          :value="settings.value.decimal"
          name="decimal"
          role="radiogroup"
          aria-label="How numbers are written"
          @update:value="(decimal: DecimalMark) => settings.change({ decimal })"
          ><NRadioButton v-for="m in marks" :key="m.value" :value="m.value" :label="m.label"
        /></NRadioGroup>
        <span>Tax on my sales, %</span
        ><NumberField
          :value="costs.taxRatio"
          percent
          :schema="costSchemas.taxRatio"
          label="Tax on my sales"
          @change="(taxRatio) => changeCosts({ taxRatio })"
        />
        <span>Prices on my markets include that tax</span
        ><NCheckbox
          :checked="costs.pricesIncludeTax"
          aria-label="Prices include tax"
          @update:checked="(pricesIncludeTax) => changeCosts({ pricesIncludeTax })"
        />
        <span>Import tax is given back to me</span
        ><NCheckbox
          :checked="costs.importTaxRecoverable"
          aria-label="Import tax is given back"
          @update:checked="(importTaxRecoverable) => changeCosts({ importTaxRecoverable })"
        />
        <span>Least profit a price may leave, {{ sign }}</span
        ><MoneyField
          :value="rules.rules.minProfitE4"
          :currency="rules.home"
          label="Least profit"
          @change="(minProfitE4) => change({ minProfitE4 })"
        />
        <span>Step under the lowest competing price, {{ sign }}</span
        ><MoneyField
          :value="rules.rules.stepE4"
          :currency="rules.home"
          label="Step under the lowest price"
          @change="(stepE4) => change({ stepE4 })"
        />
      </div>
      <p class="small quiet">
        Postage, packing, returns and the other costs are set in Margin, for one item or for all; fees there too, a
        schedule for each market.
      </p>
    </section>
    <PicturesPanel class="panel" />
    <RateTable class="panel" @change="(rates) => change({ rates })" />
    <LearnedPanel class="panel" />
    <TaughtPanel class="panel" />
    <BackupPanel class="panel" />
  </div>
</template>

<style scoped>
.page {
  height: 100%;
  padding: 16px 20px 30px;
  display: grid;
  gap: 14px;
  align-content: start;
  justify-items: start;
}
.page > section {
  width: min(760px, 100%);
  padding: 16px 18px;
  display: grid;
  gap: 10px;
}
.form {
  display: grid;
  grid-template-columns: 320px 160px;
  gap: 7px 12px;
  align-items: center;
}
.short {
  width: 110px;
}
</style>
