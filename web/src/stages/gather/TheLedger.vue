<script setup lang="ts">
import { timeFormat } from 'd3'
import { NButton } from 'naive-ui'
import { ref } from 'vue'
import { recordKind } from '@sickle/core/records'
import { isoDay } from '@sickle/core/identity'
import { bytes, count, plural } from '@/shared/format'
import { useAsk } from '@/shared/stores/ask'
import { useWorkspace } from '@/shared/stores/workspace'
import type { ImportEntry } from '@/storage/schema'
import AgeMark from '@/shared/widgets/AgeMark.vue'
import RecordsDrawer from './RecordsDrawer.vue'
import RejectedRows from './RejectedRows.vue'
import BareButton from '@/shared/widgets/BareButton.vue'
import PlainTable from '@/shared/widgets/PlainTable.vue'

const workspace = useWorkspace()
const { ask } = useAsk()
const looking = ref<ImportEntry | null>(null)
const reading = ref<ImportEntry | null>(null)
const when = timeFormat('%Y-%m-%d %H:%M')

async function remove(entry: ImportEntry) {
  const yes = await ask({
    title: `Remove ${entry.file}?`,
    content: `Its ${plural(entry.rows, 'record')} leave the workspace. Decisions, prices and drafts stay. The file itself is not touched.`,
    yes: 'Remove',
    no: 'Keep',
  })
  if (yes) await workspace.remove(entry.id)
}
</script>

<template>
  <section class="panel" aria-label="Ledger">
    <PlainTable>
      <thead>
        <tr>
          <th>File</th>
          <th>What</th>
          <th>From</th>
          <th class="num">Records</th>
          <th class="num">Not taken</th>
          <th class="num">Left unknown</th>
          <th>Figures up to</th>
          <th class="num">Window</th>
          <th>Brought in</th>
          <th class="num">Size</th>
          <th><span class="sr-only">Remove</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="e in [...workspace.ledger].reverse()" :key="e.id">
          <td class="file">
            <template v-if="e.spoilt">
              {{ e.file }}
              <div class="small loss">Set aside: {{ e.spoilt }}. Bring the file in again, then remove this one.</div>
            </template>
            <BareButton v-else :title="`See the records of ${e.file}`" @click="reading = e">
              {{ e.file }}
            </BareButton>
          </td>
          <td>{{ recordKind(e.kind).label }}</td>
          <td>{{ e.from ?? 'by column' }}</td>
          <td class="num">{{ count(e.rows) }}</td>
          <td class="num">
            <BareButton v-if="e.rejected" type="info" class="link" @click="looking = e">{{
              count(e.rejected)
            }}</BareButton><template v-else>0</template>
          </td>
          <td class="num">
            <BareButton v-if="e.doubts" type="info" class="link" @click="looking = e">{{
              count(e.doubts)
            }}</BareButton><template v-else>0</template>
          </td>
          <td class="day">{{ isoDay(e.capturedOn) }}<br /><AgeMark :day="e.capturedOn" /></td>
          <td class="num">{{ recordKind(e.kind).hasWindow ? `${e.windowDays} d` : '–' }}</td>
          <td class="quiet day">{{ when(new Date(e.importedAt)) }}</td>
          <td class="num quiet">{{ e.fileBytes > 0 ? bytes(e.fileBytes) : '–' }}</td>
          <td class="num">
            <NButton size="tiny" quaternary :aria-label="`Remove ${e.file}`" @click="remove(e)">Remove</NButton>
          </td>
        </tr>
      </tbody>
    </PlainTable>
    <RecordsDrawer :entry="reading" @close="reading = null" />
    <RejectedRows :entry="looking" @close="looking = null" />
  </section>
</template>

<style scoped>
.plain td {
  vertical-align: middle;
}
.file {
  font-weight: 500;
}
.day {
  white-space: nowrap;
}
.file button:hover {
  text-decoration: underline;
}
section {
  overflow: auto;
  flex: none;
}
/* In a small window the rest is a press away, in the records. */
@media (max-width: 900px) {
  .plain th {
    white-space: normal;
  }
  .plain :is(th, td):is(:nth-child(3), :nth-child(6), :nth-child(8), :nth-child(9), :nth-child(10)) {
    display: none;
  }
  .file {
    overflow-wrap: anywhere;
  }
}
</style>
