<script setup lang="ts">
import { computed } from 'vue'
import type { Item } from '@sickle/core/catalog'
import { costSchemas, type CostInputs } from '@sickle/core/margin'
import { tierPrice } from '@sickle/core/notation'
import { currencySign } from '@/shared/format'
import { useRules } from '@/shared/stores/rules'
import MoneyField from '@/shared/widgets/MoneyField.vue'
import NumberField from '@/shared/widgets/NumberField.vue'
import PackStepper from '@/shared/widgets/PackStepper.vue'
import { costFields, type CostField } from './cost-fields'
import BareButton from '@/shared/widgets/BareButton.vue'

const { item, inputs, home } = defineProps<{ item: Item; inputs: CostInputs; home: string }>()
const emit = defineEmits<{ changed: [] }>()
const rules = useRules()
const own = computed(() => rules.corrections.costs[item.key] ?? {})
const ownGlobal = computed(() =>
  Object.fromEntries(Object.entries(own.value).filter(([name]) => name in rules.rules.costs)),
)
const unit = computed(() =>
  inputs.tiers === null ? null : inputs.tiers.length === 0 ? 0 : tierPrice(inputs.tiers, inputs.orderQuantity),
)

async function set(some: Partial<CostInputs>) {
  await rules.setOwnCost(item.key, some)
  emit('changed')
}
const setField = (f: CostField, value: number) => set({ [f.name]: value })
const back = (name: keyof CostInputs) => set({ [name]: undefined })
async function setPack(key: string, pack: number | null) {
  await rules.setPack(key, pack)
  emit('changed')
}
/** What was changed for this item becomes the rule for all. */
async function forAll() {
  await rules.useForAll(item.key, ownGlobal.value)
  emit('changed')
}
</script>

<template>
  <section aria-label="What goes in">
    <h3>What goes in</h3>
    <div class="form">
      <span>Listing holds</span
      ><span class="value"
        ><PackStepper :value="inputs.packSold" label="Pieces in the listing" @change="(n) => setPack(item.key, n)"
      /></span>
      <template v-if="item.offer">
        <span>Supplier's pack holds</span
        ><span class="value"
          ><PackStepper
            :value="inputs.packBought"
            label="Pieces in the supplier's pack"
            @change="(n) => setPack(item.offer!.offer.key, n)"
        /></span>
      </template>
      <template v-if="item.kind !== 'digital'">
        <span :class="{ own: own.tiers }">Goods, {{ currencySign(home) }} a pack</span>
        <span class="value"
          ><BareButton
            v-if="own.tiers"
            type="info"
            class="undo"
            title="Back to the offer's price"
            aria-label="Goods: back to the offer's price"
            @click="back('tiers')"
          >
            ↺</BareButton
          ><MoneyField
            :value="unit"
            :currency="home"
            label="Goods, price of a supplier's pack"
            @change="(e4) => set({ tiers: [{ from: 1, priceE4: e4 }] })"
        /></span>
      </template>
      <template v-for="f in costFields(item.kind)" :key="f.name">
        <span :class="{ own: f.name in own }"
          >{{ f.label }}{{ f.type === 'money' ? `, ${currencySign(home)}` : f.type === 'ratio' ? ', %' : '' }}</span
        >
        <span class="value">
          <BareButton
            v-if="f.name in own"
            type="info"
            class="undo"
            title="Back to the rule"
            :aria-label="`${f.label}: back to the rule`"
            @click="back(f.name)"
          >
            ↺
          </BareButton>
          <MoneyField
            v-if="f.type === 'money'"
            :value="inputs[f.name] as number"
            :currency="home"
            :label="f.label"
            @change="(e4) => setField(f, e4)"
          />
          <NumberField
            v-else
            :value="inputs[f.name] as number"
            :percent="f.type === 'ratio'"
            :schema="costSchemas[f.name]"
            :label="f.label"
            @change="(n) => setField(f, n)"
          />
        </span>
      </template>
    </div>
    <p v-if="Object.keys(own).length" class="small foot">
      What stands out holds for this item only.
      <BareButton v-if="Object.keys(ownGlobal).length" type="info" class="all" @click="forAll"
        >Use it for all items</BareButton
      >
    </p>
  </section>
</template>

<style scoped>
.form {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 3px 8px;
  font-size: 13px;
  margin-top: 6px;
  align-items: center;
}
.value {
  justify-self: end;
  display: flex;
  gap: 6px;
}
.own {
  color: var(--plum);
  font-weight: 600;
}
.undo,
.all {
  color: var(--slate);
}
.all {
  text-decoration: underline;
}
.foot {
  margin-top: 8px;
}
</style>
