<script setup lang="ts">
import { NButton } from 'naive-ui'
import { ref } from 'vue'
import { useRouter } from 'vue-router'
import { useServices } from '@/services/services'
import { useJobs } from '@/shared/stores/jobs'
import { useRules } from '@/shared/stores/rules'
import { useWriteLock } from '@/shared/stores/write-lock'
import { useWorkspace } from '@/shared/stores/workspace'
import { useAfterPaint } from '@/shared/use-after-paint'
import DropField from './DropField.vue'
import FileOpening from './FileOpening.vue'
import FirstDoors from './FirstDoors.vue'
import ImportReview from './ImportReview.vue'
import LedgerFoot from './LedgerFoot.vue'
import ScanForm from './ScanForm.vue'
import ScanList from './ScanList.vue'
import TheLedger from './TheLedger.vue'
import { useGather } from './gather-store'
import { bringDemoFile, demoIndex, demoRules } from './load-demo'
import BareButton from '@/shared/widgets/BareButton.vue'

const gather = useGather()
const workspace = useWorkspace()
const services = useServices()
const jobs = useJobs()
const rules = useRules()
const writeLock = useWriteLock()
const router = useRouter()
const isPainted = useAfterPaint(() => true)
const demo = ref<'idle' | 'loading'>('idle')

async function loadDemo() {
  writeLock.assertWriter()
  demo.value = 'loading'
  try {
    const index = await demoIndex()
    await rules.begin(demoRules(index))
    await Promise.all(
      index.files.map((file) => jobs.run(file.label, (context) => bringDemoFile(services, file, context))),
    )
    await workspace.renew()
    await router.push('/finds')
  } finally {
    demo.value = 'idle'
    await workspace.reload()
  }
}
</script>

<template>
  <div class="page scroll">
    <div v-for="(f, i) in gather.failures" :key="i" class="failure" role="alert">
      <span>{{ f.text }}</span>
      <BareButton :aria-label="`Dismiss the message about ${f.file}`" @click="gather.dismiss(i)">✕</BareButton>
    </div>
    <FileOpening v-if="gather.opening" class="panel" />
    <ImportReview v-if="gather.current" :key="gather.current.file.name" />
    <template v-else-if="(workspace.empty || demo === 'loading') && !gather.opening">
      <FirstDoors :busy="demo === 'loading'" @demo="loadDemo" />
      <ScanList />
    </template>
    <p v-else-if="workspace.unread" class="quiet" role="status">Opening …</p>
    <template v-else-if="!gather.opening">
      <header class="head">
        <h1>Gather</h1>
        <span class="quiet">What was brought in, from where, and how fresh it is.</span>
        <span class="spring" />
        <NButton v-if="workspace.state === 'ready'" type="primary" @click="router.push('/finds')"
          >See the finds</NButton
        >
      </header>
      <div class="ways">
        <DropField />
        <ScanForm v-if="isPainted" class="panel way" />
        <div v-else class="panel way" />
      </div>
      <ScanList />
      <TheLedger />
      <LedgerFoot />
    </template>
  </div>
</template>

<style scoped>
.page {
  height: 100%;
  padding: 16px 20px;
  display: flex;
  flex-direction: column;
  gap: 14px;
}
.ways {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 14px;
}
.way {
  min-height: 126px;
  padding: 12px 16px;
}
.head {
  display: flex;
  align-items: baseline;
  gap: 12px;
}
.spring {
  flex: 1;
}
.failure {
  display: flex;
  justify-content: space-between;
  gap: 12px;
  padding: 10px 14px;
  border: 1px solid var(--clay);
  border-radius: 8px;
  background: var(--clay-soft);
}
</style>
