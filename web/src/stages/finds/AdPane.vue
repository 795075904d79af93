<script setup lang="ts">
import { computed } from 'vue'
import { adScore } from '@sickle/core/social'
import { count, dayInWords, percent, plural, signedPercent } from '@/shared/format'
import { useFollow } from '@/shared/use-follow'
import BareButton from '@/shared/widgets/BareButton.vue'
import GoodsPicture from '@/shared/widgets/GoodsPicture.vue'
import ItemLink from '@/shared/widgets/ItemLink.vue'
import PlainTable from '@/shared/widgets/PlainTable.vue'
import type { AdRow } from '@/workers/ad-methods'

/** One ad: what it says, how it ran, and the way from it to its item, to the shop, and to all that the shop sells. */
const { row } = defineProps<{ row: AdRow; hasScore: boolean }>()
defineEmits<{ advertiser: [name: string] }>()
const follow = useFollow()
const score = computed(() => adScore(row.ad))
const told = computed(() => {
  const { days, firstSeen, lastSeen, state, views, growth, numbers, reactions } = row.ad
  const span =
    days === null || firstSeen === null || lastSeen === null
      ? 'How long it ran is not known.'
      : `It was seen over ${plural(days, 'day')}, from ${dayInWords(firstSeen)} to ${dayInWords(lastSeen)}: ${state ?? ''}.`
  const seen =
    views === null ? '' : `${plural(views, 'view')}${reactions === null ? '' : `, ${plural(reactions, 'reaction')}`}.`
  const grew =
    growth === null
      ? 'Whether it is shown more and more is not known: it was looked at once.'
      : `Views a day since the look before: ${signedPercent(growth)} against those up to it.`
  const many = numbers > 1 ? `It ran under ${count(numbers)} numbers.` : ''
  return [span, seen, grew, many].filter((s) => s !== '').join(' ')
})
const places = computed(
  () =>
    [
      ['Platform', row.ad.channels],
      ['Medium', row.ad.media],
      ['Country', row.ad.countries],
      ['Language', row.ad.languages],
    ] as const,
)
</script>

<template>
  <aside class="panel text-pane scroll" tabindex="0" :aria-label="`The ad ${row.ad.title}`">
    <div class="row-gap">
      <GoodsPicture :src="row.ad.picture" :title="row.ad.title" :size="64" />
      <h2>{{ row.ad.title || 'Without a headline' }}</h2>
    </div>
    <p v-if="row.ad.text">“{{ row.ad.text }}”</p>
    <p class="small">{{ told }}</p>
    <dl class="facts">
      <template v-for="[name, values] in places" :key="name">
        <dt v-if="values.length">{{ name }}</dt>
        <dd v-if="values.length">{{ values.join(', ') }}</dd>
      </template>
    </dl>
    <h3>From here</h3>
    <p class="small">
      <ItemLink v-if="row.item" :item-key="row.item.key" :title="row.item.title" />
      <span v-else class="quiet">The item that it shows is not gathered.</span>
    </p>
    <p v-if="row.store" class="small row-gap">
      <BareButton type="info" class="link" @click="follow.store(row.store.market, row.store.name)">{{
        row.store.name
      }}</BareButton>
      <BareButton type="info" class="link" @click="follow.storeItems(row.store.market, row.store.name)"
        >All that it sells</BareButton
      >
    </p>
    <p class="small">
      <BareButton type="info" class="link" @click="$emit('advertiser', row.ad.advertiser)"
        >Other ads of {{ row.ad.advertiser }}</BareButton
      >
      <a v-if="row.ad.url" :href="row.ad.url" target="_blank" rel="noopener noreferrer"> Open it</a>
    </p>
    <template v-if="hasScore">
      <h3>Score {{ score.value === null ? 'not known' : score.value }}</h3>
      <p class="small quiet">A rule of thumb of Sickle’s own: the mean of what is known below. It measures no sales.</p>
      <PlainTable class="tight" aria-label="Parts of the score">
        <tbody>
          <tr v-for="p in score.parts" :key="p.name">
            <td>{{ p.name }}</td>
            <td class="num">{{ percent(p.value) }}</td>
          </tr>
        </tbody>
      </PlainTable>
    </template>
  </aside>
</template>

<style scoped>
h2 {
  font-size: 16px;
}
.facts {
  --facts: 80px minmax(0, 1fr);
}
</style>
