<script setup lang="ts">
import { computed } from 'vue'
import type { LikenessPart } from '@sickle/core/supply'

/** One part of a likeness: what both say, and what only either says. */
const { part } = defineProps<{ part: LikenessPart }>()
const labels: Record<LikenessPart['part'], string> = {
  barcode: 'Barcode',
  words: 'Words',
  figures: 'Size, colour',
  pack: 'Pack',
  brand: 'Brand',
  price: 'Price',
}
const sign = computed(() => (part.speaksFor === null ? '·' : part.speaksFor ? '✓' : '✗'))
const isSilent = computed(() => part.both.length + part.mine.length + part.theirs.length === 0)
const silence = computed(() => {
  if (part.part !== 'price') return 'nothing said'
  if (part.speaksFor === null) return 'not known'
  return part.speaksFor ? 'goes with what it sells for' : 'hardly goes with what it sells for'
})
</script>

<template>
  <span class="part" :class="{ for: part.speaksFor === true, against: part.speaksFor === false }">
    <span class="sign" aria-hidden="true">{{ sign }}</span><span class="quiet">{{ labels[part.part] }}</span>
    <span v-if="isSilent" class="quiet">{{ silence }}</span>
    <span v-else
      >{{ part.both.join(' ')
      }}<del v-if="part.mine.length" title="only the item says so">{{ part.mine.join(' ') }}</del
      ><ins v-if="part.theirs.length" title="only the offer says so">{{ part.theirs.join(' ') }}</ins></span
    >
  </span>
</template>

<style scoped>
.part {
  display: inline-flex;
  gap: 4px;
  align-items: baseline;
  font-size: 12px;
}
.sign {
  width: 10px;
  font-weight: 700;
  color: var(--quiet);
}
.for .sign {
  color: var(--moss);
}
.against .sign {
  color: var(--clay);
}
del,
ins {
  text-decoration: none;
  margin-left: 4px;
  padding: 0 3px;
  border-radius: 3px;
}
del {
  background: var(--wheat-soft);
}
del::before {
  content: 'item: ';
  color: var(--quiet);
}
ins {
  background: var(--slate-soft);
}
ins::before {
  content: 'offer: ';
  color: var(--quiet);
}
</style>
