<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Item } from '@sickle/core/catalog'
import { useServices } from '@/services/services'
import { useLens } from '@/shared/stores/lens'
import { plain } from '@/storage/plain'
import { whichOptions } from '@/shared/answers'
import IntervalMark from '@/shared/charts/IntervalMark.vue'
import { signedPercent } from '@/shared/format'
import { useLatest } from '@/shared/use-latest'
import GradeMark from '@/shared/widgets/GradeMark.vue'
import BareButton from '@/shared/widgets/BareButton.vue'
import PlainTable from '@/shared/widgets/PlainTable.vue'

/** What sellers of the category choose, and what of it goes with selling. */
const { item } = defineProps<{ item: Item }>()
const services = useServices()
const lens = useLens()
const lifts = useLatest([() => item], () => services.engine.call('options', [item.key, plain(lens.markets)]))
const all = ref(false)
const sorted = computed(() =>
  [...(lifts.value ?? [])].sort(
    (a, b) => Number(b.isLift) - Number(a.isLift) || Math.abs(b.lift.difference) - Math.abs(a.lift.difference),
  ),
)
const shown = computed(() => (all.value ? sorted.value : sorted.value.slice(0, 6)))
</script>

<template>
  <article>
    <h3>Which options sell? <GradeMark v-if="sorted.length" grade="estimated" /></h3>
    <p>{{ whichOptions(lifts, item) }}</p>
    <PlainTable v-if="sorted.length" class="tight">
      <thead>
        <tr>
          <th>Option</th>
          <th>Listings sold, 95&nbsp;%</th>
          <th class="num">Against the rest</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="o in shown" :key="`${o.choice} ${o.option}`">
          <td :title="`${o.sold} of ${o.of} listings sold in 30 days`">{{ o.choice }}: {{ o.option }}</td>
          <td><IntervalMark :share="o.share" /></td>
          <td
            class="num"
            :class="o.isLift ? (o.lift.difference > 0 ? 'profit' : 'loss') : 'quiet'"
            :title="`95\u00a0%: ${signedPercent(o.lift.low)} to ${signedPercent(o.lift.high)}`"
          >
            {{ signedPercent(o.lift.difference) }}{{ o.isLift ? '' : ' ?' }}
          </td>
        </tr>
      </tbody>
    </PlainTable>
    <p v-if="sorted.length" class="small quiet">
      Of the listings in {{ item.category }}; “?” where it may be chance (5&nbsp;% false discoveries).
      <BareButton v-if="sorted.length > 6" type="info" class="link" @click="all = !all">
        {{ all ? 'Fewer' : `All ${sorted.length}` }}
      </BareButton>
    </p>
  </article>
</template>
