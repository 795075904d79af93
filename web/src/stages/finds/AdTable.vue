<script setup lang="ts">
import { computed } from 'vue'
import { adFigures, type AdFigure, type AdQuery } from '@sickle/core/social'
import { count, day, percent, plural, signedPercent } from '@/shared/format'
import BareButton from '@/shared/widgets/BareButton.vue'
import GoodsPicture from '@/shared/widgets/GoodsPicture.vue'
import MoreRows from '@/shared/widgets/MoreRows.vue'
import PlainTable from '@/shared/widgets/PlainTable.vue'
import SortHeads from '@/shared/widgets/SortHeads.vue'
import type { AdRow } from '@/workers/ad-methods'

/** Ads in their order. */
const { query, hasScore } = defineProps<{ rows: AdRow[]; found: number; query: AdQuery; hasScore: boolean }>()
defineEmits<{ sort: [by: AdFigure]; more: [] }>()
const chosen = defineModel<string | null>({ required: true })
const shown = computed((): AdFigure[] => [
  'days',
  'growth',
  'views',
  'rate',
  'last',
  ...(hasScore ? (['score'] as const) : []),
])
const words: Partial<Record<AdFigure, string>> = {
  days: 'Days',
  growth: 'Views growing',
  rate: 'Reactions',
  last: 'Last seen',
}
const heads = computed(() =>
  shown.value.map((name) => ({ name, label: words[name] ?? adFigures[name].label, title: adFigures[name].label })),
)
function told(f: AdFigure, { ad }: AdRow): string {
  if (f === 'last') return day(ad.lastSeen)
  const value = adFigures[f].of(ad, 0)
  if (f === 'growth') return signedPercent(value)
  return f === 'rate' ? percent(value, 1) : count(value)
}
</script>

<template>
  <section class="panel scroll" tabindex="0" aria-label="Advertisements">
    <PlainTable class="tight" aria-label="Advertisements">
      <thead>
        <tr>
          <th><span class="sr-only">Picture</span></th>
          <th>Ad, advertiser</th>
          <SortHeads :heads="heads" :by="query.by" :descending="query.descending" @sort="(by) => $emit('sort', by)" />
        </tr>
      </thead>
      <tbody>
        <tr v-for="r in rows" :key="r.ad.key" :class="{ on: r.ad.key === chosen }">
          <td class="picture"><GoodsPicture :src="r.ad.picture" :title="r.ad.title" :size="34" /></td>
          <td>
            <BareButton type="info" class="link" :aria-pressed="r.ad.key === chosen" @click="chosen = r.ad.key">{{
              r.ad.title || r.ad.text || 'without words'
            }}</BareButton>
            <div class="small quiet">
              {{ r.ad.advertiser }}{{ r.ad.state ? ` · ${r.ad.state}` : ''
              }}{{ r.ad.numbers > 1 ? ` · ${plural(r.ad.numbers, 'number')}` : '' }}
            </div>
          </td>
          <td v-for="f in shown" :key="f" class="num">{{ told(f, r) }}</td>
        </tr>
      </tbody>
    </PlainTable>
    <MoreRows :shown="rows.length" :found="found" @more="$emit('more')" />
  </section>
</template>

<style scoped>
section {
  padding: 6px 10px;
}
.picture {
  width: 40px;
}
tr.on {
  background: var(--paper);
}
</style>
