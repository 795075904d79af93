<script setup lang="ts">
import { exportFormats, type ExportFormat } from '@sickle/core/exports'
import { useServices } from '@/services/services'
import { downloadBytes } from '@/shared/download'
import { useJobs } from '@/shared/stores/jobs'
import { plain } from '@/storage/plain'
import ExportAs from '@/shared/widgets/ExportAs.vue'
import type { StoreTableName } from '@/workers/store-tables'
import type { StoreName } from '@/workers/store-source'

/** One of the tables of Rivals as a file. */
const {
  table,
  names,
  file,
  floor = 0,
} = defineProps<{
  table: StoreTableName
  names: () => readonly StoreName[]
  file: string
  disabled?: boolean
  floor?: number
}>()
const services = useServices()
const jobs = useJobs()
const words: Record<StoreTableName, string> = {
  stores: 'These stores with their figures',
  listings: 'All its listings',
  pool: 'What the pool sells',
  themes: 'The themes',
  gaps: 'The gaps, and what may be mine',
  alike: 'These stores, beside me',
}
async function take(format: ExportFormat) {
  const { label, mime } = exportFormats[format]
  const bytes = await jobs.run(`${file} as ${label}`, () =>
    services.engine.call('exportStores', [table, plain([...names()]), floor, format]),
  )
  downloadBytes(`${file}.${format}`, bytes as Uint8Array<ArrayBuffer>, mime)
}
</script>

<template>
  <ExportAs :label="`Export ${file}`" :note="words[table]" :disabled="disabled" @take="take" />
</template>
