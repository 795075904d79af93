<script setup lang="ts">
import type { Item } from '@sickle/core/catalog'
import { useServices } from '@/services/services'
import { useLens } from '@/shared/stores/lens'
import { plain } from '@/storage/plain'
import { whoSellsIt } from '@/shared/answers'
import { useRules } from '@/shared/stores/rules'
import { useTrail } from '@/shared/stores/trail'
import { useFollow } from '@/shared/use-follow'
import { useLatest } from '@/shared/use-latest'
import GradeMark from '@/shared/widgets/GradeMark.vue'
import SellerList from './SellerList.vue'

/** Who sells an item; from any of them on to all that store sells. */
const { item, full = false } = defineProps<{ item: Item; full?: boolean }>()
const services = useServices()
const lens = useLens()
const rules = useRules()
const trail = useTrail()
const follow = useFollow()
const sellers = useLatest([() => item], () => services.engine.call('sellers', [item.key, plain(lens.markets)]))

/** Both the item and its seller are stops of the Trail. */
async function toStore(market: string, store: string) {
  const { key, title: label } = item
  await trail.step({ kind: 'item', key, label, to: `/finds/item/${encodeURIComponent(key)}` })
  await follow.store(market, store)
}
/** On to the store that sells most of it. */
async function toBest() {
  const best = [...(sellers.value ?? [])]
    .filter((s) => s.store !== null)
    .sort((a, b) => (b.units ?? b.estimate?.units ?? -1) - (a.units ?? a.estimate?.units ?? -1))[0]
  if (best?.store != null) await toStore(best.market, best.store)
}
defineExpose({ toBest })
</script>

<template>
  <article>
    <h3>Who sells it? <GradeMark v-if="sellers?.length" grade="reported" /></h3>
    <p v-if="sellers">{{ whoSellsIt(sellers, rules.home) }}</p>
    <SellerList v-if="sellers" :sellers="sellers" :home="rules.home" :full="full" @store="toStore" />
  </article>
</template>
