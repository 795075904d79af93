<script setup lang="ts">
import { NButton } from 'naive-ui'
import { computed } from 'vue'
import { recordKind } from '@sickle/core/records'
import { useKeys } from '@/shared/use-keys'
import { plural } from '@/shared/format'
import ColumnTable from './ColumnTable.vue'
import FileFacts from './FileFacts.vue'
import ImportHints from './ImportHints.vue'
import PreviewTable from './PreviewTable.vue'
import { useGather } from './gather-store'

const gather = useGather()
const now = computed(() => gather.current!)
const ready = computed(() => gather.openQuestions.length === 0 && gather.missing.length === 0)
useKeys('This import', [
  { key: 'ctrl+enter', label: 'Bring the file in', always: true, run: () => void gather.bring() },
  { key: 'escape', label: 'Leave the file out', run: () => void gather.skip() },
])
</script>

<template>
  <section class="review" aria-label="Import">
    <header>
      <div>
        <h1>{{ now.file.name }}</h1>
        <p class="quiet small">
          {{ recordKind(now.mapping.kind).row }}<template v-if="now.remembered"> · read as you set it before</template>
          <template v-if="gather.waiting.length"> · {{ plural(gather.waiting.length, 'more file') }} waiting</template>
        </p>
      </div>
      <span class="spring" />
      <p v-if="gather.missing.length" class="loss small">Choose a column for: {{ gather.missing.join(', ') }}</p>
      <p v-else-if="gather.openQuestions.length" class="ask small">
        {{ plural(gather.openQuestions.length, 'question') }} to answer
      </p>
      <NButton @click="gather.skip()">Leave out</NButton>
      <NButton type="primary" :disabled="!ready" @click="gather.bring()">Bring in</NButton>
    </header>
    <div class="two">
      <FileFacts class="panel facts scroll" />
      <div class="right">
        <ImportHints />
        <ColumnTable class="panel scroll" />
        <PreviewTable class="panel scroll" />
      </div>
    </div>
  </section>
</template>

<style scoped>
.review {
  display: grid;
  grid-template-rows: auto minmax(0, 1fr);
  gap: 12px;
  height: 100%;
}
header {
  display: flex;
  align-items: center;
  gap: 12px;
}
.spring {
  flex: 1;
}
.ask {
  color: var(--wheat-ink);
  font-weight: 600;
}
.two {
  display: grid;
  grid-template-columns: 290px minmax(0, 1fr);
  gap: 12px;
  min-height: 0;
}
.right {
  display: flex;
  flex-direction: column;
  gap: 12px;
  min-height: 0;
}
.right > .panel {
  flex: 1.25 1 0;
  min-height: 0;
}
.right > .panel:last-child {
  flex-grow: 1;
}
.facts {
  padding: 14px;
}
</style>
