<script setup lang="ts">
import BareButton from '@/shared/widgets/BareButton.vue'

/** Things at the left of a page, one of which is open. */
defineProps<{ label: string; picks: readonly { key: string; title: string; told: string; late?: number }[] }>()
const open = defineModel<string | null>({ required: true })
</script>

<template>
  <nav class="panel scroll" :aria-label="label" tabindex="0">
    <BareButton
      v-for="p in picks"
      :key="p.key"
      class="one"
      :class="{ on: p.key === open }"
      :aria-current="p.key === open ? 'true' : undefined"
      @click="open = p.key"
    >
      <span>{{ p.title }}</span>
      <span class="small quiet"
        >{{ p.told }}<b v-if="p.late" class="late">, {{ p.late }} late</b></span
      >
    </BareButton>
    <slot />
  </nav>
</template>

<style scoped>
.one {
  display: grid;
  gap: 2px;
  justify-items: start;
  justify-content: start;
  width: 100%;
  padding: 7px 12px;
  text-align: left;
  border-bottom: 1px solid var(--line);
}
.one.on {
  background: var(--paper);
  box-shadow: inset 3px 0 var(--slate);
}
.late {
  color: var(--wheat-ink);
}
</style>
