<script setup lang="ts">
import { NButton } from 'naive-ui'
import { computed, ref } from 'vue'
import IntervalMark from '@/shared/charts/IntervalMark.vue'
import { count, currencySign, plural } from '@/shared/format'
import { useRules } from '@/shared/stores/rules'
import { useSheaf } from '@/shared/stores/sheaf'
import GradeMark from '@/shared/widgets/GradeMark.vue'
import ItemLink from '@/shared/widgets/ItemLink.vue'
import PlainTable from '@/shared/widgets/PlainTable.vue'
import type { PooledStores } from '@/workers/pool-methods'
import EarnCells from './EarnCells.vue'
import { useKeepMany } from './use-keep-many'

/** What a pool sells: items that most of its stores sell first, then those that sell through best at the least. */
const { pool } = defineProps<{ pool: PooledStores }>()
const rules = useRules()
const sheaf = useSheaf()
const many = useKeepMany()
const ticked = ref(new Set<string>())
const toggle = (key: string) => {
  const next = new Set(ticked.value)
  if (!next.delete(key)) next.add(key)
  ticked.value = next
}
const chosen = computed(() => (ticked.value.size > 0 ? [...ticked.value] : pool.keys))
async function keep() {
  await many.keep(chosen.value)
  ticked.value = new Set()
}
</script>

<template>
  <div class="row-gap acts">
    <NButton size="small" type="primary" :disabled="many.busy.value || chosen.length === 0" @click="keep"
      >Keep {{ ticked.size > 0 ? count(ticked.size) : `all ${count(pool.keys.length)}` }}</NButton
    >
    <span class="small quiet" role="status">{{
      many.last.value
        ? `${plural(many.last.value, 'item')} kept in ${sheaf.current.name}: take back below, or Ctrl Z.`
        : `into the sheaf ${sheaf.current.name}`
    }}</span>
  </div>
  <PlainTable class="tight" aria-label="Proven items">
    <thead>
      <tr>
        <th><span class="sr-only">Chosen</span></th>
        <th>Item</th>
        <th class="num">Stores</th>
        <th>Listings sold, 95&nbsp;%</th>
        <th class="num">Units, 30 d</th>
        <th class="num">Lifetime</th>
        <th class="num">From, {{ currencySign(rules.home) }}</th>
        <th class="num">Profit</th>
        <th class="num">Worth</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="p in pool.rows" :key="p.row.key">
        <td>
          <input
            type="checkbox"
            :checked="ticked.has(p.row.key)"
            :aria-label="`Choose ${p.row.title}`"
            @change="toggle(p.row.key)"
          />
        </td>
        <td>
          <ItemLink :item-key="p.row.key" :title="p.row.title" />
        </td>
        <td class="num">{{ count(p.stores) }}</td>
        <td><IntervalMark :share="p.sellThrough" /></td>
        <td class="num">{{ count(p.units) }}<GradeMark :grade="p.row.unitsGrade" /></td>
        <td class="num">{{ count(p.unitsTotal) }}</td>
        <EarnCells :row="p.row" />
      </tr>
    </tbody>
  </PlainTable>
  <p v-if="pool.of > pool.rows.length" class="small quiet">
    The first {{ count(pool.rows.length) }} of {{ count(pool.of) }}; all of them are in Finds and in the export.
  </p>
</template>

<style scoped>
.acts {
  margin-bottom: 6px;
}
</style>
