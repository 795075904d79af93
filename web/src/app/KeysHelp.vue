<script setup lang="ts">
import { activeKeys } from '@/shared/use-keys'
import HouseModal from '@/shared/widgets/HouseModal.vue'

const show = defineModel<boolean>('show', { required: true })
const pretty = (key: string) =>
  key
    .replace('ctrl+', 'Ctrl ')
    .replace('arrow', '')
    .replace(/^./, (c) => c.toUpperCase())
</script>

<template>
  <HouseModal v-model:show="show" title="Keys of this screen" :width="560">
    <div class="groups">
      <section v-for="group in [...activeKeys].reverse()" :key="group.group">
        <h3>{{ group.group }}</h3>
        <div v-for="b in group.bindings" :key="b.key" class="key">
          <kbd>{{ pretty(b.key) }}</kbd><span>{{ b.label }}</span>
        </div>
      </section>
    </div>
  </HouseModal>
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
