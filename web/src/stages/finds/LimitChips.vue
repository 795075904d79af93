<script setup lang="ts">
import { computed } from 'vue'
import { facets, measures, type FacetName } from '@sickle/core/engine'
import { assumedFeesWords } from '@sickle/core/margin'
import { count, dayInWords } from '@/shared/format'
import { limitChips } from '@/shared/figure-limits'
import { useQuery } from '@/shared/stores/query'
import { useSettings } from '@/shared/stores/settings'
import { useSheaf } from '@/shared/stores/sheaf'
import { useRules } from '@/shared/stores/rules'
import { useWorkspace } from '@/shared/stores/workspace'
import AgeMark from '@/shared/widgets/AgeMark.vue'
import AddLimit from '@/shared/widgets/AddLimit.vue'
import LimitRow from '@/shared/widgets/LimitRow.vue'
import BareButton from '@/shared/widgets/BareButton.vue'

const query = useQuery()
const sheaf = useSheaf()
const settings = useSettings()
const workspace = useWorkspace()
const rules = useRules()
const assumed = computed(() => workspace.summary.markets.filter((m) => rules.areFeesAssumed(m)))
const leaf = (path: string) => path.split(' / ').at(-1) ?? path

const chips = computed(() => {
  const q = query.query
  const list = (key: FacetName) =>
    q[key].map((value) => ({
      label: leaf(value),
      lift: () => query.change({ [key]: q[key].filter((v) => v !== value) }),
    }))
  // those with a strip are seen there
  const hidden = measures.filter((m) => !settings.value.strips.includes(m.name))
  return [
    ...(q.words ? [{ label: `“${q.words}”`, lift: () => query.change({ words: '' }) }] : []),
    ...(q.phrase ? [{ label: `sells under “${q.phrase}”`, lift: () => query.change({ phrase: '' }) }] : []),
    ...q.stores.map((s) => ({
      label: `store ${s.slice(s.indexOf('/') + 1)}`,
      lift: () => query.change({ stores: q.stores.filter((v) => v !== s) }),
    })),
    ...(q.own === 'any'
      ? []
      : [{ label: q.own === 'mine' ? 'what I sell' : 'what I do not sell', lift: () => query.change({ own: 'any' }) }]),
    ...facets.flatMap(list),
    ...limitChips(hidden, q.limits, query.setLimit),
  ]
})
const limited = computed(() => chips.value.length > 0 || Object.keys(query.query.limits).length > 0)
</script>

<template>
  <div class="row-gap limit-row">
    <LimitRow :chips="chips" :limited="limited" :keep="query.keepCut" @clear="query.clear()"
      ><AddLimit :figures="measures" :limits="query.query.limits" @set="query.setLimit"
    /></LimitRow>
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
    <span class="known">
      <span class="small quiet"
        >● counted ◐ reported ◔ estimated ○ assumed · 30 days{{
          workspace.summary.figuresTo === null ? '' : ` to ${dayInWords(workspace.summary.figuresTo)}`
        }}</span
      >
      <AgeMark class="old" :day="workspace.summary.figuresTo" />
    </span>
  </div>
</template>

<style scoped>
/* how things are known and how old they are stay on one line */
.known {
  display: inline-flex;
  gap: 8px;
  white-space: nowrap;
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
