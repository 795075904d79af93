<script setup lang="ts">
import { computed } from 'vue'
import type { Item } from '@sickle/core/catalog'
import { useServices } from '@/services/services'
import { useLens } from '@/shared/stores/lens'
import { plain } from '@/storage/plain'
import { whatIsPosted, whichCounts } from '@/shared/answers'
import { amount, count, currencySign, day } from '@/shared/format'
import { useRules } from '@/shared/stores/rules'
import { useLatest } from '@/shared/use-latest'
import GradeMark from '@/shared/widgets/GradeMark.vue'
import PlainTable from '@/shared/widgets/PlainTable.vue'

const { item } = defineProps<{ item: Item }>()
const services = useServices()
const lens = useLens()
const rules = useRules()
const which = computed(() => whichCounts(item))
const posted = useLatest([() => item], () => services.engine.call('posted', [item.key, plain(lens.markets)]))
</script>

<template>
  <article>
    <h3>What is being posted about it? <GradeMark v-if="posted" grade="reported" /></h3>
    <p>
      {{ whatIsPosted(posted) }}
      <RouterLink v-if="posted" :to="{ path: '/finds/posted', query: { item: item.key, label: item.title } }"
        >All clips and lives</RouterLink
      >
      <RouterLink v-if="posted" :to="{ path: '/rivals/creators', query: { item: item.key, label: item.title } }"
        >Who else could show it</RouterLink
      >
    </p>
    <p v-if="which !== ''" class="small quiet">{{ which }}</p>
    <PlainTable v-if="posted?.best.length" class="tight">
      <thead>
        <tr>
          <th>Clip, creator</th>
          <th class="num">Posted</th>
          <th class="num">Views</th>
          <th class="num">Units</th>
          <th class="num" title="Money taken through it times its commission, before cancelled orders">
            Earned, {{ currencySign(rules.home) }}
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(c, i) in posted.best" :key="i">
          <td>
            {{ c.title }}<br /><span class="quiet small"
              >{{ c.creator }}{{ c.isLive ? ' · live' : '' }}{{ c.isPaid ? ' · paid' : '' }}</span
            >
          </td>
          <td class="num">{{ day(c.day) }}</td>
          <td class="num">{{ count(c.views) }}</td>
          <td class="num">{{ count(c.units) }}</td>
          <td class="num">
            {{ amount(c.earnedE4, rules.home) }}
          </td>
        </tr>
      </tbody>
    </PlainTable>
  </article>
</template>
