<script setup lang="ts">
import { useLive } from '@/shared/stores/live'
import { useRules } from '@/shared/stores/rules'
import { useSheaf } from '@/shared/stores/sheaf'
import ProfitFigure from '@/shared/widgets/ProfitFigure.vue'
import GoodsPicture from '@/shared/widgets/GoodsPicture.vue'

defineProps<{ current: string }>()
const sheaf = useSheaf()
const rules = useRules()
const live = useLive()
</script>

<template>
  <nav class="picks" aria-label="Kept and held items">
    <template v-for="[title, list] in [['Kept', sheaf.kept] as const, ['Held', sheaf.held] as const]" :key="title">
      <h3 v-if="list.length">{{ title }}</h3>
      <RouterLink
        v-for="d in list"
        :key="d.key"
        :to="`/margin/${encodeURIComponent(d.key)}`"
        class="pick"
        :class="{ on: d.key === current }"
      >
        <GoodsPicture :src="d.snapshot.picture" :title="d.snapshot.title" :size="28" />
        <span class="title">{{ d.snapshot.title }}</span>
        <ProfitFigure
          class="small num"
          :e4="live.of(d).profitE4"
          :currency="rules.home"
          :assumed="live.of(d).assumed"
        />
      </RouterLink>
    </template>
    <p v-if="!sheaf.kept.length && !sheaf.held.length" class="quiet small">Items you keep or hold are listed here.</p>
  </nav>
</template>

<style scoped>
.picks {
  padding: 12px 8px;
}
h3 {
  padding: 4px 6px;
}
.pick {
  display: grid;
  grid-template-columns: 28px minmax(0, 1fr) auto;
  gap: 8px;
  align-items: center;
  padding: 4px 6px;
  border-radius: 6px;
  color: var(--ink);
  text-decoration: none;
  font-size: 12.5px;
  line-height: 1.25;
}
.pick:hover {
  background: var(--sunk);
}
.pick.on {
  background: var(--slate-soft);
}
.title {
  overflow: hidden;
  display: -webkit-box;
  -webkit-line-clamp: 2;
  -webkit-box-orient: vertical;
}
p {
  padding: 8px;
}
</style>
