<script setup lang="ts">
import { computed } from 'vue'
import type { Item } from '@sickle/core/catalog'
import type { ClipRules } from '@sickle/core/social'
import { useServices } from '@/services/services'
import { useLens } from '@/shared/stores/lens'
import { besideSelling, wageTold, whatWouldIEarn } from '@/shared/earn-words'
import { money, percent } from '@/shared/format'
import { useRules } from '@/shared/stores/rules'
import { useSettings } from '@/shared/stores/settings'
import { useLatest } from '@/shared/use-latest'
import GradeMark from '@/shared/widgets/GradeMark.vue'
import MoneyField from '@/shared/widgets/MoneyField.vue'
import NumberField from '@/shared/widgets/NumberField.vue'
import { plain } from '@/storage/plain'

/** What would I earn by clips about it? Over creators, with what I count of making one; nothing where clips play no part. */
const { item } = defineProps<{ item: Item }>()
const services = useServices()
const lens = useLens()
const settings = useSettings()
const home = useRules()
const rules = computed(() => settings.value.clips)
const earnings = useLatest([() => item, rules], () =>
  services.engine.call('earnings', [item.key, plain(rules.value), plain(lens.markets)]),
)
const isSocial = computed(() => earnings.value !== null || item.commission !== null)
const change = (some: Partial<ClipRules>) => settings.change({ clips: { ...rules.value, ...some } })
const beside = computed(() => (earnings.value ? besideSelling(earnings.value, item, home.home) : ''))
</script>

<template>
  <article v-if="isSocial">
    <h3>What would I earn by clips? <GradeMark v-if="earnings" grade="estimated" /></h3>
    <p>{{ whatWouldIEarn(earnings, home.home, rules) }}</p>
    <template v-if="earnings">
      <p class="small quiet">
        Reckoned at {{ money(earnings.priceE4, home.home) }} and a commission of {{ percent(earnings.commission) }}; the
        upper tenth of clips earned {{ money(earnings.outlook.upperTenthE4, home.home) }} and more.
      </p>
      <p>{{ wageTold(earnings, home.home, rules) }} {{ beside }}</p>
    </template>
    <div class="rules small">
      <span>Hours a clip</span>
      <NumberField
        :value="rules.hours"
        label="Hours a clip"
        :min="0.1"
        :max="200"
        @change="(hours) => change({ hours })"
      />
      <span>Cost of one</span>
      <MoneyField
        :value="rules.costE4"
        :currency="home.home"
        label="Cost of a clip"
        @change="(costE4) => change({ costE4 })"
      />
      <span>Least wage an hour</span>
      <NumberField
        :value="rules.leastWageE4 === null ? null : rules.leastWageE4 / 10_000"
        label="Least wage an hour"
        open
        :max="1e5"
        @change="(n) => change({ leastWageE4: Math.round(n * 10_000) })"
        @clear="change({ leastWageE4: null })"
      />
      <span>Cancelled, %</span>
      <NumberField
        :value="rules.cancelledRatio"
        percent
        open
        label="Orders that are cancelled, percent"
        :max="1"
        @change="(cancelledRatio) => change({ cancelledRatio })"
        @clear="change({ cancelledRatio: null })"
      />
    </div>
  </article>
</template>

<style scoped>
.rules {
  display: grid;
  grid-template-columns: auto 84px auto 84px;
  gap: 4px 10px;
  align-items: center;
  justify-content: start;
}
</style>
