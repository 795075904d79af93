<script setup lang="ts">
import type { SupplierCheck } from '@sickle/core/catalog'
import type { SupplierStanding } from '@sickle/core/supply'
import { count } from '@/shared/format'
import { useRules } from '@/shared/stores/rules'
import { checkWords, spanTold } from '@/shared/supply-words'
import PlainTable from '@/shared/widgets/PlainTable.vue'

/** Each check of a supplier by itself, over all that it offers: there is no sum of them. */
defineProps<{ checks: SupplierCheck[]; offers: number; standing: SupplierStanding | null }>()
const rules = useRules()
const asked = ({ name, wanted }: SupplierCheck) =>
  wanted === null ? 'not asked for' : checkWords[name].asked(wanted, rules.home)
</script>

<template>
  <section class="panel" aria-label="Checks">
    <h2>Checks <span class="quiet small">of its offers, each by itself</span></h2>
    <PlainTable aria-label="Checks">
      <thead>
        <tr>
          <th><span class="sr-only">Check</span></th>
          <th>States</th>
          <th>You ask for</th>
          <th class="num">Keep it</th>
          <th class="num">Break it</th>
          <th class="num">Not stated</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="c in checks" :key="c.name">
          <td class="name">{{ checkWords[c.name].label }}</td>
          <td>{{ spanTold(c, rules.home) }}</td>
          <td class="quiet small">
            {{ c.name === 'stock' && c.wanted !== null ? 'enough for a first order' : asked(c) }}
          </td>
          <td class="num" :class="{ profit: c.holds > 0 }">{{ c.wanted === null ? '–' : count(c.holds) }}</td>
          <td class="num" :class="{ loss: c.breaks > 0 }">{{ c.wanted === null ? '–' : count(c.breaks) }}</td>
          <td class="num quiet">{{ c.from === null ? count(offers) : c.wanted === null ? '–' : count(c.unknown) }}</td>
        </tr>
      </tbody>
    </PlainTable>
    <p v-if="standing === 'trusted'" class="small quiet">
      Trusted by you: its rating, years and reviews are not asked for.
    </p>
    <p v-else-if="standing === 'avoided'" class="small quiet">
      Avoided by you: none of its offers is chosen by the rules.
    </p>
  </section>
</template>

<style scoped>
section {
  padding: 10px 14px;
}
h2 span {
  font: 400 12px var(--text);
}
.name {
  white-space: nowrap;
}
</style>
