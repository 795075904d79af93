<script setup lang="ts">
import { computed } from 'vue'
import type { Item } from '@sickle/core/catalog'
import { titleWords } from '@sickle/core/words'
import { useServices } from '@/app/services'
import { whichWords } from '@/shared/answers'
import { decimal } from '@/shared/format'
import { useLatest } from '@/shared/use-latest'
import GradeMark from '@/shared/widgets/GradeMark.vue'

/** Words that sell and words that do not in the item's category; those that its own titles use are marked. */
const { item } = defineProps<{ item: Item }>()
const services = useServices()
const words = useLatest([() => item], () => services.engine.call('words', [item.key]))
const own = computed(() => new Set(item.listings.flatMap((l) => titleWords(l.title))))
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
    <div v-if="found" class="both">
      <table v-for="list in lists" :key="list.title" class="plain">
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
              }}<span v-if="own.has(w.word)" class="small quiet" title="in a title of this item"> · in use</span>
            </td>
            <td class="num quiet">{{ w.first }} : {{ w.second }}</td>
            <td class="num">{{ w.z > 0 ? '+' : '−' }}{{ decimal(Math.abs(w.z), 1) }}</td>
          </tr>
          <tr v-if="!list.words.length">
            <td colspan="3" class="quiet">None beyond chance.</td>
          </tr>
        </tbody>
      </table>
    </div>
  </article>
</template>

<style scoped>
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
