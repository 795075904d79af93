<script setup lang="ts">
import { NButton } from 'naive-ui'
import { computed, shallowRef, useTemplateRef, watch } from 'vue'
import { exportFormats, type ExportFormat } from '@sickle/core/exports'
import { recordKind } from '@sickle/core/records'
import { useServices } from '@/services/services'
import { downloadBytes } from '@/shared/download'
import { count } from '@/shared/format'
import { useJobs } from '@/shared/stores/jobs'
import { useTallList } from '@/shared/use-tall-list'
import type { ImportEntry } from '@/storage/schema'
import HouseDrawer from '@/shared/widgets/HouseDrawer.vue'

/** The records of one import as they rest, page by page, and the ways to take them out. */
const { entry } = defineProps<{ entry: ImportEntry | null }>()
const emit = defineEmits<{ close: [] }>()
type Page = {
  total: number
  columns: { name: string; label: string; type: string }[]
  rows: (string | number | null)[][]
}
const pageRows = 100
const services = useServices()
const jobs = useJobs()
const first = shallowRef<Page | null>(null)
const pages = shallowRef(new Map<number, Page['rows']>())
const box = useTemplateRef('box')
const none = new Map<number, number>()
const { rows: visible, total: height } = useTallList(
  box,
  () => ({ count: first.value?.total ?? 0, rowHeight: 28, extra: none }),
  28,
)
watch(
  () => entry,
  async (now) => {
    first.value = null
    pages.value = new Map()
    if (now) await fetchPage(now.id, 0)
  },
)
watch(visible, (list) => {
  for (const at of new Set(list.map((v) => Math.floor(v.index / pageRows))))
    if (entry && first.value && !pages.value.has(at)) void fetchPage(entry.id, at)
})
async function fetchPage(id: string, at: number) {
  pages.value = new Map(pages.value).set(at, [])
  const got = await services.intake.call('records', [id, at * pageRows, pageRows])
  if (entry?.id !== id) return
  pages.value = new Map(pages.value).set(at, got.rows)
  first.value ??= got
}
const rowAt = (index: number) => pages.value.get(Math.floor(index / pageRows))?.[index % pageRows]
const isNumber = (type: string) => type === 'number' || type === 'integer'
const widths = computed(() =>
  (first.value?.columns ?? [])
    .map((c) => (c.name === 'title' ? '280px' : isNumber(c.type) || c.type === 'date' ? '104px' : '150px'))
    .join(' '),
)
async function take(format: ExportFormat) {
  if (!entry) return
  const { file, id, kind } = entry
  const { label, mime } = exportFormats[format]
  const bytes = await jobs.run(`Write ${file} as ${label}`, () =>
    services.intake.call('exportRecords', [id, format, recordKind(kind).label]),
  )
  downloadBytes(`${file.replace(/\.\w+$/, '')}.${format}`, bytes as Uint8Array<ArrayBuffer>, mime)
}
</script>

<template>
  <HouseDrawer
    :show="entry !== null"
    width="min(1080px, 92vw)"
    :title="`${count(first?.total ?? 0)} records of ${entry?.file ?? ''}`"
    body-style="height: 100%; padding: 12px 20px"
    @close="emit('close')"
  >
    <div class="records">
      <div class="row-gap">
        <span class="quiet small">As they were read: amounts in their currency, ratios plain, days as ISO 8601.</span>
        <span class="spring" />
        <span class="small">Save as</span>
        <NButton v-for="(f, name) in exportFormats" :key="name" size="small" @click="take(name)">{{ f.label }}</NButton>
      </div>
      <div ref="box" class="panel tall table" role="table" :aria-rowcount="(first?.total ?? 0) + 1" tabindex="0">
        <div class="line head" role="row" :style="{ gridTemplateColumns: widths }">
          <span v-for="c in first?.columns" :key="c.name" role="columnheader" :class="{ num: isNumber(c.type) }">{{
            c.label
          }}</span>
        </div>
        <div class="rows" :style="{ height: `${height}px` }">
          <div
            v-for="v in visible"
            :key="v.index"
            class="line at"
            role="row"
            :aria-rowindex="v.index + 2"
            :style="{ gridTemplateColumns: widths, transform: `translateY(${v.start}px)` }"
          >
            <span
              v-for="(c, i) in first?.columns"
              :key="c.name"
              role="cell"
              :class="{ num: isNumber(c.type) }"
              :title="String(rowAt(v.index)?.[i] ?? '')"
              >{{ rowAt(v.index)?.[i] ?? (rowAt(v.index) ? '–' : '') }}</span
            >
          </div>
        </div>
      </div>
    </div>
  </HouseDrawer>
</template>

<style scoped>
.records {
  display: flex;
  flex-direction: column;
  gap: 10px;
  height: 100%;
}
.spring {
  flex: 1;
}
.table {
  flex: 1;
  font-size: 12px;
}
.line {
  column-gap: 12px;
  padding: 0 10px;
  height: 28px;
  width: max-content;
}
.line span {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
</style>
