<script setup lang="ts">
import { NButton } from 'naive-ui'
import type { Term } from '@sickle/core/terms'
import SeasonRing from '@/shared/charts/SeasonRing.vue'
import { balanceWords, isTheTermWorthIt, whatSellsUnderIt, whenIsItSearched } from '@/shared/demand-answers'
import { amount, count, currencySign, percent } from '@/shared/format'
import GoodsPicture from '@/shared/widgets/GoodsPicture.vue'
import GradeMark from '@/shared/widgets/GradeMark.vue'
import type { TermLook } from '@/workers/demand-methods'
import TermByName from './TermByName.vue'
import BareButton from '@/shared/widgets/BareButton.vue'
import PlainTable from '@/shared/widgets/PlainTable.vue'

/** One term opened: is it worth aiming at, when and where, longer phrases around it, and what sells under it. */
const { look, home, terms } = defineProps<{ look: TermLook; home: string; terms: Term[] }>()
defineEmits<{
  choose: [key: string]
  beside: [key: string]
  finds: [phrase: string]
  stores: [phrase: string]
  item: [key: string, title: string]
}>()
</script>

<template>
  <div class="term">
    <header class="row-gap">
      <h2>{{ look.term.phrase }}</h2>
      <span class="quiet small">{{ look.term.market }}</span>
      <span class="spring" />
      <RouterLink class="small" :to="{ path: '/finds/posted', query: { phrase: look.term.phrase } }"
        >Its clips</RouterLink
      >
      <NButton size="small" :disabled="look.of === 0" @click="$emit('stores', look.term.phrase)">Its stores</NButton>
      <NButton size="small" type="primary" :disabled="look.of === 0" @click="$emit('finds', look.term.phrase)"
        >{{ count(look.of) }} items in Finds</NButton
      >
    </header>
    <section>
      <p>{{ isTheTermWorthIt(look.term) }} <GradeMark grade="reported" /></p>
    </section>
    <section class="season">
      <SeasonRing v-if="look.term.months.length" :months="look.term.months" :size="132" />
      <div>
        <h3>When and where?</h3>
        <p>{{ whenIsItSearched(look.term) }}</p>
        <ul v-if="look.term.places.length" class="places">
          <li v-for="p in look.term.places.slice(0, 5)" :key="p.name">
            <span>{{ p.name }}</span><span class="bar" aria-hidden="true"
              ><i :style="{ width: `${p.share * 100}%` }" /></span
            ><span class="num">{{ percent(p.share) }}</span>
          </li>
        </ul>
        <p v-else class="quiet small">The file names no places.</p>
      </div>
    </section>
    <section>
      <div class="row-gap">
        <h3>Longer phrases around it</h3>
        <span class="spring" />
        <TermByName
          class="other"
          :terms="terms"
          hint="Beside another wording"
          @choose="(key) => $emit('beside', key)"
        />
      </div>
      <PlainTable v-if="look.longer.length" class="tight">
        <thead>
          <tr>
            <th>Phrase</th>
            <th class="num">Searches a month</th>
            <th class="num">Listings</th>
            <th class="num">Balance</th>
            <th />
          </tr>
        </thead>
        <tbody>
          <tr v-for="t in look.longer.slice(0, 8)" :key="t.key">
            <td>
              <BareButton type="info" class="link" @click="$emit('choose', t.key)">{{ t.phrase }}</BareButton>
            </td>
            <td class="num">{{ count(t.searches) }}</td>
            <td class="num">{{ count(t.competing) }}</td>
            <td class="num" :class="{ profit: (t.balance ?? 0) > (look.term.balance ?? Infinity) }">
              {{ balanceWords(t.balance) }}
            </td>
            <td class="num">
              <BareButton
                type="info"
                class="link small"
                :title="`Compare with ${look.term.phrase}`"
                @click="$emit('beside', t.key)"
              >
                beside
              </BareButton>
            </td>
          </tr>
        </tbody>
      </PlainTable>
      <p v-else class="quiet">No longer phrase with these words was brought in.</p>
    </section>
    <section>
      <h3>What sells under it? <GradeMark :grade="look.sums.grade" /></h3>
      <p>{{ whatSellsUnderIt(look.sums) }}</p>
      <ul class="items">
        <li v-for="row in look.items" :key="row.key">
          <BareButton class="item" @click="$emit('item', row.key, row.title)">
            <GoodsPicture :src="row.picture" :title="row.title" :size="28" />
            <span class="title">{{ row.title }}</span>
            <span class="num"
              >{{ count(row.units) }} units<GradeMark :grade="row.unitsGrade" /> · {{ currencySign(home) }}
              {{ amount(row.priceLowE4, home) }}</span
            >
          </BareButton>
        </li>
      </ul>
    </section>
  </div>
</template>

<style scoped>
.term {
  padding: 10px 14px 16px;
  display: grid;
  gap: 10px;
  align-content: start;
  font-size: 13.5px;
}
.other {
  width: 190px;
}
.spring {
  flex: 1;
}
section {
  display: grid;
  gap: 4px;
}
.season {
  grid-template-columns: auto 1fr;
  gap: 14px;
  align-items: center;
}
.places,
.items {
  list-style: none;
  margin: 4px 0 0;
  padding: 0;
}
.places li {
  display: grid;
  grid-template-columns: 110px 1fr 44px;
  gap: 8px;
  align-items: center;
  font-size: 12.5px;
}
.bar {
  height: 7px;
  background: var(--sunk);
  border-radius: 3px;
  overflow: hidden;
}
.bar i {
  display: block;
  height: 100%;
  background: var(--slate);
}
.item {
  display: flex;
  align-items: center;
  gap: 8px;
  width: 100%;
  padding: 3px 4px;
  border-radius: 5px;
}
.item:hover {
  background: var(--sunk);
}
.title {
  flex: 1;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
</style>
