<script setup lang="ts">
import { refDebounced } from '@vueuse/core'
import { computed } from 'vue'
import { storeKey } from '@sickle/core/engine'
import { storeCutFile, storeFacets } from '@sickle/core/stores'
import { useAfterPaint } from '@/shared/use-after-paint'
import { useFollow } from '@/shared/use-follow'
import CutList from '@/shared/widgets/CutList.vue'
import FacetList from '@/shared/widgets/FacetList.vue'
import { useStoreCuts } from '@/shared/stores/store-cuts'
import { useRivals } from './rivals-store'
import StoreSpans from './StoreSpans.vue'

/** Cuts of stores, spans of their figures, and what they can be chosen by. */
const rivals = useRivals()
const cuts = useStoreCuts()
const follow = useFollow()
// the field is wanted first
const isFieldPainted = useAfterPaint(() => rivals.list !== null)
/** counts follow once a brush rests: they are many, and nobody reads them while it moves */
const facets = refDebounced(
  computed(() => rivals.answer?.facets),
  150,
)
/** place in the list of each store by its key, as Cuts remember it */
const placeOf = (key: string) =>
  rivals.list?.names.findIndex((name, at) => storeKey(rivals.list?.markets[at] ?? '?', name) === key) ?? -1
const labels = (keys: string[]) =>
  Promise.resolve(keys.map((key) => ({ key, label: rivals.nameAt(placeOf(key))?.name ?? null })))
function open(key: string) {
  const store = rivals.nameAt(placeOf(key))
  if (store) void follow.store(store.market, store.name)
}
</script>

<template>
  <div class="side">
    <CutList
      :cuts="cuts.all"
      :counts="rivals.cutCounts"
      :is-used="rivals.isUsed"
      :changes-of="cuts.changesOf"
      :labels="labels"
      :to-file="storeCutFile"
      :take="cuts.take"
      @use="rivals.use"
      @forget="(c) => cuts.drop(c.name)"
      @open="(s) => open(s.key)"
    />
    <StoreSpans v-if="isFieldPainted" />
    <FacetList
      v-for="f in isFieldPainted ? storeFacets : []"
      :key="f.name"
      :title="f.label"
      :tree="f.name === 'categories'"
      :options="facets?.[f.name] ?? []"
      :chosen="rivals.query[f.name]"
      @change="(chosen) => rivals.change({ [f.name]: chosen })"
    />
  </div>
</template>

<style scoped>
.side {
  padding: 12px 10px 20px;
}
</style>
