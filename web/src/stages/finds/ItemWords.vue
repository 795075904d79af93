<script setup lang="ts">
import { useClipboard } from '@vueuse/core'
import { NButton } from 'naive-ui'
import { computed } from 'vue'
import type { Item } from '@sickle/core/catalog'
import { listingLimits } from '@sickle/core/launch'
import { titleRuns } from '@sickle/core/words'
import { useServices } from '@/services/services'
import { useLens } from '@/shared/stores/lens'
import { plain } from '@/storage/plain'
import { whichWords } from '@/shared/answers'
import { count, decimal, percent } from '@/shared/format'
import { useLatest } from '@/shared/use-latest'
import GradeMark from '@/shared/widgets/GradeMark.vue'
import PlainTable from '@/shared/widgets/PlainTable.vue'

/** Words that sell and words that do not in the item's category; those that its own titles use are marked. */
const { item } = defineProps<{ item: Item }>()
const services = useServices()
const lens = useLens()
const words = useLatest([() => item], () => services.engine.call('words', [item.key, plain(lens.markets)]))
const limit = listingLimits.title
const cover = useLatest([() => item], () => services.engine.call('titleFor', [item.key, limit, plain(lens.markets)]))
const { copy, copied } = useClipboard()
const own = computed(() => new Set(item.listings.flatMap((l) => titleRuns(l.title).map((r) => r.stems))))
const lists = computed(() =>
  words.value
    ? [
        { title: 'Better sellers say more often', words: words.value.more },
        { title: 'The others say more often', words: words.value.less },
      ]
    : [],
)
/** Tags by how many of the listings use them, most first. */
const tags = computed(() => {
  const counts = new Map<string, number>()
  const listed = item.listings.flatMap((l) => (l.tags ?? '').split(/[,;|]/).map((t) => t.trim()))
  for (const t of listed) if (t !== '') counts.set(t, (counts.get(t) ?? 0) + 1)
  return [...counts]
    .sort((a, b) => b[1] - a[1])
    .slice(0, 13)
    .map(([tag, n]) => `${tag} (${n})`)
})
const found = computed(() => lists.value.some((l) => l.words.length > 0))
</script>

<template>
  <article>
    <h3>With which words? <GradeMark v-if="found" grade="estimated" /></h3>
    <p>{{ whichWords(words, item) }}</p>
    <p v-if="tags.length" class="small"><span class="quiet">Tags in use: </span>{{ tags.join(', ') }}</p>
    <div v-if="cover" class="cover">
      <p>
        <span class="small quiet">By what buyers search for, within {{ limit }} letters: </span><b>{{ cover.title }}</b
        >&nbsp;
        <NButton size="tiny" @click="copy(cover.title)">{{ copied ? 'Copied' : 'Copy' }}</NButton>
      </p>
      <p class="small quiet" :title="cover.phrases.map((p) => `${p.phrase}: ${count(p.searches)}`).join('\n')">
        It has all words of {{ count(cover.phrases.length) }} searched phrases, {{ count(cover.covered) }} of
        {{ count(cover.of) }} searches a month ({{ percent(cover.covered / cover.of) }}) for what its own titles name;
        searches as reported. Put them in an order that reads well.
      </p>
    </div>
    <div v-if="found" class="both">
      <PlainTable v-for="list in lists" :key="list.title">
        <thead>
          <tr>
            <th>{{ list.title }}</th>
            <th class="num">better : others</th>
            <th class="num" title="log-odds in standard deviations">z</th>
          </tr>
        </thead>
        <tbody>
          <tr
            v-for="w in list.words"
            :key="w.word"
            :title="`${w.first} of the better listings, ${w.second} of the others`"
          >
            <td>
              {{ w.word
              }}<span v-if="own.has(w.stems)" class="small quiet" title="in a title of this item"> · in use</span>
            </td>
            <td class="num quiet">{{ w.first }} : {{ w.second }}</td>
            <td class="num">{{ w.z > 0 ? '+' : '−' }}{{ decimal(Math.abs(w.z), 1) }}</td>
          </tr>
          <tr v-if="!list.words.length">
            <td colspan="3" class="quiet">None beyond chance.</td>
          </tr>
        </tbody>
      </PlainTable>
    </div>
  </article>
</template>

<style scoped>
.cover {
  margin: 4px 0 8px;
}
.both {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(280px, 1fr));
  gap: 8px 28px;
  align-items: start;
}
.both table {
  table-layout: fixed;
}
.both .plain td,
.both .plain th {
  padding: 2px 4px 2px 0;
}
.both .plain .num {
  width: 92px;
  text-align: right;
  white-space: nowrap;
}
.both .plain .num:last-child {
  width: 40px;
}
</style>
