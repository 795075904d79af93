<script setup lang="ts">
import { TriangleAlert } from '@lucide/vue'
import { computed } from 'vue'
import { Problem } from '@sickle/core/problem'
import { plural } from '@/shared/format'
import { useSetAside } from '@/shared/stores/set-aside'
import { useWorkspace } from '@/shared/stores/workspace'
import { useServices } from '@/services/services'
import BareButton from '@/shared/widgets/BareButton.vue'

/** What a seller must know of what rests in this browser: above every stage until it is dealt with. */
const services = useServices()
const workspace = useWorkspace()
const setAside = useSetAside()
const imports = computed(() => {
  const [first, ...more] = workspace.spoilt
  if (!first) return null
  const sentence = new Problem('import-spoilt', { file: first.file, what: first.spoilt ?? '' }).message
  return more.length === 0 ? sentence : `${sentence} So is ${plural(more.length, 'more import', 'more imports')}.`
})
</script>

<template>
  <div v-if="services.isBlocked?.value" class="note" role="alert">
    <TriangleAlert :size="16" aria-hidden="true" />
    <span>A tab with an earlier Sickle holds this workspace. Close it, and this one goes on by itself.</span>
  </div>
  <div v-if="imports" class="note" role="alert">
    <TriangleAlert :size="16" aria-hidden="true" />
    <span>{{ imports }} <RouterLink to="/gather">To the ledger</RouterLink></span>
  </div>
  <div v-for="told in setAside.told" :key="told" class="note" role="alert">
    <TriangleAlert :size="16" aria-hidden="true" />
    <span>{{ told }} <RouterLink to="/settings">To backups</RouterLink></span>
    <BareButton type="info" @click="setAside.read(told)">I have read it</BareButton>
  </div>
</template>

<style scoped>
.note {
  display: flex;
  align-items: center;
  gap: 10px;
  padding: 7px 16px;
  background: var(--wheat-soft);
  border-bottom: 1px solid var(--line);
  font-size: 13px;
}
.note svg {
  flex: none;
  color: var(--clay);
}
.note span {
  flex: 1;
}
.note button {
  text-decoration: underline;
}
</style>
