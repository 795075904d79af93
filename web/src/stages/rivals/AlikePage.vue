<script setup lang="ts">
import { NButton } from 'naive-ui'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { useServices } from '@/services/services'
import { count, percent, plural, signedPercent } from '@/shared/format'
import { useOwn } from '@/shared/stores/own'
import { usePool } from '@/shared/stores/pool'
import { useWorkspace } from '@/shared/stores/workspace'
import { useFollow } from '@/shared/use-follow'
import { useKeys } from '@/shared/use-keys'
import { useLatest } from '@/shared/use-latest'
import BareButton from '@/shared/widgets/BareButton.vue'
import EmptyState from '@/shared/widgets/EmptyState.vue'
import LensChoice from '@/shared/widgets/LensChoice.vue'
import OwnComparing from '@/shared/widgets/OwnComparing.vue'
import PlainTable from '@/shared/widgets/PlainTable.vue'
import PasteOwn from './PasteOwn.vue'
import RivalsHead from './RivalsHead.vue'
import { useRivals } from './rivals-store'
import TakeStores from './TakeStores.vue'

/** The stores that sell what I sell, those most like me first. */
const services = useServices()
const workspace = useWorkspace()
const own = useOwn()
const rivals = useRivals()
const pool = usePool()
const router = useRouter()
const follow = useFollow()
const canBeAsked = computed(() => workspace.version > 0 && own.hasCatalogue && !own.isStopped)
const found = useLatest([() => workspace.version, canBeAsked], async () =>
  canBeAsked.value ? services.engine.call('alikeStores', []) : null,
)
const most = ref(60)
const rows = computed(() => {
  const all = (found.value?.stores ?? []).filter((a) => rivals.finder?.isCounted(a.store) ?? true)
  return all.slice(0, most.value).flatMap((a) => {
    const name = rivals.nameAt(a.store)
    return name ? [{ ...a, ...name }] : []
  })
})
const names = computed(() => rows.value.map(({ market, name }) => ({ market, name })))
const width = (share: number) => `${Math.max(1, share * 100)}%`
const poolFirst = () => pool.add(names.value.slice(0, 10))
const storesSelling = () => follow.storesSelling('what I sell', { own: 'mine' })
useKeys('Most like me', [{ key: 'escape', label: 'Back to all stores', run: () => void router.push('/rivals') }])
</script>

<template>
  <div class="column-page">
    <RivalsHead>
      <template v-if="own.hasCatalogue">
        <span v-if="own.counts" class="quiet small" role="status"
          >{{ count(own.counts.met) }} of {{ plural(own.counts.goods, 'thing') }} I sell
          {{ own.counts.met === 1 ? 'is' : 'are' }} sold by others too</span
        >
        <LensChoice />
        <span class="push row-gap">
          <PasteOwn />
          <NButton size="small" :disabled="names.length === 0" @click="poolFirst">First ten into the pool</NButton>
          <BareButton type="info" class="link small" @click="storesSelling">On the field</BareButton>
          <TakeStores table="alike" :names="() => names" file="most-like-me" />
        </span>
      </template>
    </RivalsHead>
    <EmptyState v-if="!own.hasCatalogue" title="What do you sell?">
      <p class="quiet">
        Bring in your own catalogue as a file, or paste a list of barcodes and titles: then the stores that sell the
        same stand here, and what they have that you have not.
      </p>
      <div class="row-gap">
        <PasteOwn wide />
        <NButton @click="router.push('/gather')">To Gather</NButton>
      </div>
    </EmptyState>
    <OwnComparing v-else-if="!found && !own.counts" />
    <p v-else-if="!found || !rivals.list" class="quiet" role="status">Comparing with what I sell …</p>
    <EmptyState v-else-if="rows.length === 0" title="Nobody gathered sells what you sell">
      <p class="quiet">Of {{ plural(found.goods, 'thing') }} you sell none is met by barcode or by words.</p>
    </EmptyState>
    <div v-else class="panel scroll body">
      <PlainTable class="tight" aria-label="Stores most like me">
        <thead>
          <tr>
            <th>Store, market</th>
            <th title="Goods that both sell, over the goods that either sells">Shared over either</th>
            <th title="Goods that both sell, over mine">Shared over mine</th>
            <th class="num">Of mine</th>
            <th class="num" title="Likely mine, or mine in another pack">Perhaps</th>
            <th class="num">Its items</th>
            <th class="num" title="Middle of its price over mine">Price against mine</th>
            <th class="num" title="Mean share of time that its offer of the shared goods is shown first">Featured</th>
            <th />
          </tr>
        </thead>
        <tbody>
          <tr v-for="a in rows" :key="a.store">
            <td>
              <BareButton type="info" class="link" @click="follow.store(a.market, a.name)">{{ a.name }}</BareButton>
              <span class="quiet small">&ensp;{{ a.market }}</span>
            </td>
            <td>
              <span class="bar" aria-hidden="true"><i :style="{ width: width(a.jaccard) }" /></span
              >{{ percent(a.jaccard, 1) }}
            </td>
            <td>
              <span class="bar" aria-hidden="true"><i :style="{ width: width(a.containment) }" /></span
              >{{ percent(a.containment, 1) }}
            </td>
            <td class="num">{{ count(a.shared) }}</td>
            <td class="num">{{ count(a.perhaps) }}</td>
            <td class="num">{{ count(a.items) }}</td>
            <td class="num">{{ a.priceRatio === null ? '–' : signedPercent(a.priceRatio - 1, 1) }}</td>
            <td class="num" :title="a.featuredOf ? `over ${plural(a.featuredOf, 'item')}` : 'not said'">
              {{ percent(a.featured) }}
            </td>
            <td>
              <BareButton type="info" class="link small" @click="pool.toggle(a)">{{
                pool.has(a) ? 'Out of the pool' : 'Into the pool'
              }}</BareButton>
            </td>
          </tr>
        </tbody>
      </PlainTable>
      <BareButton v-if="found.stores.length > most" type="info" class="link small" @click="most += 200">
        Show more of {{ count(found.stores.length) }}
      </BareButton>
    </div>
  </div>
</template>

<style scoped>
.body {
  flex: 1;
  padding: 8px 14px;
  font-size: 13px;
  margin-bottom: 12px;
}
.bar {
  display: inline-block;
  width: 90px;
  height: 8px;
  margin-right: 8px;
  background: var(--sunk);
  border-radius: 4px;
  overflow: hidden;
}
.bar i {
  display: block;
  height: 100%;
  background: var(--slate);
}
</style>
