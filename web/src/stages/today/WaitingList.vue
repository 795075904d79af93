<script setup lang="ts">
import { computed } from 'vue'
import { count, plural } from '@/shared/format'
import { useDrafts } from '@/shared/stores/drafts'
import { useQuotes } from '@/shared/stores/quotes'
import { useScans } from '@/shared/stores/scans'
import { useSheaf } from '@/shared/stores/sheaf'
import { useWorkspace } from '@/shared/stores/workspace'
import { waitingOfSuppliers } from './waiting-of-suppliers'

/** What waits for the seller, each line leading to where it is done. */
const workspace = useWorkspace()
const sheaf = useSheaf()
const drafts = useDrafts()
const scans = useScans()
const quotes = useQuotes()
const lines = computed(() => {
  const drafted = new Set(drafts.all.map((d) => d.item))
  const undrafted = sheaf.kept.filter((d) => !drafted.has(d.key)).length
  const rejects = workspace.ledger.filter((e) => e.rejected > 0)
  const lost = rejects.reduce((n, e) => n + e.rejected, 0)
  const resting = scans.list.filter((s) => s.state === 'paused' || s.state === 'failed').length
  const { noRate } = workspace.summary
  return [
    noRate.length > 0 && {
      to: '/settings',
      n: noRate.length,
      text: `No rate for ${noRate.join(', ')}: those prices count for nothing yet`,
      act: 'Enter one',
    },
    sheaf.held.length > 0 && {
      to: '/sheaves',
      n: sheaf.held.length,
      text: `${plural(sheaf.held.length, 'item')} on hold`,
      act: 'Decide',
    },
    undrafted > 0 && {
      to: '/margin',
      n: undrafted,
      text: `${plural(undrafted, 'kept item')} without a draft`,
      act: 'Cost and draft',
    },
    drafts.all.length > 0 && {
      to: '/launch',
      n: drafts.all.length,
      text: `${plural(drafts.all.length, 'draft')} to put up`,
      act: 'Export',
    },
    ...waitingOfSuppliers(quotes),
    resting > 0 && { to: '/gather', n: resting, text: `${plural(resting, 'scan')} at rest`, act: 'Resume' },
    lost > 0 && {
      to: '/gather',
      n: lost,
      text: `${plural(lost, 'row')} of ${plural(rejects.length, 'import')} could not be taken`,
      act: 'Correct',
    },
    sheaf.kept.length + sheaf.held.length === 0 && {
      to: '/finds',
      n: workspace.summary.items,
      text: `${count(workspace.summary.items)} items, and nothing kept yet`,
      act: 'Look through',
    },
  ].filter((l) => l !== false)
})
</script>

<template>
  <section class="panel" aria-label="Waiting for you">
    <h2>Waiting for you</h2>
    <p v-if="lines.length === 0" class="quiet small">Nothing waits.</p>
    <RouterLink v-for="l in lines" :key="l.text" :to="l.to" class="line">
      <span>{{ l.text }}</span>
      <b>{{ l.act }}</b>
    </RouterLink>
  </section>
</template>

<style scoped>
section {
  padding: 12px 14px;
}
.line {
  display: flex;
  justify-content: space-between;
  gap: 12px;
  padding: 6px 0;
  color: var(--ink);
  font-size: 14px;
  text-decoration: none;
  border-top: 1px solid var(--line);
}
.line b {
  color: var(--moss);
  font-weight: 600;
}
.line:hover b {
  text-decoration: underline;
}
</style>
