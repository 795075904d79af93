<script setup lang="ts">
import { useFileDialog } from '@vueuse/core'
import { NButton, NSpin, useMessage } from 'naive-ui'
import { ref } from 'vue'
import { useServices } from '@/services/services'
import { downloadBytes } from '@/shared/download'
import { bytes as size } from '@/shared/format'
import { toProblem } from '@/shared/problem'
import { useAsk } from '@/shared/stores/ask'
import { useJobs } from '@/shared/stores/jobs'
import { useWriteLock } from '@/shared/stores/write-lock'
import HouseModal from '@/shared/widgets/HouseModal.vue'

const services = useServices()
const jobs = useJobs()
const writeLock = useWriteLock()
const message = useMessage()
const { ask } = useAsk()
async function save() {
  const { bytes, left } = await jobs.run('Write the backup', () => services.intake.call('backup', []))
  downloadBytes(
    `sickle-${new Date(services.now()).toISOString().slice(0, 10)}.sickle`,
    bytes as Uint8Array<ArrayBuffer>,
    'application/zip',
  )
  if (left.length === 0) return void message.success(`Backup written, ${size(bytes.length)}`)
  const without = `Without ${left.join(', ')}: what is kept of it is not as it was brought in.`
  message.warning(`Backup written, ${size(bytes.length)}. ${without}`, { duration: 0, closable: true })
}
const files = useFileDialog({ accept: '.sickle,.zip', multiple: false })
files.onChange((list) => {
  const file = list?.[0]
  files.reset()
  // what was said of the last file would lie over the question about this one
  message.destroyAll()
  if (file)
    void ask({
      title: 'Put the backup in place of this workspace?',
      content: `Everything here is replaced by what ${file.name} holds. A damaged file changes nothing.`,
      yes: 'Replace',
      no: 'Leave as it is',
    }).then((yes) => void (yes && restore(file)))
})
/** the file that is put in place: nothing else is done meanwhile, as it would be lost */
const restoring = ref<string | null>(null)
async function restore(file: File) {
  restoring.value = file.name
  try {
    writeLock.assertWriter()
    await jobs.run(`Restore ${file.name}`, () => services.intake.call('restore', [file]))
    writeLock.tell({ about: 'everything' })
    location.reload()
  } catch (thrown) {
    restoring.value = null
    message.error(toProblem(thrown).message, { duration: 0, closable: true })
  }
}
</script>

<template>
  <section aria-label="Backup">
    <h2>Backup</h2>
    <p class="small quiet">
      The whole workspace, files brought in, decisions, rules and drafts, in one file and back. Nothing leaves this
      browser otherwise.
    </p>
    <div class="row-gap">
      <NButton type="primary" size="small" @click="save">Write a backup</NButton>
      <NButton size="small" @click="files.open()">Restore one</NButton>
    </div>
    <HouseModal :show="restoring !== null" held title="Putting the backup in place" :width="420">
      <p class="row-gap" role="status">
        <NSpin :size="16" /> {{ restoring }} is checked, then put in place of what is here.
      </p>
    </HouseModal>
  </section>
</template>
