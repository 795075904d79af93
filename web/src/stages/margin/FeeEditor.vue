<script setup lang="ts">
import { useFileDialog } from '@vueuse/core'
import { NButton } from 'naive-ui'
import { computed, ref } from 'vue'
import {
  assumedFees,
  assumedFeesWords,
  feeLine,
  feeLineParts,
  scheduleFromJson,
  scheduleToJson,
  type FeeLine,
  type FeeSchedule,
} from '@sickle/core/margin'
import { choicesOf } from '@/shared/choices'
import { downloadText } from '@/shared/download'
import { toProblem } from '@/shared/problem'
import { useRules } from '@/shared/stores/rules'
import MoneyField from '@/shared/widgets/MoneyField.vue'
import NumberField from '@/shared/widgets/NumberField.vue'
import FeeSteps from './FeeSteps.vue'
import GradeMark from '@/shared/widgets/GradeMark.vue'
import HouseDrawer from '@/shared/widgets/HouseDrawer.vue'
import BareButton from '@/shared/widgets/BareButton.vue'
import HouseSelect from '@/shared/widgets/HouseSelect.vue'
import LineField from '@/shared/widgets/LineField.vue'
import PlainTable from '@/shared/widgets/PlainTable.vue'

const { market } = defineProps<{ market: string }>()
const show = defineModel<boolean>('show', { required: true })
const emit = defineEmits<{ changed: [] }>()
const rules = useRules()
const fault = ref('')
const isAssumed = computed(() => rules.areFeesAssumed(market))
/** the assumed fees as the seller's own to begin with */
const beginning = assumedFees.map((l) => ({ ...l, label: l.label.replace(', assumed', '') }))
const schedule = computed<FeeSchedule>(
  () =>
    rules.rules.schedules.find((s) => s.market === market) ?? {
      market,
      currency: rules.home,
      validFrom: '2026-01-01',
      lines: [],
    },
)
async function save(lines: FeeLine[]) {
  try {
    await rules.setSchedule({ ...schedule.value, lines })
    fault.value = ''
    emit('changed')
  } catch (thrown) {
    fault.value = toProblem(thrown).message
  }
}
const change = (at: number, some: Partial<FeeLine>) =>
  save(schedule.value.lines.map((l, i) => (i === at ? { ...l, ...some } : l)))
const remove = (at: number) => save(schedule.value.lines.filter((_, i) => i !== at))
function add() {
  const id = `fee-${Date.now().toString(36)}`
  return save([...schedule.value.lines, feeLine({ id, label: 'New fee' })])
}
const dialog = useFileDialog({ accept: '.json', multiple: false })
dialog.onChange((files) => void take(files))
async function take(files: FileList | null) {
  const text = await files?.[0]?.text()
  dialog.reset()
  if (text === undefined) return
  try {
    await rules.setSchedule({ ...scheduleFromJson(JSON.parse(text)), market })
    fault.value = ''
    emit('changed')
  } catch (thrown) {
    fault.value = thrown instanceof SyntaxError ? 'The file is no JSON.' : toProblem(thrown).message
  }
}
const share = () =>
  downloadText(
    `fees-${market.toLowerCase().replace(/\W+/g, '-')}.json`,
    JSON.stringify(scheduleToJson(schedule.value), null, 2),
    'application/json',
  )
const amounts = [
  { name: 'fixedE4', label: 'Fixed part' },
  { name: 'minE4', label: 'Least' },
  { name: 'maxE4', label: 'Most' },
] as const
const choices = {
  kind: choicesOf('market', 'payment', 'listing'),
  base: choicesOf('price', 'price and postage'),
  tax: choicesOf('with', 'without'),
  per: choicesOf('order', 'item', 'listing', 'month'),
}
</script>

<template>
  <HouseDrawer :show="show" :width="1200" :title="`Fees of ${market}`" @close="show = false">
    <p class="quiet small">
      In {{ schedule.currency }}. Every change counts at once for all items on this market. A fee is its percentage of
      the base plus its fixed part, kept between least and most.
    </p>
    <PlainTable>
      <thead>
        <tr>
          <th>Fee</th>
          <th>Sort</th>
          <th>Of</th>
          <th>Tax</th>
          <th class="num">%</th>
          <th class="num">Fixed</th>
          <th class="num">Least</th>
          <th class="num">Most</th>
          <th>Each</th>
          <th>Steps</th>
          <th><span class="sr-only">Remove</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(l, i) in schedule.lines" :key="l.id">
          <td>
            <LineField
              class="name"
              :value="l.label"
              :label="`Name of fee ${i + 1}`"
              @change="(text) => change(i, { label: text || 'Fee' })"
            />
          </td>
          <td>
            <HouseSelect
              size="tiny"
              :model-value="l.kind"
              :label="`Sort of ${l.label}`"
              :options="choices.kind"
              @update:model-value="(kind) => kind && change(i, { kind })"
            />
          </td>
          <td>
            <HouseSelect
              size="tiny"
              :model-value="l.base"
              :label="`Base of ${l.label}`"
              :options="choices.base"
              @update:model-value="(base) => base && change(i, { base })"
            />
          </td>
          <td>
            <HouseSelect
              size="tiny"
              :model-value="l.withTax ? 'with' : 'without'"
              :label="`Tax in the base of ${l.label}`"
              :options="choices.tax"
              @update:model-value="(tax) => change(i, { withTax: tax === 'with' })"
            />
          </td>
          <td class="num">
            <NumberField
              :value="l.ratio"
              percent
              :schema="feeLineParts.ratio"
              :label="`Percentage of ${l.label}`"
              @change="(ratio) => change(i, { ratio })"
            />
          </td>
          <td v-for="a in amounts" :key="a.name" class="num">
            <MoneyField
              :value="l[a.name]"
              :currency="schedule.currency"
              :label="`${a.label} of ${l.label}`"
              @change="(e4) => change(i, { [a.name]: e4 })"
            />
          </td>
          <td>
            <HouseSelect
              size="tiny"
              :model-value="l.per"
              :label="`${l.label} is paid for each`"
              :options="choices.per"
              @update:model-value="(per) => per && change(i, { per })"
            />
          </td>
          <td><FeeSteps :line="l" :currency="schedule.currency" @change="(some) => change(i, some)" /></td>
          <td><BareButton :aria-label="`Remove ${l.label}`" @click="remove(i)">✕</BareButton></td>
        </tr>
        <tr v-if="!schedule.lines.length">
          <td colspan="11" class="quiet">
            <template v-if="isAssumed">
              No fees are entered. Until they are, sales on {{ market }} are costed with assumed ones
              <GradeMark grade="assumed" />: {{ assumedFeesWords }}.
            </template>
            <template v-else>{{ market }} takes no fees, as you said.</template>
          </td>
        </tr>
      </tbody>
    </PlainTable>
    <div class="row-gap acts">
      <NButton size="small" type="primary" @click="add">Add a fee</NButton>
      <NButton v-if="isAssumed" size="small" @click="save(beginning)">Begin with those</NButton>
      <NButton v-if="isAssumed" size="small" @click="save([])">It takes none</NButton>
      <NButton size="small" @click="share">Save as a file</NButton>
      <NButton size="small" @click="dialog.open()">Bring from a file</NButton>
      <span v-if="fault" class="loss small" role="alert">{{ fault }}</span>
    </div>
  </HouseDrawer>
</template>

<style scoped>
.name {
  width: 120px;
}
td :deep(.n-input.figure) {
  width: 62px;
}
.acts {
  margin-top: 14px;
}
</style>
