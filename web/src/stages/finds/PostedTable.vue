<script setup lang="ts">
import { computed } from 'vue'
import { clipFigures, type ClipFigure, type ClipQuery } from '@sickle/core/social'
import { amount, count, currencySign, day } from '@/shared/format'
import { useRules } from '@/shared/stores/rules'
import ItemLink from '@/shared/widgets/ItemLink.vue'
import MoreRows from '@/shared/widgets/MoreRows.vue'
import PlainTable from '@/shared/widgets/PlainTable.vue'
import SortHeads from '@/shared/widgets/SortHeads.vue'
import type { PostedRow } from '@/workers/clip-methods'

/** Clips and lives in their order, each with the item that it shows. */
const { query } = defineProps<{ rows: PostedRow[]; found: number; query: ClipQuery }>()
defineEmits<{ sort: [by: ClipFigure]; more: [] }>()
const rules = useRules()
const shown: ClipFigure[] = ['day', 'views', 'likes', 'comments', 'units', 'revenue', 'perThousand']
/** who made it, and how: what is known of it */
const how = ({ clip }: PostedRow) =>
  [
    clip.creator,
    clip.isLive ? 'live' : null,
    clip.isPaid ? 'paid' : null,
    clip.length === null
      ? null
      : clip.length < 120
        ? `${clip.length}\u00a0s`
        : `${count(Math.round(clip.length / 60))}\u00a0min`,
    clip.hour === null ? null : `at\u00a0${clip.hour}\u00a0h`,
  ]
    .filter((part) => part !== null)
    .join(' · ')
const isMoney = (figure: ClipFigure) => figure === 'revenue' || figure === 'perThousand'
const heading = (figure: ClipFigure) =>
  `${clipFigures[figure].label}${isMoney(figure) ? `, ${currencySign(rules.home)}` : ''}`
const heads = computed(() => shown.map((name) => ({ name, label: heading(name) })))
const told = (figure: ClipFigure, { clip }: PostedRow) => {
  const value = clipFigures[figure].of(clip, 0)
  if (figure === 'day') return day(value)
  return isMoney(figure) ? amount(value === null ? null : Math.round(value * 10_000), rules.home) : count(value)
}
</script>

<template>
  <section class="panel scroll" tabindex="0" aria-label="Clips and lives">
    <PlainTable class="tight" aria-label="Clips and lives">
      <thead>
        <tr>
          <th>Clip, creator</th>
          <SortHeads :heads="heads" :by="query.by" :descending="query.descending" @sort="(by) => $emit('sort', by)" />
        </tr>
      </thead>
      <tbody>
        <tr v-for="r in rows" :key="r.clip.key">
          <td>
            <a v-if="r.clip.url" :href="r.clip.url" target="_blank" rel="noopener noreferrer">{{ r.clip.title }}</a>
            <template v-else>{{ r.clip.title || 'without a title' }}</template>
            <div class="small quiet">
              {{ how(r) }}
            </div>
            <div class="small">
              <ItemLink v-if="r.item" :item-key="r.item.key" :title="r.item.title" />
              <span v-else class="quiet">its item is not gathered</span>
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
td:first-child {
  min-width: 190px;
}
section {
  padding: 6px 10px;
}
</style>
