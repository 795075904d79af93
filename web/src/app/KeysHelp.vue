<script setup lang="ts">
import { NModal } from 'naive-ui'
import { activeKeys } from '@/shared/use-keys'

const show = defineModel<boolean>('show', { required: true })
const pretty = (key: string) =>
  key
    .replace('ctrl+', 'Ctrl ')
    .replace('arrow', '')
    .replace(/^./, (c) => c.toUpperCase())
</script>

<template>
  <NModal
    v-model:show="show"
    preset="card"
    title="Keys of this screen"
    style="width: 560px"
    role="dialog"
    aria-label="Keys of this screen"
  >
    <div class="groups">
      <section v-for="group in [...activeKeys].reverse()" :key="group.group">
        <h3>{{ group.group }}</h3>
        <div v-for="b in group.bindings" :key="b.key" class="key">
          <kbd>{{ pretty(b.key) }}</kbd><span>{{ b.label }}</span>
        </div>
      </section>
    </div>
  </NModal>
</template>

<style scoped>
.groups {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 18px;
}
.key {
  display: grid;
  grid-template-columns: 74px 1fr;
  padding: 3px 0;
  font-size: 13px;
}
.key kbd {
  justify-self: start;
}
</style>
