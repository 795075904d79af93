<script setup lang="ts">
import { useServices } from '@/services/services'
import { count } from '@/shared/format'
import { useOwn } from '@/shared/stores/own'
import { useQuery } from '@/shared/stores/query'
import { useWorkspace } from '@/shared/stores/workspace'
import { facetLabels, facets, type Cut, type FacetName } from '@sickle/core/engine'
import CutList from '@/shared/widgets/CutList.vue'
import ViewChoice from '@/shared/widgets/ViewChoice.vue'
import FacetList from '@/shared/widgets/FacetList.vue'
import { useAfterPaint } from '@/shared/use-after-paint'
import { useFollow } from '@/shared/use-follow'
import OwnComparing from '@/shared/widgets/OwnComparing.vue'
import SideGroup from '@/shared/widgets/SideGroup.vue'
import { useCutCounts } from './cut-counts'

const query = useQuery()
const own = useOwn()
const sold = [
  { value: 'any' as const, label: 'All' },
  { value: 'mine' as const, label: 'I sell' },
  { value: 'others' as const, label: 'I do not' },
]
const workspace = useWorkspace()
const services = useServices()
const follow = useFollow()
const counts = useCutCounts()
// the rows of the finds are wanted first
const areRowsPainted = useAfterPaint(() => query.rows.size > 0 || query.answer !== null)
const titles = async (keys: string[]) =>
  (await services.engine.call('rows', [keys])).map(({ key, row }) => ({ key, label: row?.title ?? null }))
const toFile = ({ name, query: limits }: Cut) => ({ name, query: limits })
/** Where no list speaks of anything, that all is unknown is no choice. */
function optionsOf(facet: FacetName) {
  const options = query.answer?.facets[facet] ?? []
  return facet === 'clearing' && options.every((o) => o.value === 'unknown') ? [] : options
}
</script>

<template>
  <div class="side">
    <CutList
      :cuts="query.cuts"
      :counts="workspace.isBeginning ? null : counts"
      :is-used="query.isUsed"
      :changes-of="query.changesOf"
      :labels="titles"
      :to-file="toFile"
      :take="query.takeCut"
      @use="query.use"
      @forget="(c) => query.dropCut(c.name)"
      @open="(i) => i.label !== null && follow.item(i.key, i.label)"
    />
    <SideGroup v-if="own.hasCatalogue" title="My own goods">
      <ViewChoice
        :model-value="query.query.own"
        compact
        label="My own goods"
        :options="sold"
        @update:model-value="(sells) => query.change({ own: sells })"
      />
      <p v-if="own.counts" class="small quiet">
        {{ count(own.counts.met) }} of {{ count(own.counts.goods) }} are sold by others too
      </p>
      <OwnComparing v-else />
    </SideGroup>
    <FacetList
      v-for="f in areRowsPainted ? facets : []"
      :key="f"
      :title="facetLabels[f]"
      :tree="f === 'categories'"
      :options="optionsOf(f)"
      :chosen="query.query[f]"
      @change="(chosen) => query.change({ [f]: chosen })"
    />
  </div>
</template>

<style scoped>
.side {
  padding: 12px 10px 20px;
}
</style>
