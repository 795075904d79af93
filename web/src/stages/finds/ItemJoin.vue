<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Item, MemberListing } from '@sickle/core/catalog'
import { priceLikeness, whyJoined, type Likeness } from '@sickle/core/goods'
import { useServices } from '@/services/services'
import type { FindAlike } from '@/workers/look-methods'
import { amount, currencySign, decimal, percent, plural } from '@/shared/format'
import { useRules } from '@/shared/stores/rules'
import { useWorkspace } from '@/shared/stores/workspace'
import { useLatest } from '@/shared/use-latest'
import ListingLink from '@/shared/widgets/ListingLink.vue'
import PictureLikeness from '@/shared/widgets/PictureLikeness.vue'
import BareButton from '@/shared/widgets/BareButton.vue'
import PlainTable from '@/shared/widgets/PlainTable.vue'

/** Which listings are taken for the same goods, why, and a way to say otherwise; what is alike is offered. */
const { item } = defineProps<{ item: Item }>()
const services = useServices()
const rules = useRules()
const workspace = useWorkspace()
const open = ref(false)
const busy = computed(() => workspace.state === 'working')
const alike = useLatest([() => item, open], async () => (open.value ? services.engine.call('alike', [item.key]) : []))
const byYou = (key: string) => rules.corrections.together[key] !== undefined
const setApart = useLatest([() => item, () => rules.corrections], async () => {
  const keys = Object.entries(rules.corrections.apart).flatMap(([key, from]) => (from === item.key ? [key] : []))
  return services.engine.call('rows', [keys])
})
function why(listing: MemberListing): string {
  if (byYou(listing.key)) return 'said by you'
  const reason = whyJoined(
    listing,
    item.listings.filter((l) => l.key !== listing.key),
  )
  return reason.by === 'alike words'
    ? `words ${percent(reason.share)} alike`
    : reason.by === 'nothing'
      ? 'by way of the others'
      : `the same ${reason.by.replace('same ', '')}`
}
const differs = ({ verdict, clashes, words }: Likeness) =>
  verdict === 'variant' ? `differs: ${clashes.join('; ').replaceAll('#', '')}` : `words ${percent(words)} alike`
/** What a piece costs there, in pieces here. */
function priceWords({ row, likeness: { packs } }: FindAlike): string {
  const piece = (e4: number | null, pack: number) => (e4 === null ? null : e4 / pack)
  const found = priceLikeness(piece(item.priceLowE4, item.pack), piece(row.priceLowE4, packs[1]))
  return found === null
    ? ''
    : `; a piece costs ${decimal(found.ratio, 1)} × as much${found.isPlausible ? '' : ': hardly the same'}`
}
async function say(change: () => Promise<void>) {
  await change()
  await workspace.follow()
}
</script>

<template>
  <article>
    <h3>Are these the same goods?</h3>
    <p>
      {{ plural(item.listings.length, 'listing') }} joined as one item, a pack of {{ item.pack
      }}{{ item.pack > 1 ? '; prices are also told a piece' : '' }}.
      <BareButton type="info" class="link" :aria-expanded="open" @click="open = !open">
        {{ open ? 'Fold' : 'Show them, and why' }}
      </BareButton>
    </p>
    <template v-if="open">
      <PlainTable class="tight">
        <thead>
          <tr>
            <th>Listing</th>
            <th>Why</th>
            <th class="num">Price, {{ currencySign(rules.home) }}</th>
            <th v-if="item.pack > 1" class="num">A piece</th>
            <th><span class="sr-only">Acts</span></th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="l in item.listings" :key="l.key">
            <td>
              {{ l.title }} <ListingLink :address="l.url" :title="l.title" />
              <span class="quiet small">{{ l.market }}{{ l.store ? `, ${l.store}` : '' }}</span>
            </td>
            <td class="small quiet">{{ l.key === item.key ? 'the item is known by it' : why(l) }}</td>
            <td class="num">{{ amount(l.priceE4, rules.home) }}</td>
            <td v-if="item.pack > 1" class="num">
              {{ amount(l.priceE4 === null ? null : l.priceE4 / item.pack, rules.home) }}
            </td>
            <td class="num">
              <BareButton
                v-if="byYou(l.key)"
                type="info"
                class="link small"
                :disabled="busy"
                @click="say(() => rules.setTogether([l.key], null))"
              >
                Undo
              </BareButton>
              <BareButton
                v-else-if="l.key !== item.key"
                type="info"
                class="link small"
                :disabled="busy"
                @click="say(() => rules.setApart(l.key, item.key))"
              >
                Not the same
              </BareButton>
            </td>
          </tr>
        </tbody>
      </PlainTable>
      <p v-for="a in setApart ?? []" :key="a.key" class="small">
        Set apart by you: {{ a.row?.title ?? a.key }}
        <BareButton type="info" class="link put" :disabled="busy" @click="say(() => rules.setApart(a.key, null))"
          >Put back</BareButton
        >
      </p>
      <p v-if="alike?.length" class="small quiet">Alike, but not joined:</p>
      <ul v-if="alike?.length" class="plain">
        <li v-for="a in alike" :key="a.row.key">
          <span>{{ a.row.title }}</span>&nbsp;
          <span class="small quiet"
            >{{ differs(a.likeness) }}{{ priceWords(a) }}<PictureLikeness :mine="item.picture" :other="a.row.picture"
          /></span>
          <BareButton
            type="info"
            class="link small put"
            :disabled="busy"
            @click="say(() => rules.setTogether([a.row.key], item.key))"
          >
            The same
          </BareButton>
        </li>
      </ul>
      <p v-if="busy" class="small quiet" role="status">Working it out anew … {{ percent(workspace.progress) }}</p>
    </template>
  </article>
</template>

<style scoped>
.put {
  margin-left: 8px;
}
</style>
