<script setup lang="ts">
import { NButton, NInput } from 'naive-ui'
import { computed, inject, ref } from 'vue'
import type { Schema } from 'yup'
import { rateSchema } from '@sickle/core/catalog'
import { readTyped, type Rate } from '@sickle/core/money'
import { firstFault } from '@sickle/core/schema'
import { useRules } from '@/shared/stores/rules'
import { decimalMarkKey } from '@/shared/use-typed'
import NumberField from '@/shared/widgets/NumberField.vue'
import BareButton from '@/shared/widgets/BareButton.vue'
import PlainTable from '@/shared/widgets/PlainTable.vue'

const emit = defineEmits<{ change: [rates: Rate[]] }>()
const rules = useRules()
const code = ref('')
const rate = ref('')
const fault = ref('')
const decimal = inject(
  decimalMarkKey,
  computed(() => '.' as const),
)
const today = new Date().toISOString().slice(0, 10)
function add() {
  const from = code.value.trim().toUpperCase()
  const read = readTyped(rate.value, { decimal: decimal.value })
  const value = Number(read.plain ?? NaN)
  const made = { from, to: rules.home, rate: value, day: today }
  const wrong = read.fault === null ? firstFault(rateSchema, made) : null
  fault.value = read.fault ?? (wrong ? `The ${wrong.where || 'rate'} ${wrong.what}` : '')
  if (fault.value !== '') return
  emit('change', [...rules.rules.rates.filter((r) => r.from !== from || r.to !== rules.home), made])
  code.value = rate.value = ''
}
const set = (at: number, value: number) =>
  emit(
    'change',
    rules.rules.rates.map((r, i) => (i === at ? { ...r, rate: value, day: today } : r)),
  )
</script>

<template>
  <section aria-label="Rates">
    <h2>Rates of exchange</h2>
    <p class="small quiet">
      Yours to keep; two currencies are never added without one. A converted figure keeps its original amount.
    </p>
    <PlainTable>
      <thead>
        <tr>
          <th>One</th>
          <th>is in</th>
          <th class="num">Rate</th>
          <th>Of</th>
          <th><span class="sr-only">Remove</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(r, i) in rules.rules.rates" :key="`${r.from}${r.to}${r.day}`">
          <td>{{ r.from }}</td>
          <td>{{ r.to }}</td>
          <td class="num">
            <NumberField
              :value="r.rate"
              :schema="rateSchema.fields.rate as Schema"
              :label="`Rate of ${r.from}`"
              @change="(v) => set(i, v)"
            />
          </td>
          <td>{{ r.day }}</td>
          <td class="num">
            <BareButton
              :aria-label="`Remove the rate of ${r.from}`"
              @click="
                emit(
                  'change',
                  rules.rules.rates.filter((_, at) => at !== i),
                )
              "
            >
              ✕
            </BareButton>
          </td>
        </tr>
      </tbody>
    </PlainTable>
    <form class="row-gap" @submit.prevent="add">
      <NInput
        v-model:value="code"
        size="small"
        class="short"
        placeholder="GBP"
        :maxlength="3"
        :input-props="{ 'aria-label': 'Currency of a new rate' }"
      />
      is
      <NInput
        v-model:value="rate"
        size="small"
        class="short"
        placeholder="1.16"
        :input-props="{ 'aria-label': 'New rate', inputmode: 'decimal' }"
      />
      {{ rules.home }}
      <NButton size="small" attr-type="submit">Add</NButton>
      <span v-if="fault" class="loss small" role="alert">{{ fault }}</span>
    </form>
  </section>
</template>

<style scoped>
table {
  max-width: 420px;
}
.short {
  width: 84px;
}
</style>
