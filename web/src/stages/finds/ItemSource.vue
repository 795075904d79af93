<script setup lang="ts">
import type { Item } from '@sickle/core/catalog'
import { canIGetIt } from '@/shared/answers'
import { useRules } from '@/shared/stores/rules'
import { useWorkspace } from '@/shared/stores/workspace'
import PackStepper from '@/shared/widgets/PackStepper.vue'
import OfferList from './OfferList.vue'

const { item } = defineProps<{ item: Item }>()
const rules = useRules()
const workspace = useWorkspace()
async function setPack(pack: number | null) {
  await rules.setPack(item.key, pack)
  await workspace.follow()
}
</script>

<template>
  <article>
    <h3>Can I get it?</h3>
    <p>{{ canIGetIt(item, rules.home) }}</p>
    <p v-if="item.kind !== 'digital'" class="row-gap small">
      <span>The listing is a pack of</span
      ><PackStepper :value="item.pack" label="Pieces in the listing" @change="setPack" /><span class="quiet">{{
        item.packFrom === null
          ? 'assumed: the title says nothing'
          : item.packFrom === 'set by you'
            ? 'set by you'
            : `read from “${item.packFrom}”`
      }}</span>
    </p>
    <template v-if="item.kind !== 'digital'">
      <OfferList :item="item" :home="rules.home" />
      <RouterLink class="small" :to="`/supply/${encodeURIComponent(item.key)}`">All of them, in Supply</RouterLink>
    </template>
  </article>
</template>
