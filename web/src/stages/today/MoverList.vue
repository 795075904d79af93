<script setup lang="ts">
import type { FindRow } from '@sickle/core/engine'
import TrendLine from '@/shared/charts/TrendLine.vue'
import { count, signedPercent } from '@/shared/format'
import GoodsPicture from '@/shared/widgets/GoodsPicture.vue'
import GradeMark from '@/shared/widgets/GradeMark.vue'
import BareButton from '@/shared/widgets/BareButton.vue'

/** Items that move most in units, a line each; a line leads to the item. */
const { before } = defineProps<{ title: string; none: string; rows: FindRow[]; before: string[] | null }>()
defineEmits<{ open: [key: string] }>()
/** Beyond fourfold a factor says more than a percentage. */
const pace = (growth: number | null) =>
  growth !== null && growth >= 3 ? `×${count(Math.round(1 + growth))}` : signedPercent(growth)
const isNew = (key: string) => before !== null && !before.includes(key)
</script>

<template>
  <section class="panel" :aria-label="title">
    <h2>{{ title }} <span class="quiet small">by units moved, 28 days against the 28 before</span></h2>
    <p v-if="rows.length === 0" class="quiet small">{{ none }}</p>
    <BareButton v-for="r in rows" :key="r.key" class="line" @click="$emit('open', r.key)">
      <GoodsPicture :src="r.picture" :title="r.title" :size="26" />
      <span class="title">{{ r.title }} <b v-if="isNew(r.key)" class="new">new here</b></span>
      <TrendLine :values="r.trend" :stage="r.stage" />
      <span class="stage">{{ r.stage }}</span>
      <span class="num"
        >{{ count(r.units) }}<GradeMark :grade="r.unitsGrade" /> <span class="quiet small">in 30 d</span></span
      >
      <span class="num growth" :class="{ profit: (r.growth ?? 0) > 0, loss: (r.growth ?? 0) < 0 }">{{
        pace(r.growth)
      }}</span>
    </BareButton>
  </section>
</template>

<style scoped>
section {
  padding: 12px 14px;
}
h2 span {
  font: 400 12px var(--text);
}
.line {
  display: grid;
  grid-template-columns: 26px minmax(0, 1fr) 84px 68px 92px 58px;
  gap: 10px;
  align-items: center;
  width: 100%;
  padding: 4px 0;
  text-align: left;
  font-size: 13px;
  border-top: 1px solid var(--line);
}
.line:hover .title {
  text-decoration: underline;
}
.title {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.new {
  color: var(--wheat-ink);
  font-weight: 600;
  font-size: 12px;
}
.stage {
  font-size: 12px;
  color: var(--quiet);
}
.num {
  text-align: right;
  white-space: nowrap;
}
</style>
