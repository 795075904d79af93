<script setup lang="ts">
import { NButton, NInput } from 'naive-ui'
import { ref } from 'vue'
import { dayInWords } from '@/shared/format'
import { whoSays } from '@/shared/answers'
import { useRules } from '@/shared/stores/rules'
import { useWorkspace } from '@/shared/stores/workspace'
import { useFollow } from '@/shared/use-follow'
import AgeMark from '@/shared/widgets/AgeMark.vue'
import BareButton from '@/shared/widgets/BareButton.vue'
import GoodsPicture from '@/shared/widgets/GoodsPicture.vue'
import HouseModal from '@/shared/widgets/HouseModal.vue'
import PlainTable from '@/shared/widgets/PlainTable.vue'
import type { ClearingRows } from '@/workers/clearing-methods'
import { statusWords } from '@/shared/status-words'

/** Items with whether each may be listed, which line says so, and when that was looked up. */
defineProps<{ rows: ClearingRows['rows'] }>()
const rules = useRules()
const workspace = useWorkspace()
const follow = useFollow()
type Row = ClearingRows['rows'][number]
const asking = ref<Row | null>(null)
const [isOpen, reason] = [ref(false), ref('')]
function ask(row: Row) {
  asking.value = row
  reason.value = ''
  isOpen.value = true
}
async function overrule() {
  const key = asking.value?.row.key
  if (key === undefined || reason.value.trim() === '') return
  isOpen.value = false
  await rules.setCleared(key, reason.value.trim())
  await workspace.follow()
}
async function letListsSpeak(key: string) {
  await rules.setCleared(key, null)
  await workspace.follow()
}
/** when what counts was looked up, or at least read */
const dayOf = ({ clearance: { because } }: Row) => because[0]?.checked ?? because[0]?.readOn ?? null
/** what the line notes, and how many more lines speak of it */
function besides({ clearance: { because } }: Row): string {
  const [first, ...more] = because
  return `${first?.note ? ` ${first.note}` : ''}${more.length > 0 ? `, and ${more.length} more` : ''}`
}
/** the markets that say so, where it is said of single markets alone */
function whereOf({ clearance: { status, because, overruled } }: Row): string {
  const [first, ...others] = [...new Set(because.filter((e) => e.status === status).map((e) => e.market))]
  return overruled || first === undefined || [first, ...others].includes(null) ? '' : [first, ...others].join(', ')
}
const whenOf = (at: number) => dayInWords(Math.floor(at / 86_400_000))
</script>

<template>
  <PlainTable class="tight" aria-label="What may be listed">
    <thead>
      <tr>
        <th>Item</th>
        <th>May it be listed?</th>
        <th>Which line says so</th>
        <th>Looked up</th>
        <th><span class="sr-only">Overrule</span></th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="r in rows" :key="r.row.key">
        <td>
          <div class="item">
            <GoodsPicture :src="r.row.picture" :title="r.row.title" :size="28" />
            <BareButton type="info" class="link" @click="follow.item(r.row.key, r.row.title)">{{
              r.row.title
            }}</BareButton>
          </div>
        </td>
        <td class="nowrap">
          <span :class="statusWords[r.clearance.status].tone"
            ><span aria-hidden="true">{{ statusWords[r.clearance.status].sign }}&ensp;</span
            >{{ statusWords[r.clearance.status].label }}</span
          >
          <div v-if="whereOf(r)" class="quiet small">on {{ whereOf(r) }}</div>
        </td>
        <td>
          <div v-if="r.clearance.overruled">you: {{ r.clearance.overruled.reason }}</div>
          <template v-if="r.clearance.because[0]"
            >{{ whoSays(r.clearance.because[0]) }}: “{{ r.clearance.because[0].what }}”<span class="quiet">{{
              besides(r)
            }}</span></template
          ><span v-else-if="!r.clearance.overruled" class="quiet">nothing speaks of it</span>
        </td>
        <td class="nowrap">
          <template v-if="r.clearance.overruled">{{ whenOf(r.clearance.overruled.at) }}</template>
          <template v-else-if="dayOf(r) !== null"
            >{{ dayInWords(dayOf(r) ?? 0)
            }}<span v-if="r.clearance.because[0]?.checked == null" class="quiet"> (list read)</span
            ><AgeMark class="age" :day="dayOf(r)"
          /></template>
        </td>
        <td class="num">
          <BareButton v-if="r.clearance.overruled" type="info" class="link small" @click="letListsSpeak(r.row.key)"
            >Let the lists speak</BareButton
          >
          <BareButton
            v-else-if="r.clearance.status !== 'allowed'"
            type="info"
            class="link small"
            :aria-label="`List ${r.row.title} all the same`"
            @click="ask(r)"
            >List it all the same</BareButton
          >
        </td>
      </tr>
    </tbody>
  </PlainTable>
  <HouseModal v-model:show="isOpen" title="List it all the same?" :width="460">
    <form class="why" @submit.prevent="overrule">
      <p class="small">{{ asking?.row.title }}</p>
      <NInput
        v-model:value="reason"
        size="small"
        :maxlength="500"
        placeholder="Why it may be listed"
        :input-props="{ 'aria-label': 'Why it may be listed' }"
      />
      <div class="row-gap">
        <NButton size="small" type="primary" attr-type="submit" :disabled="reason.trim() === ''"
          >Keep the reason</NButton
        >
        <span class="small quiet">The reason is kept with the day.</span>
      </div>
    </form>
  </HouseModal>
</template>

<style scoped>
.item {
  display: flex;
  gap: 8px;
  align-items: center;
}
.age {
  margin-left: 6px;
}
.nowrap {
  white-space: nowrap;
}
.why {
  display: grid;
  gap: 8px;
}
</style>
