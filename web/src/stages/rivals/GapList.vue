<script setup lang="ts">
import { NButton, NCheckbox } from 'naive-ui'
import { computed, ref } from 'vue'
import { useServices } from '@/services/services'
import { count, currencySign, plural } from '@/shared/format'
import { ownWayWords, useOwn } from '@/shared/stores/own'
import { useRules } from '@/shared/stores/rules'
import { useWorkspace } from '@/shared/stores/workspace'
import { useFollow } from '@/shared/use-follow'
import { useLatest } from '@/shared/use-latest'
import BareButton from '@/shared/widgets/BareButton.vue'
import GradeMark from '@/shared/widgets/GradeMark.vue'
import ItemLink from '@/shared/widgets/ItemLink.vue'
import OwnComparing from '@/shared/widgets/OwnComparing.vue'
import PlainTable from '@/shared/widgets/PlainTable.vue'
import { plain } from '@/storage/plain'
import type { StoreName } from '@/workers/store-source'
import EarnCells from './EarnCells.vue'
import TakeStores from './TakeStores.vue'

/** What some stores sell that I do not, the worthiest first; what may be mine is told apart. */
const { stores, file, most = 200 } = defineProps<{ stores: readonly StoreName[]; file: string; most?: number }>()
const services = useServices()
const own = useOwn()
const workspace = useWorkspace()
const rules = useRules()
const follow = useFollow()
const found = useLatest([() => stores, () => workspace.version, () => own.isStopped], async () =>
  own.isStopped ? null : services.engine.call('gaps', [plain([...stores])]),
)
const isPerhaps = ref(false)
const mayBeListed = ref(false)
const listable = ['allowed', 'unknown']
const rows = computed(() => {
  const all = (isPerhaps.value ? found.value?.perhaps : found.value?.rows) ?? []
  return all.filter((g) => !mayBeListed.value || listable.includes(g.row.clearing)).slice(0, most)
})
const label = computed(() => (stores.length === 1 ? (stores[0]?.name ?? '') : plural(stores.length, 'store')))
const toFinds = () =>
  follow.storesItems(stores, `gaps of ${label.value}`, {
    own: 'others',
    ...(mayBeListed.value ? { clearing: listable } : {}),
    sort: { by: 'worth', descending: true },
  })
</script>

<template>
  <OwnComparing v-if="!found && own.hasCatalogue && !own.counts" />
  <p v-else-if="!found" class="quiet" role="status">Comparing with what I sell …</p>
  <template v-else>
    <div class="row-gap">
      <NButton size="small" :disabled="found.gaps === 0" @click="toFinds">All {{ count(found.gaps) }} in Finds</NButton>
      <BareButton v-if="found.perhaps.length" type="info" class="link small" @click="isPerhaps = !isPerhaps">{{
        isPerhaps ? 'Show the gaps' : `Show ${count(found.perhaps.length)} that may be mine`
      }}</BareButton>
      <NCheckbox v-model:checked="mayBeListed" size="small">without what may not be listed</NCheckbox>
      <TakeStores table="gaps" :names="() => stores" :file="file" />
    </div>
    <PlainTable v-if="rows.length" class="tight" aria-label="Gaps">
      <thead>
        <tr>
          <th>Item</th>
          <th class="num">Units, 30 d</th>
          <th class="num">Sellers</th>
          <th class="num">From, {{ currencySign(rules.home) }}</th>
          <th class="num">Profit</th>
          <th class="num">Worth</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="g in rows" :key="g.row.key">
          <td>
            <ItemLink :item-key="g.row.key" :title="g.row.title" />
            <div v-if="g.is !== 'gap'" class="small quiet">{{ ownWayWords[g.is] }}: {{ g.mine }}</div>
          </td>
          <td class="num">{{ count(g.row.units) }}<GradeMark :grade="g.row.unitsGrade" /></td>
          <td class="num">{{ count(g.row.sellers) }}</td>
          <EarnCells :row="g.row" />
        </tr>
      </tbody>
    </PlainTable>
  </template>
</template>
