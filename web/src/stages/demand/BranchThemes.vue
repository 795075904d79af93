<script setup lang="ts">
import { computed } from 'vue'
import type { ListingTheme } from '@sickle/core/catalog'
import { dayInWords, plural } from '@/shared/format'
import ThemeTable from '@/shared/widgets/ThemeTable.vue'

/** Narrow themes of a branch: rare words that stand together in its titles, with what sells under them. */
const { found, branch } = defineProps<{ found: { themes: ListingTheme[]; of: number }; branch: string }>()
defineEmits<{ finds: [phrase: string] }>()
const name = computed(() => branch.split(' / ').at(-1) ?? branch)
const end = computed(() => found.themes.find((t) => t.sums.windowEnd !== null)?.sums.windowEnd ?? null)
</script>

<template>
  <div class="themes">
    <h3>Narrow themes in {{ name }}</h3>
    <p v-if="found.themes.length === 0" class="quiet">
      None: of its {{ plural(found.of, 'title') }} no five share words that most others lack.
    </p>
    <template v-else>
      <p class="small quiet">
        Of {{ plural(found.of, 'title') }}<template v-if="end !== null">; 30 days to {{ dayInWords(end) }}</template
        >. A listing may belong to several.
      </p>
      <ThemeTable :themes="found.themes" with-stores @finds="(phrase) => $emit('finds', phrase)" />
    </template>
  </div>
</template>

<style scoped>
.themes {
  display: grid;
  gap: 6px;
  padding: 4px 14px 12px;
}
</style>
