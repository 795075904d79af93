<script setup lang="ts">
import { computed } from 'vue'
import type { Item } from '@sickle/core/catalog'
import { priceLikeness } from '@sickle/core/goods'
import { findRate } from '@sickle/core/money'
import type { MatchJudgement, OfferMatch } from '@sickle/core/supply'
import { amount } from '@/shared/format'
import { useRules } from '@/shared/stores/rules'
import { useWorkspace } from '@/shared/stores/workspace'
import { takenFor } from '@/shared/supply-words'
import PackStepper from '@/shared/widgets/PackStepper.vue'
import PictureLikeness from '@/shared/widgets/PictureLikeness.vue'
import BareButton from '@/shared/widgets/BareButton.vue'

const { item } = defineProps<{ item: Item; home: string }>()
const rules = useRules()
const workspace = useWorkspace()
const chosen = computed(() => rules.corrections.offers[item.key])
const offers = computed(() => item.offers.slice(0, 5))
const packOf = (m: OfferMatch) => rules.corrections.packs[m.offer.key] ?? m.offer.pack
/** What speaks against an offer by its price; '' where nothing does, or a rate is not known. */
function priceDoubt(m: OfferMatch): string {
  const rate = m.offer.currency === null ? null : findRate(m.offer.currency, rules.home, rules.rules.rates)
  const asked = m.offer.tiers[0]?.priceE4
  if (!rate || asked === undefined || item.priceLowE4 === null) return ''
  const found = priceLikeness(item.priceLowE4 / item.pack, (asked * rate.rate) / packOf(m), true)
  if (!found || found.isPlausible) return ''
  return found.ratio > 1 ? '; a piece costs more than it sells for' : '; so cheap that it is hardly the same'
}
async function judge(m: OfferMatch, judgement: MatchJudgement | null) {
  await rules.judge(item.key, m.offer.key, judgement)
  await workspace.follow()
}
async function letRulesChoose() {
  await rules.setOffer(item.key, null)
  await workspace.follow()
}
async function setPack(m: OfferMatch, pack: number | null) {
  await rules.setPack(m.offer.key, pack)
  await workspace.follow()
}
</script>

<template>
  <ul>
    <li v-for="m in offers" :key="m.offer.key" :class="{ used: item.offer?.offer.key === m.offer.key }">
      <div class="top">
        <b>{{ m.offer.title }}</b><span class="num"
          >{{ m.offer.currency ?? '?' }} {{ amount(m.offer.tiers[0]?.priceE4, m.offer.currency ?? 'EUR') }}</span
        >
      </div>
      <div class="small quiet">
        {{ m.offer.supplier }} · {{ takenFor(m) }}{{ priceDoubt(m)
        }}<PictureLikeness :mine="item.picture" :other="m.offer.picture" />
      </div>
      <div class="row-gap small">
        <span>pack of</span
        ><PackStepper
          :value="packOf(m)"
          :label="`Pieces in the pack of ${m.offer.title}`"
          @change="(n) => setPack(m, n)"
        />
        <span class="quiet">{{
          rules.corrections.packs[m.offer.key] ? 'set by you' : m.offer.packFrom ? `“${m.offer.packFrom}”` : 'assumed'
        }}</span>
        <span class="spring" />
        <BareButton v-if="m.judged" type="info" class="act" @click="judge(m, null)">Take that back</BareButton>
        <BareButton v-else-if="item.offer?.offer.key === m.offer.key" type="info" class="act" @click="judge(m, 'no')"
          >Not the same</BareButton
        >
        <BareButton v-else type="info" class="act" @click="judge(m, 'same')">It is the same</BareButton>
      </div>
    </li>
    <li v-if="offers.length === 0" class="quiet small">No offer looks alike.</li>
    <li v-if="chosen !== undefined" class="small">
      {{ chosen === '' ? 'You said none of these is the same.' : 'You said which is reckoned with.' }}
      <BareButton type="info" class="act" @click="letRulesChoose">Let the rules choose</BareButton>
    </li>
  </ul>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 8px;
}
li {
  border-left: 3px solid var(--line);
  padding-left: 8px;
}
li.used {
  border-left-color: var(--moss);
}
.top {
  display: flex;
  justify-content: space-between;
  gap: 8px;
  font-size: 13px;
}
.top b {
  font-weight: 500;
}
.spring {
  flex: 1;
}
.act {
  text-decoration: underline;
}
</style>
