<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Item } from '@sickle/core/catalog'
import { amount, count, currencySign, decimal } from '@/shared/format'
import GradeMark from '@/shared/widgets/GradeMark.vue'

const { item, home } = defineProps<{ item: Item; home: string }>()
defineEmits<{ store: [market: string, store: string] }>()
const all = ref(false)
const sorted = computed(() =>
  [...item.listings].sort((a, b) => (a.deliveredE4 ?? Infinity) - (b.deliveredE4 ?? Infinity)),
)
const shown = computed(() => (all.value ? sorted.value : sorted.value.slice(0, 6)))
</script>

<template>
  <table class="plain list">
    <thead>
      <tr>
        <th>Store, market</th>
        <th class="num">Delivered, {{ currencySign(home) }}</th>
        <th class="num">Units, 30 d</th>
        <th class="num">Stars</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="l in shown" :key="l.key" :title="l.title">
        <td>
          <button
            v-if="l.store !== null"
            class="bare link"
            :title="`All that ${l.store} sells`"
            @click="$emit('store', l.market, l.store)"
          >
            {{ l.store }}</button><template v-else>store not known</template><br /><span class="quiet small">{{
            l.market
          }}</span>
        </td>
        <td class="num">
          {{ amount(l.deliveredE4, home)
          }}<template v-if="l.deliveryE4 === null"><br /><span class="quiet small">delivery not known</span></template>
        </td>
        <td class="num">{{ count(l.units) }}<GradeMark :grade="l.grade" /></td>
        <td class="num">{{ l.rating === null ? '–' : decimal(l.rating, 1) }}</td>
      </tr>
    </tbody>
  </table>
  <button v-if="sorted.length > 6" class="bare more" @click="all = !all">
    {{ all ? 'Show fewer' : `Show all ${sorted.length}` }}
  </button>
</template>

<style scoped>
.list td,
.list th {
  padding: 3px 4px;
}
.list td:first-child,
.list th:first-child {
  padding-left: 0;
}
.link {
  color: var(--slate);
  text-decoration: underline;
}
.more {
  color: var(--slate);
  font-size: 12px;
}
</style>
