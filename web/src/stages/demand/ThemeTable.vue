<script setup lang="ts">
import { computed } from 'vue'
import type { BranchTheme } from '@sickle/core/engine'
import IntervalMark from '@/shared/charts/IntervalMark.vue'
import { count, dayInWords, decimal, plural } from '@/shared/format'
import GradeMark from '@/shared/widgets/GradeMark.vue'
import BareButton from '@/shared/widgets/BareButton.vue'
import PlainTable from '@/shared/widgets/PlainTable.vue'

/** Narrow themes of a branch: rare words that stand together in its titles, with what sells under them. */
const { found, branch } = defineProps<{ found: { themes: BranchTheme[]; of: number }; branch: string }>()
defineEmits<{ finds: [phrase: string] }>()
const name = computed(() => branch.split(' / ').at(-1) ?? branch)
const end = computed(() => found.themes.find((t) => t.sums.windowEnd !== null)?.sums.windowEnd ?? null)
const months = (days: number | null) => (days === null ? '–' : decimal(days / 30.4375, days < 300 ? 1 : 0))
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
      <PlainTable class="tight" aria-label="Themes">
        <thead>
          <tr>
            <th>Theme</th>
            <th>Listings sold, 95 %</th>
            <th class="num">Units</th>
            <th class="num">Listings</th>
            <th class="num">Stores</th>
            <th class="num" title="Middle age of its listings">Months old</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="t in found.themes" :key="t.phrases.join()">
            <td>
              <BareButton
                type="info"
                class="link"
                :title="`Items in Finds: ${t.phrases[0] ?? ''}`"
                @click="$emit('finds', t.phrases[0] ?? '')"
              >
                {{ t.phrases[0] }}
              </BareButton>
              <div v-if="t.phrases.length > 1" class="small quiet">{{ t.phrases.slice(1).join(', ') }}</div>
            </td>
            <td><IntervalMark :share="t.sums.sellThrough" /></td>
            <td class="num">{{ count(t.sums.units) }} <GradeMark :grade="t.sums.grade" /></td>
            <td class="num">{{ count(t.sums.listings) }}</td>
            <td class="num">{{ count(t.sums.stores) }}</td>
            <td class="num">{{ months(t.medianAgeDays) }}</td>
          </tr>
        </tbody>
      </PlainTable>
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
