<script setup lang="ts">
import { NButton } from 'naive-ui'
import { computed } from 'vue'
import type { DeskCandidate, MatchDesk } from '@sickle/core/catalog'
import { count, decimal, money, plural } from '@/shared/format'
import { useRules } from '@/shared/stores/rules'
import { useWorkspace } from '@/shared/stores/workspace'
import { checkTold, checkWords, daysTold, parcelTold, whyChosen } from '@/shared/supply-words'
import AgeMark from '@/shared/widgets/AgeMark.vue'
import BareButton from '@/shared/widgets/BareButton.vue'
import SupplierLink from '@/shared/widgets/SupplierLink.vue'
import LandedSteps from './LandedSteps.vue'

/** An offer read whole: what it costs at every quantity, what a first order takes, and each check by itself. */
const { candidate, desk } = defineProps<{ candidate: DeskCandidate; desk: MatchDesk }>()
const rules = useRules()
const workspace = useWorkspace()
const offer = computed(() => candidate.match.offer)
const isUsed = computed(() => desk.item.offer?.offer.key === offer.value.key)
const chosen = computed(() => rules.corrections.offers[desk.item.key])
const why = computed(() => whyChosen(desk.item.choice, rules.home))
const told = computed(() => candidate.checks.filter((c) => c.name !== 'avoided'))
const payback = computed(() => {
  const back = candidate.payback
  if (!back) return 'not known: a cost or a price is missing'
  if (back.units === null) return 'never: a sale brings nothing back'
  const days = back.days === null ? 'days not known' : `about ${plural(back.days, 'day')} at a fair share of its sales`
  return `${plural(back.units, 'sale')}, ${days}`
})
const delivery = computed(() =>
  offer.value.deliveryE4 === null
    ? 'not stated, taken as 0 ○'
    : `${money(offer.value.deliveryE4, offer.value.currency ?? rules.home)} an order`,
)
const weight = computed(() => parcelTold(offer.value, rules.rules.supply.volumetricDivisor))
async function choose(key: string | null) {
  await rules.setOffer(desk.item.key, key)
  await workspace.follow()
}
async function stand(standing: 'trusted' | 'avoided') {
  await rules.setStanding(offer.value.supplier, candidate.standing === standing ? null : standing)
  await workspace.follow()
}
</script>

<template>
  <aside class="panel scroll pane" aria-label="The offer" tabindex="0">
    <h2><SupplierLink :supplier="offer.supplier" /></h2>
    <p class="small quiet">{{ offer.id }} · {{ offer.title }} <AgeMark :day="offer.capturedOn" /></p>
    <h3>What one sale's goods cost, by packs in one order</h3>
    <LandedSteps :steps="candidate.steps" :lot="candidate.lot.packs" :home="rules.home" />
    <p v-if="candidate.notes.length" class="small note">{{ candidate.notes.join(' · ') }}</p>
    <h3>A first order</h3>
    <dl class="facts">
      <dt>Lot</dt>
      <dd>{{ plural(candidate.lot.packs, 'pack') }} of {{ count(candidate.pack) }}</dd>
      <dt>Money laid out</dt>
      <dd>{{ money(candidate.lot.outlayE4, rules.home) }}</dd>
      <dt>Paid back after</dt>
      <dd>{{ payback }}</dd>
      <dt>Arrives in</dt>
      <dd>{{ daysTold(offer) }}</dd>
      <dt>Its delivery</dt>
      <dd>{{ delivery }}</dd>
      <dt>A pack weighs</dt>
      <dd>{{ weight }}</dd>
      <dt>Least order</dt>
      <dd>{{ plural(offer.minOrder, 'pack') }}</dd>
      <dt>Sample</dt>
      <dd>{{ offer.sampleE4 === null ? 'not stated' : money(offer.sampleE4, offer.currency ?? rules.home) }}</dd>
    </dl>
    <h3>Checks</h3>
    <ul class="checks">
      <li v-for="c in told" :key="c.name" :class="{ holds: c.holds === true, breaks: c.holds === false }">
        <span aria-hidden="true">{{ c.holds === null ? '·' : c.holds ? '✓' : '✗' }}</span><span class="quiet">{{
          checkWords[c.name].label
        }}</span
        ><span>{{ checkTold(c, rules.home) }}</span>
      </li>
    </ul>
    <p v-if="offer.orders !== null && offer.orders >= 1000" class="small note">
      {{ count(offer.orders) }} orders so far: crowded, by the trade's rule of thumb (1,000).
    </p>
    <p v-if="isUsed" class="small">Reckoned with: {{ why }}.</p>
    <div class="acts">
      <NButton v-if="!isUsed" size="small" type="primary" @click="choose(offer.key)">Reckon with this one</NButton>
      <NButton v-else-if="chosen" size="small" @click="choose(null)">Let the rules choose</NButton>
      <BareButton
        type="info"
        class="link small"
        :aria-pressed="candidate.standing === 'trusted'"
        @click="stand('trusted')"
        >{{ candidate.standing === 'trusted' ? 'No longer trusted' : 'Trust this supplier' }}</BareButton
      >
      <BareButton
        type="info"
        class="link small"
        :aria-pressed="candidate.standing === 'avoided'"
        @click="stand('avoided')"
        >{{ candidate.standing === 'avoided' ? 'No longer avoided' : 'Avoid this supplier' }}</BareButton
      >
    </div>
    <p class="small quiet">
      {{
        candidate.standing === 'trusted'
          ? 'Trusted: its rating, years and reviews are not asked for.'
          : candidate.standing === 'avoided'
            ? 'Avoided: none of its offers is chosen by the rules.'
            : `Rating ${decimal(offer.rating, 1)}; each check stands by itself, there is no sum of them.`
      }}
    </p>
  </aside>
</template>

<style scoped>
.pane {
  padding: 12px 14px;
  display: grid;
  gap: 7px;
  align-content: start;
}
h3 {
  margin-top: 6px;
}
.facts {
  --facts: 108px minmax(0, 1fr);
}
.checks {
  list-style: none;
  margin: 0;
  padding: 0;
  font-size: 13px;
}
.checks li {
  display: grid;
  grid-template-columns: 14px 94px minmax(0, 1fr);
}
.holds > :first-child {
  color: var(--moss);
}
.breaks > :first-child,
.breaks > :last-child {
  color: var(--clay);
}
.note {
  color: var(--wheat-ink);
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 12px;
  align-items: center;
}
</style>
