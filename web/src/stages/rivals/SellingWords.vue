<script setup lang="ts">
import type { SellingWords } from '@sickle/core/words'
import { count } from '@/shared/format'

/** Words that its better titles use more, and those that the others do. */
defineProps<{ words: SellingWords | null }>()
</script>

<template>
  <p v-if="!words" class="small quiet">
    Too few of its listings are known, or all sell alike: its words cannot be told apart.
  </p>
  <template v-else>
    <p v-for="side in ['more', 'less'] as const" :key="side">
      <span class="quiet">{{ side === 'more' ? 'Better sellers use more: ' : 'The others use more: ' }}</span>
      <template v-if="words[side].length === 0">no word, by more than chance</template>
      <span v-for="w in words[side]" :key="w.word" class="word" :class="side" :title="`z ${w.z.toFixed(1)}`">{{
        w.word
      }}</span>
    </p>
    <p class="small quiet">
      {{ count(words.better) }} of {{ count(words.of) }} titles sell more than the middle one, which sells
      {{ count(words.median) }} in 30 days.
    </p>
  </template>
</template>

<style scoped>
.word {
  display: inline-block;
  margin: 0 6px 2px 0;
  padding: 0 7px;
  border-radius: 10px;
  background: var(--moss-soft);
}
.word.less {
  background: var(--sunk);
  color: var(--quiet);
}
</style>
