<script setup lang="ts">
import { NAutoComplete, NDatePicker, NInput } from 'naive-ui'
import { computed } from 'vue'
import { dayOfIso, isoDay } from '@sickle/core/identity'
import { isCurrencyCode } from '@sickle/core/money'
import { recordKind, recordKinds } from '@sickle/core/records'
import type { Mapping, Question } from '@sickle/core/intake'
import { choicesOf } from '@/shared/choices'
import { bytes } from '@/shared/format'
import { useWorkspace } from '@/shared/stores/workspace'
import NumberField from '@/shared/widgets/NumberField.vue'
import FileQuestions from './FileQuestions.vue'
import { useGather } from './gather-store'
import HouseSelect from '@/shared/widgets/HouseSelect.vue'

const gather = useGather()
const workspace = useWorkspace()
const now = computed(() => gather.current!)
const m = computed(() => now.value.mapping)
const asks = (about: Question['about']) => gather.openQuestions.find((q) => q.about === about)
const everAsked = (about: Question['about']) => now.value.proposal.questions.find((q) => q.about === about)
const format = computed(() => {
  const s = now.value.summary
  const names = { delimited: 'Delimited text', xlsx: 'Spreadsheet', json: 'JSON', ndjson: 'NDJSON', parquet: 'Parquet' }
  const marks: Record<string, string> = { ',': 'commas', ';': 'semicolons', '\t': 'tabs', '|': 'bars' }
  return [names[s.format], s.encoding?.toUpperCase(), s.delimiter && marks[s.delimiter], bytes(now.value.file.size)]
    .filter(Boolean)
    .join(' · ')
})
const money = computed(
  () =>
    m.value.columns.some((c) => c.as === 'tier') || everAsked('currency') !== undefined || m.value.currency !== null,
)
const currencies = computed(() =>
  [
    ...new Set(
      [
        m.value.currency ?? [],
        ...(everAsked('currency')?.options.map((o) => o.value) ?? []),
        'EUR',
        'GBP',
        'USD',
        'CAD',
        'AUD',
        'PLN',
        'SEK',
        'CHF',
        'JPY',
      ].flat(),
    ),
  ].map((c) => ({ label: c, value: c })),
)
const answer = (some: Partial<Mapping>) => void gather.correct(some)
function setDay(iso: string) {
  const day = dayOfIso(iso)
  if (day !== null) answer({ capturedOn: day })
}
</script>

<template>
  <div class="facts">
    <p class="small quiet">{{ format }}</p>
    <label v-if="now.summary.sheets.length > 1">
      <span>Sheet</span>
      <HouseSelect
        label="Sheet"
        :model-value="now.summary.sheet"
        :options="choicesOf(...now.summary.sheets)"
        @update:model-value="(sheet) => sheet !== null && gather.open(now.file, sheet)"
      />
    </label>
    <label>
      <span>What a row is</span>
      <HouseSelect
        label="What a row is"
        :model-value="m.kind"
        :options="recordKinds.map((k) => ({ label: k.label, value: k.name }))"
        @update:model-value="(kind) => kind !== null && gather.chooseKind(kind)"
      />
    </label>
    <FileQuestions about="kind" />
    <label v-if="recordKind(m.kind).from === 'market'" :class="{ open: asks('market') }">
      <span>{{ asks('market')?.text ?? 'Market' }}</span>
      <NAutoComplete
        size="small"
        :value="m.market ?? ''"
        :options="workspace.summary.markets"
        :get-show="() => true"
        blur-after-select
        placeholder="Name of the market"
        :input-props="{ 'aria-label': 'Market' }"
        @update:value="(v: string) => answer({ market: v.trim() === '' ? null : v })"
      />
    </label>
    <label v-else :class="{ open: asks('supplier') }">
      <span>{{ asks('supplier')?.text ?? 'Supplier' }}</span>
      <NInput
        size="small"
        :value="m.supplier ?? ''"
        placeholder="Name of the supplier"
        :input-props="{ 'aria-label': 'Supplier' }"
        @update:value="(v: string) => answer({ supplier: v.trim() === '' ? null : v })"
      />
    </label>
    <label v-if="money" :class="{ open: asks('currency') }">
      <span>{{ asks('currency')?.text ?? 'Currency' }}</span>
      <HouseSelect
        filterable
        tag
        label="Currency"
        :model-value="m.currency"
        :options="currencies"
        placeholder="Choose"
        @update:model-value="
          (code) => code !== null && isCurrencyCode(code.toUpperCase()) && answer({ currency: code.toUpperCase() })
        "
      />
      <small class="quiet">{{ now.proposal.reasons.currency }}</small>
    </label>
    <FileQuestions about="cells" />
    <label>
      <span>Figures up to</span>
      <NDatePicker
        size="small"
        type="date"
        value-format="yyyy-MM-dd"
        :formatted-value="isoDay(m.capturedOn)"
        :input-readonly="false"
        @update:formatted-value="(iso: string | null) => iso && setDay(iso)"
      />
      <small class="quiet">{{ now.proposal.reasons.capturedOn }}</small>
    </label>
    <label v-if="recordKind(m.kind).hasWindow">
      <span>Units are counted over</span>
      <span class="days"
        ><NumberField
          :value="m.windowDays"
          whole
          :min="1"
          :max="400"
          label="Days that units are counted over"
          @change="(windowDays) => answer({ windowDays })"
        />
        days</span
      >
      <small class="quiet">{{ now.proposal.reasons.window }}</small>
    </label>
    <p class="small quiet">
      Numbers like {{ m.number.decimal === ',' ? '1.234,50' : '1,234.50' }}; dates
      {{ m.order === 'dmy' ? 'day first' : 'month first' }} where all in figures.
    </p>
  </div>
</template>

<style scoped>
.facts {
  display: flex;
  flex-direction: column;
  gap: 12px;
}
label {
  display: grid;
  gap: 3px;
  font-size: 13px;
  border: 0;
  padding: 0;
  margin: 0;
}
label > span:not(.days) {
  font-weight: 500;
  padding: 0;
}
.open {
  background: var(--wheat-soft);
  border-left: 3px solid var(--wheat);
  border-radius: 4px;
  padding: 8px 10px;
}
</style>
