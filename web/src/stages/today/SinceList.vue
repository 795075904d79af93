<script setup lang="ts">
import { timeFormat } from 'd3'
import { computed } from 'vue'
import { recordKind } from '@sickle/core/records'
import { describePlan, kindOfPlan } from '@sickle/core/scan'
import { plural } from '@/shared/format'
import { useVisits } from '@/shared/stores/visits'
import { useScans } from '@/shared/stores/scans'
import { useWorkspace } from '@/shared/stores/workspace'

/** Jobs done since the last look: imports and scans, newest first. */
const workspace = useWorkspace()
const scans = useScans()
const visits = useVisits()
const since = computed(() => visits.before?.at ?? 0)
const when = timeFormat('%-d %b, %H:%M')
const lines = computed(() =>
  [
    ...workspace.ledger
      .filter((e) => e.importedAt > since.value && !scans.list.some((s) => s.id === e.id))
      .map((e) => ({
        key: e.id,
        at: e.importedAt,
        text: e.file,
        note: `${plural(e.rows, ...recordKind(e.kind).noun)}${e.from ? ` from ${e.from}` : ''}`,
      })),
    ...scans.list
      .filter((s) => (s.endedAt ?? s.startedAt) > since.value)
      .map((s) => ({
        key: s.id,
        at: s.endedAt ?? s.startedAt,
        text: `Scan of ${describePlan(s.plan)}`,
        note:
          s.state === 'done'
            ? `${plural(s.taken, ...kindOfPlan(s.plan).noun)}${s.before && kindOfPlan(s.plan).name === 'listings' ? '; see what changed' : ''}`
            : s.state,
      })),
  ].sort((a, b) => b.at - a.at),
)
</script>

<template>
  <section class="panel" aria-label="Jobs done">
    <h2>Jobs done</h2>
    <p v-if="lines.length === 0" class="quiet small">Nothing was brought in since the last look.</p>
    <RouterLink v-for="l in lines.slice(0, 14)" :key="l.key" to="/gather" class="line">
      <span class="title">{{ l.text }}</span>
      <span class="quiet small">{{ l.note }}</span>
      <span class="quiet small">{{ when(new Date(l.at)) }}</span>
    </RouterLink>
  </section>
</template>

<style scoped>
section {
  padding: 12px 14px;
}
.line {
  display: flex;
  gap: 12px;
  align-items: baseline;
  padding: 5px 0;
  color: var(--ink);
  font-size: 13px;
  text-decoration: none;
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
