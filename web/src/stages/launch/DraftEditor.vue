<script setup lang="ts">
import { NButton, NDynamicTags, NInput } from 'naive-ui'
import { computed, toRaw } from 'vue'
import { shownGtin } from '@sickle/core/identity'
import { draftParts, listingLimits, makeDraft, type Draft } from '@sickle/core/launch'
import { choicesOf } from '@/shared/choices'
import { amount, percent } from '@/shared/format'
import { useDrafts } from '@/shared/stores/drafts'
import { useRules } from '@/shared/stores/rules'
import MoneyField from '@/shared/widgets/MoneyField.vue'
import NumberField from '@/shared/widgets/NumberField.vue'
import ProfitFigure from '@/shared/widgets/ProfitFigure.vue'
import BareButton from '@/shared/widgets/BareButton.vue'
import HouseSelect from '@/shared/widgets/HouseSelect.vue'

const { draft } = defineProps<{ draft: Draft }>()
const drafts = useDrafts()
const rules = useRules()
const item = computed(() => drafts.items.get(draft.item) ?? null)
const faults = computed(() => drafts.obstaclesOf(draft))
const isOfDesign = computed(() => draft.item.startsWith('design:'))
const advice = computed(() => drafts.adviceOf(draft))
const length = computed(() => [...draft.title].length)
const change = (some: Partial<Draft>) => drafts.change(draft.id, some)
/** A price typed here is the draft's own; what it earns follows. */
const setPrice = (priceE4: number) => void change({ priceE4, currency: draft.currency, priceBy: 'hand' })
/** Another market, or the price of Margin again; the words stay. */
const anew = (market: string) => void change({ market, priceBy: 'margin' })
const tagInput = computed(() => draft.tags.length < listingLimits.tags)
const sellingWords = computed(() => {
  const used = draft.title.toLowerCase()
  const words = item.value
    ? makeDraft(item.value, {
        market: draft.market,
        rules: toRaw(rules.rules),
        corrections: toRaw(rules.corrections),
        setPriceE4: null,
        id: 'words',
      }).tags
    : []
  return words.filter((w) => !used.includes(w)).slice(0, 8)
})
</script>

<template>
  <form class="editor" aria-label="Draft" @submit.prevent>
    <p v-if="faults.length" class="faults small" role="alert">{{ faults.join('. ') }}.</p>
    <p v-if="advice" class="advice small">
      {{ advice }}. <RouterLink :to="{ path: '/supply/quotes', query: { ask: draft.item } }">Ask for one</RouterLink>
    </p>
    <label>
      <span class="top"
        ><b>Title</b
        ><span class="meter small" :class="{ loss: length > listingLimits.title }"
          >{{ length }} of {{ listingLimits.title
          }}<i aria-hidden="true"
            ><u :style="{ width: `${Math.min(100, (100 * length) / listingLimits.title)}%` }" /></i></span
      ></span>
      <NInput
        :value="draft.title"
        :input-props="{ 'aria-label': 'Title' }"
        @update:value="(title: string) => change({ title })"
      />
    </label>
    <p v-if="sellingWords.length" class="small quiet">
      Other words of listings that sell:
      <BareButton
        v-for="w in sellingWords"
        :key="w"
        type="info"
        class="word"
        @click="change({ title: `${draft.title} ${w}` })"
      >
        {{ w }}
      </BareButton>
    </p>
    <div class="fields">
      <label
        ><b>Market</b
        ><HouseSelect
          label="Market"
          :model-value="draft.market"
          :options="choicesOf(...(item?.markets ?? [draft.market]))"
          @update:model-value="(market) => market && anew(market)"
      /></label>
      <label
        ><b>Price, {{ draft.currency }}</b
        ><MoneyField
          size="small"
          class="whole"
          :value="draft.priceE4"
          :currency="draft.currency"
          label="Price"
          @change="setPrice"
      /></label>
      <label
        ><b>Quantity</b
        ><NumberField
          size="small"
          class="whole"
          :value="draft.quantity"
          whole
          :schema="draftParts.quantity"
          label="Quantity"
          @change="(quantity) => change({ quantity })"
      /></label>
      <label
        ><b>Handling, days</b
        ><NumberField
          size="small"
          class="whole"
          :value="draft.handlingDays"
          whole
          :schema="draftParts.handlingDays"
          label="Handling days"
          @change="(handlingDays) => change({ handlingDays })"
      /></label>
    </div>
    <p>
      Expected profit
      <ProfitFigure :e4="draft.profitE4" :currency="draft.profitCurrency" :assumed="draft.assumed" />
      {{ draft.profitCurrency }} a sale, margin {{ percent(draft.margin, 1) }}.
      <NButton
        text
        type="primary"
        size="small"
        :disabled="!item || draft.priceBy === 'margin'"
        @click="anew(draft.market)"
        >{{ draft.priceBy === 'hand' ? 'Price as in Margin again' : 'Price as in Margin' }}</NButton
      >
    </p>
    <div>
      <span class="top"
        ><b id="tags">Tags</b
        ><span class="small quiet"
          >{{ draft.tags.length }} of {{ listingLimits.tags }}, {{ listingLimits.tagLength }} characters each</span
        ></span
      >
      <NDynamicTags
        :value="draft.tags"
        :max="listingLimits.tags"
        aria-labelledby="tags"
        @update:value="
          (tags: string[]) => change({ tags: [...new Set(tags.map((t) => t.trim().toLowerCase()).filter(Boolean))] })
        "
      >
        <template #trigger="{ activate, disabled }"
          ><NButton size="small" dashed aria-label="Add a tag" :disabled="disabled" @click="activate()"
            >+</NButton
          ></template
        >
      </NDynamicTags>
      <p v-if="!tagInput" class="small quiet">All slots are used.</p>
    </div>
    <label
      ><b>Description</b
      ><NInput
        type="textarea"
        :value="draft.description"
        :autosize="{ minRows: 4, maxRows: 9 }"
        :input-props="{ 'aria-label': 'Description' }"
        @update:value="(description: string) => change({ description })"
    /></label>
    <div class="fields two">
      <label
        ><b>Category</b
        ><NInput
          size="small"
          :value="draft.category"
          :input-props="{ 'aria-label': 'Category' }"
          @update:value="(category: string) => change({ category })"
      /></label>
      <p class="small"><b>Barcode</b><br />{{ draft.gtin ? shownGtin(draft.gtin) : 'not known' }}</p>
    </div>
    <p v-if="!item" class="small quiet">
      {{ isOfDesign ? 'Drafted from a design' : 'The item this was drafted from is no longer gathered' }};
      {{ amount(draft.priceE4, draft.currency) }} {{ draft.currency }} stands as it was.
    </p>
  </form>
</template>

<style scoped>
.editor {
  padding: 14px 16px;
  display: flex;
  flex-direction: column;
  gap: 12px;
  font-size: 13.5px;
}
label {
  display: grid;
  gap: 3px;
}
.top {
  display: flex;
  justify-content: space-between;
}
.meter i {
  display: inline-block;
  width: 80px;
  height: 5px;
  border-radius: 3px;
  background: var(--sunk);
  margin-left: 8px;
  overflow: hidden;
  vertical-align: 2px;
}
.meter u {
  display: block;
  height: 100%;
  background: var(--moss);
}
.fields {
  display: grid;
  grid-template-columns: 1.3fr 1fr 1fr 1fr;
  gap: 10px;
}
.fields.two {
  grid-template-columns: 2fr 1fr;
}
.fields :deep(.typed) {
  display: block;
}
.fields :deep(input.figure) {
  width: 100%;
  height: 28px;
}
.word {
  text-decoration: underline;
  margin-right: 8px;
}
.advice {
  color: var(--wheat-ink);
}
.faults {
  color: var(--clay);
  background: var(--clay-soft);
  padding: 6px 10px;
  border-radius: 6px;
}
</style>
