<script setup lang="ts">
import type { StoreThemes } from '@sickle/core/stores'
import { plural } from '@/shared/format'
import ThemeTable from '@/shared/widgets/ThemeTable.vue'

/** Narrow themes of a store or of a pool, and how many were left out. */
const { found, most = 8 } = defineProps<{ found: StoreThemes; most?: number; pooled?: boolean }>()
defineEmits<{ finds: [phrase: string] }>()
</script>

<template>
  <p v-if="found.themes.length === 0">
    None: of {{ plural(found.of, 'title') }} no five share words that most others lack.
  </p>
  <ThemeTable
    v-else
    :themes="found.themes.slice(0, most)"
    with-lifetime
    :with-stores="pooled"
    @finds="(phrase) => $emit('finds', phrase)"
  />
  <p v-if="found.ofOneStore > 0" class="small quiet">
    {{ plural(found.ofOneStore, 'theme') }} of one store alone {{ found.ofOneStore === 1 ? 'is' : 'are' }} left out:
    those may be its own words.
  </p>
</template>
