<script setup lang="ts">
import { NButton } from 'naive-ui'
import { computed } from 'vue'
import { recordKinds } from '@sickle/core/records'
import { rejectedAsTable } from '@sickle/core/intake'
import { writeCsv } from '@sickle/core/notation'
import { useServices } from '@/services/services'
import { downloadText } from '@/shared/download'
import { plural } from '@/shared/format'
import { toProblem } from '@/shared/problem'
import type { ImportEntry, Rejects } from '@/storage/schema'
import { readRejects } from '@/storage/imports'
import HouseDrawer from '@/shared/widgets/HouseDrawer.vue'
import PlainTable from '@/shared/widgets/PlainTable.vue'
import { useLatest } from '@/shared/use-latest'

const { entry } = defineProps<{ entry: ImportEntry | null }>()
const emit = defineEmits<{ close: [] }>()
const services = useServices()
const got = useLatest([() => entry], async () => entry && read(entry), { isClearedFirst: true })
const rejects = computed(() => got.value?.rejects ?? null)
const fault = computed(() => got.value?.fault ?? '')
async function read(of: ImportEntry): Promise<{ rejects: Rejects | null; fault: string }> {
  try {
    return { rejects: await readRejects(await services.database(), of), fault: '' }
  } catch (thrown) {
    return { rejects: null, fault: toProblem(thrown).message }
  }
}
function download() {
  if (!rejects.value || !entry) return
  downloadText(
    `not-taken-${entry.file.replace(/\.\w+$/, '')}.csv`,
    writeCsv(rejectedAsTable(rejects.value.headings, rejects.value.rejected)),
    'text/csv',
  )
}
const label = (field: string) =>
  recordKinds.find((k) => k.name === entry?.kind)?.fields.find((f) => f.name === field)?.label ?? field
</script>

<template>
  <HouseDrawer
    :show="entry !== null"
    :width="620"
    :title="`What could not be taken from ${entry?.file ?? ''}`"
    @close="emit('close')"
  >
    <p v-if="fault" class="loss" role="alert">{{ fault }}</p>
    <template v-if="rejects">
      <div v-if="rejects.rejected.length" class="row-gap head">
        <p>
          {{ plural(rejects.rejected.length + rejects.more, 'row') }} left out. Download them, correct them, and bring
          the file in again: it is read the same way.
        </p>
        <NButton size="small" type="primary" @click="download">Download</NButton>
      </div>
      <PlainTable v-if="rejects.rejected.length">
        <thead>
          <tr>
            <th class="num">Row</th>
            <th>Why</th>
            <th>What it holds</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="r in rejects.rejected.slice(0, 200)" :key="r.row">
            <td class="num">{{ r.row }}</td>
            <td>{{ r.reason }}</td>
            <td class="quiet">{{ r.cells.filter((c) => c !== null && c !== '').join(' · ') }}</td>
          </tr>
        </tbody>
      </PlainTable>
      <h3 v-if="rejects.doubts.length" class="head">Single values left unknown; their rows were taken</h3>
      <PlainTable v-if="rejects.doubts.length">
        <thead>
          <tr>
            <th class="num">Row</th>
            <th>Field</th>
            <th>Why</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(d, i) in rejects.doubts.slice(0, 200)" :key="i">
            <td class="num">{{ d.row }}</td>
            <td>{{ label(d.field) }}</td>
            <td>{{ d.reason }}</td>
          </tr>
        </tbody>
      </PlainTable>
    </template>
  </HouseDrawer>
</template>

<style scoped>
.head {
  margin: 8px 0;
}
</style>
