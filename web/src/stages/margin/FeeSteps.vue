<script setup lang="ts">
import type { FeeLine } from '@sickle/core/margin'
import MoneyField from '@/shared/widgets/MoneyField.vue'
import NumberField from '@/shared/widgets/NumberField.vue'
import BareButton from '@/shared/widgets/BareButton.vue'
import HouseSelect from '@/shared/widgets/HouseSelect.vue'

/** Other percentages of a fee from certain amounts on. */
const { line, currency } = defineProps<{ line: FeeLine; currency: string }>()
const emit = defineEmits<{ change: [some: Partial<FeeLine>] }>()
type Step = FeeLine['steps'][number]
const put = (steps: Step[]) => emit('change', { steps: steps.sort((a, b) => a.fromE4 - b.fromE4) })
const set = (at: number, some: Partial<Step>) => put(line.steps.map((s, i) => (i === at ? { ...s, ...some } : s)))
const add = () => put([...line.steps, { fromE4: (line.steps.at(-1)?.fromE4 ?? 900_000) + 100_000, ratio: line.ratio }])
const remove = (at: number) => put(line.steps.filter((_, i) => i !== at))
const ways = [
  { value: 'marginal' as const, label: 'of the part above' },
  { value: 'whole' as const, label: 'of the whole amount' },
]
</script>

<template>
  <div class="steps small">
    <div v-for="(s, i) in line.steps" :key="s.fromE4" class="step">
      from
      <MoneyField
        :value="s.fromE4"
        :currency="currency"
        :label="`Step ${i + 1} of ${line.label} begins at`"
        @change="(fromE4) => set(i, { fromE4 })"
      />
      <NumberField
        :value="s.ratio"
        percent
        :max="1"
        :label="`Percentage of step ${i + 1} of ${line.label}`"
        @change="(ratio) => set(i, { ratio })"
      />
      %
      <BareButton :aria-label="`Remove step ${i + 1} of ${line.label}`" @click="remove(i)">✕</BareButton>
    </div>
    <HouseSelect
      v-if="line.steps.length"
      size="tiny"
      :model-value="line.stepsApply"
      :label="`What the steps of ${line.label} apply to`"
      :options="ways"
      @update:model-value="(stepsApply) => stepsApply && emit('change', { stepsApply })"
    />
    <BareButton type="info" class="add" @click="add">{{ line.steps.length ? 'one more' : 'add a step' }}</BareButton>
  </div>
</template>

<style scoped>
.steps {
  display: grid;
  gap: 3px;
  justify-items: start;
}
.step {
  display: flex;
  white-space: nowrap;
  gap: 4px;
  align-items: center;
}
.add {
  min-height: 24px;
  text-decoration: underline;
}
</style>
