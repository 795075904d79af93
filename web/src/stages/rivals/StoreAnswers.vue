<script setup lang="ts">
import type { StoreListing } from '@sickle/core/stores'
import { count, day, decimal, percent } from '@/shared/format'
import {
  howItGoes,
  howItWrites,
  whatDropped,
  whatIsNew,
  whatMadeTheMoney,
  whatStopped,
  whenPutUp,
} from '@/shared/store-answers'
import AgeMark from '@/shared/widgets/AgeMark.vue'
import GradeMark from '@/shared/widgets/GradeMark.vue'
import SalesChart from '@/shared/charts/SalesChart.vue'
import type { OpenedStore, StoreBeside, StoreWriting } from '@/workers/store-methods'
import ListingTable from './ListingTable.vue'
import PutUpBars from './PutUpBars.vue'
import SellingWords from './SellingWords.vue'
import StoreBesideMe from './StoreBesideMe.vue'
import StoreKnown from './StoreKnown.vue'
import StoreMoney from './StoreMoney.vue'
import FoundThemes from './FoundThemes.vue'
import StoreWindows from './StoreWindows.vue'
import { useFollow } from '@/shared/use-follow'

/** Every question that is asked of a store, answered in a sentence with what shows it. */
const { store } = defineProps<{ store: OpenedStore; beside: StoreBeside | null; writing: StoreWriting | null }>()
const follow = useFollow()
const stoppedOf = (l: StoreListing) => store.stopped.find((s) => s.listing.key === l.key)
const expected = {
  heading: 'Expected, chance',
  of: (l: StoreListing) => {
    const found = stoppedOf(l)
    return found ? `${decimal(found.expected, 0)}, ${found.p < 0.001 ? '< 0.1\u00a0%' : percent(found.p, 1)}` : ''
  },
}
const putUpOn = { heading: 'Put up', of: (l: StoreListing) => day(l.listedOn) }
const lifetime = { heading: 'Lifetime', of: (l: StoreListing) => count(l.unitsTotal) }
const themeItems = (phrase: string) => follow.storesItems([store], `“${phrase}”, ${store.name}`, { phrase })
</script>

<template>
  <div class="scroll answers" tabindex="0" role="region" aria-label="Answers">
    <h2 class="sr-only">Answers</h2>
    <div class="column">
      <article>
        <h3>
          What made the money? <AgeMark :day="store.windowEnd" />
          <GradeMark v-if="store.summed.grade" :grade="store.summed.grade" />
        </h3>
        <p>{{ whatMadeTheMoney(store) }}</p>
        <StoreMoney :store="store" />
      </article>
      <article>
        <h3>What sells best now?</h3>
        <p v-if="store.best.length === 0">No listing of it is known to sell.</p>
        <ListingTable v-else label="Best sellers" :listings="store.best" :keys="store.itemKeys" :last="lifetime" />
      </article>
      <article>
        <h3>Which narrow themes does it serve?</h3>
        <p v-if="!writing" class="quiet" role="status">Reading its titles …</p>
        <FoundThemes v-else :found="writing.themes" @finds="themeItems" />
      </article>
      <article>
        <h3>How does it write titles and tags?</h3>
        <template v-if="writing">
          <p>{{ howItWrites(writing.habits) }}</p>
          <SellingWords :words="writing.habits.words" />
        </template>
      </article>
    </div>
    <div class="column">
      <article>
        <h3>How does it go as a whole?</h3>
        <p>{{ howItGoes(store) }}</p>
        <SalesChart v-if="store.series" :series="store.series" :height="110" />
        <StoreWindows :store="store" />
      </article>
      <article>
        <h3>What is new and already sells?</h3>
        <p>{{ whatIsNew(store) }}</p>
        <ListingTable
          v-if="store.newSelling.length"
          label="New and selling"
          :listings="store.newSelling"
          :keys="store.itemKeys"
          :last="putUpOn"
        />
      </article>
      <article>
        <h3>What did it stop selling, or drop?</h3>
        <p>{{ whatStopped(store) }}</p>
        <ListingTable
          v-if="store.stopped.length"
          label="Stopped selling"
          :listings="store.stopped.map((s) => s.listing)"
          :keys="store.itemKeys"
          :last="expected"
        />
        <p>{{ whatDropped(store) }}</p>
        <ListingTable
          v-if="store.dropped.listings.length"
          label="Dropped"
          :listings="store.dropped.listings"
          :keys="store.itemKeys"
          :last="lifetime"
        />
      </article>
      <article>
        <h3>When does it put things up?</h3>
        <p>{{ whenPutUp(store) }}</p>
        <PutUpBars v-if="store.putUp.months.length > 1" :months="store.putUp.months" />
      </article>
    </div>
    <StoreBesideMe class="wide" :store="store" :beside="beside" />
    <StoreKnown class="wide" :store="store" />
  </div>
</template>
