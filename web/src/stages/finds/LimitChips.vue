<script setup lang="ts">
import { NButton, NInput } from 'naive-ui'
import { computed, ref } from 'vue'
import { facets, measure, type FacetName } from '@sickle/core/engine'
import { assumedFeesWords } from '@sickle/core/margin'
import { count, dayInWords } from '@/shared/format'
import { toProblem } from '@/shared/problem'
import { spanWords } from '@/shared/span-words'
import { useQuery } from '@/shared/stores/query'
import { useSettings } from '@/shared/stores/settings'
import { useSheaf } from '@/shared/stores/sheaf'
import { useRules } from '@/shared/stores/rules'
import { useWorkspace } from '@/shared/stores/workspace'
import AgeMark from '@/shared/widgets/AgeMark.vue'
import HousePopover from '@/shared/widgets/HousePopover.vue'
import BareButton from '@/shared/widgets/BareButton.vue'

const query = useQuery()
const sheaf = useSheaf()
const settings = useSettings()
const workspace = useWorkspace()
const rules = useRules()
const assumed = computed(() => workspace.summary.markets.filter((m) => rules.areFeesAssumed(m)))
const name = ref('')
const naming = ref(false)
const leaf = (path: string) => path.split(' / ').at(-1) ?? path

const chips = computed(() => {
  const q = query.query
  const list = (key: FacetName) =>
    q[key].map((value) => ({
      label: leaf(value),
      lift: () => query.change({ [key]: q[key].filter((v) => v !== value) }),
    }))
  const others = Object.entries(q.limits).filter(([m]) => !settings.value.strips.includes(m))
  return [
    ...(q.words ? [{ label: `“${q.words}”`, lift: () => query.change({ words: '' }) }] : []),
    ...(q.phrase ? [{ label: `sells under “${q.phrase}”`, lift: () => query.change({ phrase: '' }) }] : []),
    ...q.stores.map((s) => ({
      label: `store ${s.slice(s.indexOf('/') + 1)}`,
      lift: () => query.change({ stores: q.stores.filter((v) => v !== s) }),
    })),
    ...facets.flatMap(list),
    ...others.map(([m, s]) => ({
      label: `${measure(m).label} ${spanWords(measure(m), s)}`,
      lift: () => query.setLimit(m, null),
    })),
  ]
})
const limited = computed(() => chips.value.length > 0 || Object.keys(query.query.limits).length > 0)
const fault = ref('')
async function keep() {
  try {
    await query.keepCut(name.value)
  } catch (thrown) {
    return void (fault.value = toProblem(thrown).message)
  }
  naming.value = false
  name.value = fault.value = ''
}
</script>

<template>
  <div class="chips">
    <BareButton
      v-for="c in chips"
      :key="c.label"
      type="info"
      class="chip"
      :title="`Lift the limit ${c.label}`"
      @click="c.lift()"
    >
      {{ c.label }} <span aria-hidden="true">×</span>
    </BareButton>
    <BareButton v-if="limited" type="info" class="link" @click="query.clear()">Lift all limits</BareButton>
    <HousePopover v-if="limited" v-model:show="naming" label="Keep as a Cut">
      <template #trigger><BareButton type="info" class="link">Keep as a Cut</BareButton></template>
      <form @submit.prevent="keep">
        <div class="row-gap">
          <NInput
            v-model:value="name"
            size="small"
            placeholder="Name of the Cut"
            :input-props="{ 'aria-label': 'Name of the Cut' }"
          /><NButton size="small" type="primary" attr-type="submit">Keep</NButton>
        </div>
        <p v-if="fault" class="small loss" role="alert">{{ fault }}</p>
      </form>
    </HousePopover>
    <span class="spring" />
    <BareButton v-if="sheaf.dropped.length" type="info" class="link" @click="query.showDropped = !query.showDropped">
      {{ query.showDropped ? 'Hide' : 'Show' }} {{ count(sheaf.dropped.length) }} dropped
    </BareButton>
    <RouterLink
      v-if="assumed.length"
      to="/margin"
      class="small fees"
      :title="`Fees of ${assumed.join(', ')} are assumed: ${assumedFeesWords}`"
      >○ fees assumed on {{ assumed.length === 1 ? assumed[0] : `${assumed.length} markets` }}</RouterLink
    >
    <span class="small quiet"
      >● counted ◐ reported ◔ estimated ○ assumed · 30 days{{
        workspace.summary.figuresTo === null ? '' : ` to ${dayInWords(workspace.summary.figuresTo)}`
      }}</span
    >
    <AgeMark class="old" :day="workspace.summary.figuresTo" />
  </div>
</template>

<style scoped>
.chips {
  display: flex;
  align-items: center;
  gap: 8px;
  min-height: 20px;
  flex-wrap: wrap;
  font-size: 13px;
}
.chip {
  border: 1px solid var(--slate);
  background: var(--panel);
  border-radius: 12px;
  padding: 0 9px;
}
.link {
  font-size: 12px;
  text-decoration: underline;
}
.spring {
  flex: 1;
}
.fees {
  color: var(--plum);
}
.old {
  margin-left: auto;
}
</style>
