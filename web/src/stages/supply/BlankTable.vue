<script setup lang="ts">
import { NCheckbox } from 'naive-ui'
import { computed } from 'vue'
import type { DesignLine, LikeIt } from '@sickle/core/catalog'
import type { Design, DesignBlank } from '@sickle/core/supply'
import { amount, count, currencySign, percent, plural } from '@/shared/format'
import { daysTold } from '@/shared/supply-words'
import MoneyField from '@/shared/widgets/MoneyField.vue'
import NumberField from '@/shared/widgets/NumberField.vue'
import PlainTable from '@/shared/widgets/PlainTable.vue'
import ProfitFigure from '@/shared/widgets/ProfitFigure.vue'
import BareButton from '@/shared/widgets/BareButton.vue'
import SupplierLink from '@/shared/widgets/SupplierLink.vue'
import type { BlankOnMarket } from '@/workers/design-methods'

/** Blanks: where each is printed, what it costs, and what the design earns on those it is put on. */
const { design, blanks, lines, home } = defineProps<{
  design: Design | null
  blanks: BlankOnMarket[]
  lines: DesignLine[]
  home: string
}>()
defineEmits<{ toggle: [offer: string]; change: [offer: string, some: Partial<DesignBlank>] }>()
const rows = computed(() => {
  const byKey = new Map(lines.map((l) => [l.offer.key, l]))
  const on = new Map(design?.blanks.map((b) => [b.offer, b]))
  return blanks.map((b) => ({ ...b, choice: on.get(b.offer.key) ?? null, line: byKey.get(b.offer.key) ?? null }))
})
const ownMoney = (e4: number | null, currency: string | null) =>
  e4 === null ? '–' : `${amount(e4, currency ?? home)} ${currency ?? ''}`
const likeTold = (name: string, { items, lowE4, middleE4 }: LikeIt) =>
  items === 0
    ? `none with “${name}” gathered`
    : `${count(items)} with “${name}”, from ${amount(lowE4, home)}, middle ${amount(middleE4, home)}`
const areas = ({ printAreas }: BlankOnMarket['offer']) =>
  printAreas.length === 0 ? 'not stated' : printAreas.join(', ')
</script>

<template>
  <PlainTable aria-label="Blanks">
    <thead>
      <tr>
        <th><span class="sr-only">On it</span></th>
        <th>Blank</th>
        <th class="num">Blank, print</th>
        <th class="num">Prints</th>
        <th class="num">Landed, {{ currencySign(home) }}</th>
        <th class="num">Price, {{ currencySign(home) }}</th>
        <th class="num">Profit</th>
        <th class="num">Margin</th>
        <th>Printed goods like it</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="r in rows" :key="r.offer.key" :class="{ off: r.choice === null }">
        <td>
          <NCheckbox
            :checked="r.choice !== null"
            :disabled="design === null"
            :aria-label="`On ${r.offer.title}`"
            @update:checked="$emit('toggle', r.offer.key)"
          />
        </td>
        <td>
          {{ r.offer.title }}
          <div class="small quiet">
            <SupplierLink :supplier="r.offer.supplier" /> · {{ areas(r.offer) }} · {{ daysTold(r.offer) }} · delivery
            {{ r.offer.deliveryE4 === null ? 'not stated ○' : ownMoney(r.offer.deliveryE4, r.offer.currency) }}
          </div>
          <div v-if="r.line?.notes.length" class="small note">{{ r.line.notes.join(' · ') }}</div>
        </td>
        <td class="num small">
          {{ ownMoney(r.offer.tiers[0]?.priceE4 ?? null, r.offer.currency) }}
          <div class="quiet">+ {{ ownMoney(r.offer.printE4, r.offer.currency) }}</div>
        </td>
        <template v-if="r.choice">
          <td class="num">
            <NumberField
              :value="r.choice.prints"
              :label="`Prints on ${r.offer.title}`"
              whole
              :min="1"
              :max="Math.max(1, r.offer.printAreas.length || 50)"
              @change="(prints) => $emit('change', r.offer.key, { prints })"
            />
          </td>
          <td class="num">{{ amount(r.line?.landedE4, home) }}</td>
          <td class="num">
            <MoneyField
              :value="r.line?.priceE4 ?? null"
              :currency="home"
              :label="`Price of ${r.offer.title}`"
              @change="(priceE4) => $emit('change', r.offer.key, { priceE4 })"
            />
            <BareButton
              v-if="r.choice.priceE4 !== null"
              type="info"
              class="link small"
              @click="$emit('change', r.offer.key, { priceE4: null })"
              >by margin</BareButton
            >
          </td>
          <td class="num">
            <ProfitFigure :e4="r.line?.profitE4 ?? null" :currency="home" :assumed="r.line?.assumed ?? []" />
          </td>
          <td class="num">{{ percent(r.line?.margin) }}</td>
        </template>
        <td v-else colspan="5" />
        <td class="small">
          {{ likeTold(r.name, r.like) }}
          <div v-if="r.like.units !== null" class="quiet">{{ plural(r.like.units, 'unit') }} in 30 days</div>
        </td>
      </tr>
    </tbody>
  </PlainTable>
</template>

<style scoped>
.off {
  color: var(--quiet);
}
.note {
  color: var(--wheat-ink);
}
</style>
