<script setup lang="ts">
import { NCheckbox } from 'naive-ui'
import type { Draft } from '@sickle/core/launch'
import { amount, percent } from '@/shared/format'
import { useDrafts } from '@/shared/stores/drafts'
import GoodsPicture from '@/shared/widgets/GoodsPicture.vue'
import ProfitFigure from '@/shared/widgets/ProfitFigure.vue'
import BareButton from '@/shared/widgets/BareButton.vue'
import PlainTable from '@/shared/widgets/PlainTable.vue'

const drafts = useDrafts()
const obstacles = (draft: Draft) => drafts.obstaclesOf(draft)
function wordOf(draft: Draft): string {
  const [first = ''] = obstacles(draft)
  if (first.startsWith('You dropped')) return 'dropped'
  return first.startsWith('It may not') ? 'not allowed' : first.startsWith('It needs') ? 'needs approval' : 'to mend'
}
const chosen = defineModel<string[]>('chosen', { required: true })
const current = defineModel<string | null>('current', { required: true })
const toggle = (id: string) =>
  (chosen.value = chosen.value.includes(id) ? chosen.value.filter((c) => c !== id) : [...chosen.value, id])
const all = () => (chosen.value = chosen.value.length === drafts.all.length ? [] : drafts.all.map((d) => d.id))
</script>

<template>
  <div tabindex="0" role="region" aria-label="Drafts">
    <PlainTable>
      <thead>
        <tr>
          <th>
            <NCheckbox
              aria-label="Choose all drafts"
              :checked="chosen.length === drafts.all.length"
              :indeterminate="chosen.length > 0 && chosen.length < drafts.all.length"
              @update:checked="all"
            />
          </th>
          <th>Draft</th>
          <th class="num">Price</th>
          <th class="num">Expected profit</th>
          <th>State</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="d in drafts.all" :key="d.id" :class="{ on: d.id === current }" @click="current = d.id">
          <td>
            <NCheckbox
              :aria-label="`Choose ${d.title}`"
              :checked="chosen.includes(d.id)"
              @click.stop
              @update:checked="toggle(d.id)"
            />
          </td>
          <td>
            <div class="item">
              <GoodsPicture :src="d.picture" :title="d.title" :size="30" /><BareButton @click="current = d.id">
                {{ d.title || 'Without title' }}<br /><span class="small quiet">{{ d.market }}</span>
              </BareButton>
            </div>
          </td>
          <td class="num">{{ d.currency }} {{ amount(d.priceE4, d.currency) }}</td>
          <td class="num">
            <ProfitFigure :e4="d.profitE4" :currency="d.profitCurrency" :assumed="d.assumed" />
            <span class="quiet small unit">{{ d.profitCurrency }}</span><br /><span class="quiet small">{{
              percent(d.margin)
            }}</span>
          </td>
          <td>
            <span v-if="obstacles(d).length" class="loss" :title="obstacles(d).join('. ')">{{ wordOf(d) }}</span>
            <span v-else-if="d.profitE4 === null" class="unknown" title="Its cost is not known, so neither is its floor"
              >cost not known</span
            >
            <span v-else-if="drafts.adviceOf(d)" class="unknown" :title="drafts.adviceOf(d) ?? ''">no sample yet</span>
            <span v-else class="profit">ready</span>
          </td>
        </tr>
      </tbody>
    </PlainTable>
  </div>
</template>

<style scoped>
.unit {
  margin-left: 4px;
}
.unknown {
  color: var(--wheat-ink);
}
thead th {
  position: sticky;
  top: 0;
  background: var(--panel);
  z-index: 1;
}
tr {
  cursor: pointer;
}
tr.on td {
  background: var(--slate-soft);
}
tr td {
  vertical-align: middle;
}
.item {
  display: flex;
  gap: 10px;
  align-items: center;
  font-weight: 500;
  line-height: 1.25;
}
</style>
