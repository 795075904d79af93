<script setup lang="ts">
import type { SinceDecided } from '@sickle/core/verdict'
import { count, signed } from '@/shared/format'
import { useRules } from '@/shared/stores/rules'
import BareButton from '@/shared/widgets/BareButton.vue'

/** What has become of what is kept or held since it was decided. */
defineProps<{ changes: SinceDecided[]; watched: number }>()
defineEmits<{ open: [key: string] }>()
const rules = useRules()
</script>

<template>
  <section class="panel" aria-label="Kept and held">
    <h2>Kept and held <span class="quiet small">since each was decided</span></h2>
    <p v-if="changes.length === 0" class="quiet small">
      {{
        watched === 0 ? 'Nothing is kept or held in this sheaf yet.' : `Nothing of note changed in ${count(watched)}.`
      }}
    </p>
    <BareButton v-for="c in changes" :key="c.key" class="line" @click="$emit('open', c.key)">
      <span class="title">{{ c.title }}</span>
      <span v-if="c.gone" class="loss">its data are gone</span>
      <span v-if="c.profit" class="num"
        >profit {{ signed(c.profit[0], rules.home) }} →
        <b :class="c.profit[1] < c.profit[0] ? 'loss' : 'profit'">{{ signed(c.profit[1], rules.home) }}</b></span
      >
      <span v-if="c.units" class="num"
        >units {{ count(c.units[0]) }} →
        <b :class="c.units[1] < c.units[0] ? 'loss' : 'profit'">{{ count(c.units[1]) }}</b></span
      >
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
  display: flex;
  gap: 16px;
  width: 100%;
  padding: 5px 0;
  text-align: left;
  font-size: 13px;
  border-top: 1px solid var(--line);
}
.line:hover .title {
  text-decoration: underline;
}
.title {
  flex: 1;
  min-width: 0;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
</style>
