<script setup lang="ts">
import { NButton } from 'naive-ui'
import { recordKinds, template, type KindName } from '@sickle/core/records'
import { useServices } from '@/services/services'
import { downloadBytes, downloadText } from '@/shared/download'
import { useJobs } from '@/shared/stores/jobs'
import HousePopover from '@/shared/widgets/HousePopover.vue'
import BareButton from '@/shared/widgets/BareButton.vue'

/** Under the ledger: empty files to fill in, and all data in one open package. */
const services = useServices()
const jobs = useJobs()
const take = (kind: KindName) => downloadText(`${kind}-template.csv`, template(kind), 'text/csv')
async function save() {
  const bytes = await jobs.run('Write all data as a Data Package', ({ report }) =>
    services.intake.call('exportPackage', [services.now()], { onProgress: (p) => report(p as number) }),
  )
  const day = new Date(services.now()).toISOString().slice(0, 10)
  downloadBytes(`sickle-data-${day}.zip`, bytes as Uint8Array<ArrayBuffer>, 'application/zip')
}
</script>

<template>
  <div class="foot row-gap">
    <HousePopover label="Templates" placement="top-start">
      <template #trigger><NButton size="small">Templates</NButton></template>
      <p class="small quiet">Headings that Sickle knows for certain, and a row as an example.</p>
      <ul>
        <li v-for="k in recordKinds" :key="k.name">
          <BareButton @click="take(k.name)">
            <b>{{ k.label }}</b> <span class="quiet small">{{ k.row }}</span>
          </BareButton>
        </li>
      </ul>
    </HousePopover>
    <NButton size="small" @click="save">Save all data</NButton>
    <span class="quiet small">as a Data Package: a CSV file of each import, with a description of every column</span>
  </div>
</template>

<style scoped>
.foot {
  align-items: center;
}
ul {
  list-style: none;
  margin: 6px 0 0;
  padding: 0;
  max-width: 520px;
}
li button {
  text-align: left;
  padding: 3px 0;
}
li button:hover b {
  text-decoration: underline;
}
</style>
