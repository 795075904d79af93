<script setup lang="ts">
import { NButton } from 'naive-ui'
import { computed } from 'vue'
import { count, dayInWords, money, percent, plural } from '@/shared/format'
import { usePeople } from '@/shared/stores/people'
import { useRules } from '@/shared/stores/rules'
import ItemLink from '@/shared/widgets/ItemLink.vue'
import PlainTable from '@/shared/widgets/PlainTable.vue'
import type { CreatorLook } from '@/workers/creator-methods'

/** One creator: how long, how much, and what sold best. */
const { look } = defineProps<{ look: CreatorLook }>()
const rules = useRules()
const people = usePeople()
const told = computed(() => {
  const { clips, lives, firstDay, lastDay, items, nothingRatio, paidRatio, middleE4, meanE4, commission } = look.creator
  const span = firstDay === null || lastDay === null ? '' : `, from ${dayInWords(firstDay)} to ${dayInWords(lastDay)}`
  const few = clips + lives < 5 ? ' So few say little of the next one.' : ''
  return [
    `${plural(clips, 'clip')} and ${plural(lives, 'live')} about ${plural(items, 'thing')}${span}.`,
    meanE4 === null
      ? 'What they took is not known.'
      : `The middle one took ${money(middleE4, rules.home)}, their mean is ${money(meanE4, rules.home)}; ${nothingRatio === 0 ? 'none' : percent(nothingRatio)} sold nothing.${few}`,
    paidRatio === null ? '' : `${percent(paidRatio)} had reach that was paid for.`,
    commission === null ? '' : `Their commission is ${percent(commission)} in the mean.`,
  ].join(' ')
})
</script>

<template>
  <section class="panel text-pane scroll" tabindex="0" :aria-label="`Creator ${look.creator.name}`">
    <div class="row-gap">
      <h2>{{ look.creator.name }}</h2>
      <span class="small quiet">{{ look.creator.market }}</span>
      <NButton
        class="push"
        size="tiny"
        type="primary"
        :disabled="people.of(look.creator) !== null"
        @click="people.add([look.creator])"
        >{{ people.of(look.creator) ? 'On the list' : 'Write to …' }}</NButton
      >
    </div>
    <p class="small">{{ told }}</p>
    <PlainTable class="tight" aria-label="What sold best">
      <tbody>
        <tr v-for="c in look.clips" :key="c.clip.key">
          <td>
            <ItemLink v-if="c.item" :item-key="c.item.key" :title="c.item.title" />
            <span v-else class="quiet">{{ c.clip.title || 'its item is not gathered' }}</span>
            <div class="small quiet">“{{ c.clip.title }}”{{ c.clip.isLive ? ' · live' : '' }}</div>
          </td>
          <td class="num">{{ c.clip.units === null ? '–' : `${count(c.clip.units)} sold` }}</td>
        </tr>
      </tbody>
    </PlainTable>
  </section>
</template>
