<script setup lang="ts">
import type { StoreListing } from '@sickle/core/stores'
import { amount, count, currencySign } from '@/shared/format'
import { useRules } from '@/shared/stores/rules'
import GradeMark from '@/shared/widgets/GradeMark.vue'
import ItemLink from '@/shared/widgets/ItemLink.vue'
import PlainTable from '@/shared/widgets/PlainTable.vue'

/** Some listings of a store: each leads to the look at its item, and can be kept where it stands. */
const {
  listings,
  keys,
  label,
  last = null,
} = defineProps<{
  listings: readonly StoreListing[]
  /** key of a listing → key of its item */
  keys: Record<string, string>
  label: string
  /** one more column: its heading, and its text of each listing */
  last?: { heading: string; of: (l: StoreListing) => string } | null
}>()
const rules = useRules()
</script>

<template>
  <PlainTable class="tight" :aria-label="label">
    <thead>
      <tr>
        <th>Listing</th>
        <th class="num">Price, {{ currencySign(rules.home) }}</th>
        <th class="num">Units, 30 d</th>
        <th v-if="last" class="num">{{ last.heading }}</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="l in listings" :key="l.key">
        <td class="title">
          <ItemLink :item-key="keys[l.key] ?? ''" :title="l.title" />
        </td>
        <td class="num">{{ amount(l.priceE4, rules.home) }}</td>
        <td class="num">{{ count(l.units) }}<GradeMark v-if="l.grade" :grade="l.grade" /></td>
        <td v-if="last" class="num">{{ last.of(l) }}</td>
      </tr>
    </tbody>
  </PlainTable>
</template>
