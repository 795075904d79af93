<script setup lang="ts">
import { timeFormat } from 'd3'
import { ref } from 'vue'
import { describePlan, kindOfPlan, limitLabels, type LimitName, type ScanEntry } from '@sickle/core/scan'
import { count } from '@/shared/format'
import { progressNote, useScans } from '@/shared/stores/scans'
import ScanChanges from './ScanChanges.vue'
import BareButton from '@/shared/widgets/BareButton.vue'
import PlainTable from '@/shared/widgets/PlainTable.vue'

/** Scans that run, rest or are done, newest first, with what can be done about each. */
const scans = useScans()
const looking = ref<ScanEntry | null>(null)
const when = timeFormat('%Y-%m-%d %H:%M')
const words = { running: 'running', paused: 'paused', failed: 'stopped', done: 'done' }
const why = (scan: ScanEntry) =>
  Object.entries(scan.discarded)
    .map(([limit, n]) => `${count(n)} ${limitLabels[limit as LimitName]}`)
    .join(', ')
const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1)
</script>

<template>
  <section v-if="scans.list.length" class="panel" aria-label="Scans">
    <PlainTable>
      <thead>
        <tr>
          <th>Scan</th>
          <th>Source</th>
          <th>State</th>
          <th>How far</th>
          <th>Begun</th>
          <th><span class="sr-only">Acts</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="s in scans.list" :key="s.id">
          <td class="what">{{ capital(describePlan(s.plan)) }}</td>
          <td>{{ s.market ?? s.plan.source }}</td>
          <td :class="{ loss: s.state === 'failed' }">{{ words[s.state] }}</td>
          <td :title="why(s)">
            <span v-if="s.state !== 'done' && s.pages" class="bar"
              ><i :style="{ width: `${(100 * s.pagesDone) / s.pages}%` }"
            /></span>
            <span class="small">{{ progressNote(s) }}</span>
            <span v-if="s.note" class="small loss note">{{ s.note }}</span>
          </td>
          <td class="quiet">{{ when(new Date(s.startedAt)) }}</td>
          <td class="acts">
            <BareButton v-if="s.state === 'running'" type="info" @click="scans.pause(s.id)">Pause</BareButton>
            <BareButton v-if="s.state === 'paused' || s.state === 'failed'" type="info" @click="scans.resume(s)">
              Resume
            </BareButton>
            <BareButton
              v-if="s.state === 'done' && s.before && kindOfPlan(s.plan).name === 'listings'"
              type="info"
              @click="looking = s"
            >
              What changed
            </BareButton>
            <BareButton v-if="s.state === 'done'" type="info" @click="scans.again(s)">Run again</BareButton>
            <BareButton
              type="info"
              :aria-label="`Forget the scan of ${describePlan(s.plan)}`"
              @click="scans.cancel(s.id)"
            >
              {{ s.state === 'done' ? 'Forget' : 'Cancel' }}
            </BareButton>
          </td>
        </tr>
      </tbody>
    </PlainTable>
    <ScanChanges :scan="looking" @close="looking = null" />
  </section>
</template>

<style scoped>
section {
  flex: none;
  max-height: 210px;
  overflow: auto;
}
.what {
  font-weight: 500;
}
.bar {
  display: inline-block;
  width: 90px;
  height: 5px;
  border-radius: 3px;
  background: var(--sunk);
  overflow: hidden;
  margin-right: 8px;
  vertical-align: middle;
}
.bar i {
  display: block;
  height: 100%;
  background: var(--slate);
}
.note {
  display: block;
}
.acts {
  text-align: right;
  white-space: nowrap;
}
.acts button {
  font-size: 12px;
  text-decoration: underline;
  margin-left: 10px;
}
</style>
