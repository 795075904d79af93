<script setup lang="ts">
import { NButton } from 'naive-ui'
import { computed } from 'vue'
import { amount, currencySign, percent } from '@/shared/format'
import MoneyField from '@/shared/widgets/MoneyField.vue'
import ProfitFigure from '@/shared/widgets/ProfitFigure.vue'
import type { Costing } from './use-costing'

const { costing, home } = defineProps<{ costing: Costing; home: string }>()
const emit = defineEmits<{ price: [e4: number | null] }>()
const sheet = computed(() => costing.sheet.value)
const because = computed(() => {
  if (costing.own.value !== null) return 'set by you'
  return costing.ruled.value?.because ?? ''
})
const step = (e4: number) => emit('price', Math.max(0, costing.price.value + e4))
</script>

<template>
  <section class="bar" aria-label="My price">
    <div class="price">
      <span class="small quiet">My price, {{ currencySign(home) }}, delivered</span>
      <div class="row-gap">
        <NButton size="tiny" aria-label="One cent less" @click="step(-100)">−</NButton>
        <MoneyField
          class="big"
          :value="costing.price.value"
          :currency="home"
          label="My price"
          @change="(e4) => emit('price', e4)"
        />
        <NButton size="tiny" aria-label="One cent more" @click="step(100)">+</NButton>
      </div>
      <span class="small quiet" role="status">{{ because }}</span>
    </div>
    <dl>
      <div>
        <dt>Profit per sale</dt>
        <dd data-test="profit">
          <ProfitFigure :e4="sheet?.profitE4 ?? null" :currency="home" :assumed="costing.assumed.value" />
        </dd>
      </div>
      <div>
        <dt>Margin</dt>
        <dd data-test="margin">{{ percent(sheet?.margin, 1) }}</dd>
      </div>
      <div>
        <dt>Return on outlay</dt>
        <dd data-test="roo">{{ percent(sheet?.returnOnOutlay) }}</dd>
      </div>
      <div>
        <dt>Break-even price</dt>
        <dd data-test="break-even">{{ amount(costing.breakEven.value?.lowestE4, home) }}</dd>
      </div>
      <div>
        <dt>Floor price</dt>
        <dd data-test="floor">{{ amount(costing.floor.value?.lowestE4, home) }}</dd>
      </div>
    </dl>
    <div class="set">
      <NButton
        size="small"
        :type="costing.own.value === null ? 'primary' : 'default'"
        :disabled="costing.ruled.value?.priceE4 == null"
        title="Lowest competing price less the step, never below the floor"
        @click="emit('price', null)"
        >By rule&nbsp;<kbd>L</kbd></NButton
      >
      <NButton
        size="small"
        :disabled="costing.floor.value?.lowestE4 == null"
        @click="emit('price', costing.floor.value?.lowestE4 ?? null)"
        >Floor&nbsp;<kbd>F</kbd></NButton
      >
    </div>
  </section>
</template>

<style scoped>
.bar {
  display: flex;
  align-items: center;
  gap: 18px;
  padding: 8px 12px;
  border: 1px solid var(--line);
  border-radius: 8px;
  background: var(--panel);
}
.price {
  display: grid;
  gap: 2px;
}
.price :deep(.big.figure) {
  width: 92px;
}
.price :deep(.big.figure .n-input__input-el) {
  font: 650 17px var(--heading);
}
dl {
  display: flex;
  flex: 1;
  justify-content: space-between;
  gap: 10px;
  margin: 0;
}
dt {
  font-size: 12px;
  color: var(--quiet);
  line-height: 1.2;
}
dd {
  margin: 2px 0 0;
  font: 650 17px var(--heading);
  font-variant-numeric: tabular-nums;
}
.set {
  display: grid;
  gap: 4px;
}
</style>
