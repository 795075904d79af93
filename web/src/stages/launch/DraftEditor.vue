<script setup lang="ts">
import { NButton, NDynamicTags, NInput, NSelect } from 'naive-ui'
import { computed, shallowRef, toRaw, watch } from 'vue'
import type { Item } from '@sickle/core/catalog'
import { shownGtin } from '@sickle/core/identity'
import { draftFaults, listingLimits, makeDraft, type Draft } from '@sickle/core/launch'
import { useServices } from '@/app/services'
import { amount, percent, signed } from '@/shared/format'
import { useDrafts } from '@/shared/stores/drafts'
import { useRules } from '@/shared/stores/rules'
import { useWorkspace } from '@/shared/stores/workspace'
import MoneyField from '@/shared/widgets/MoneyField.vue'
import NumberField from '@/shared/widgets/NumberField.vue'
import { profitAt } from './draft-profit'

const { draft } = defineProps<{ draft: Draft }>()
const drafts = useDrafts()
const rules = useRules()
const services = useServices()
const workspace = useWorkspace()
const item = shallowRef<Item | null>(null)
watch(
  [() => draft.item, () => workspace.version],
  async () => (item.value = await services.engine.call('item', [draft.item])),
  { immediate: true },
)
const faults = computed(() => draftFaults(draft))
const length = computed(() => [...draft.title].length)
const change = (some: Partial<Draft>) => drafts.change(draft.id, some)
/** A changed price changes what is expected. */
function setPrice(priceE4: number) {
  const money = item.value
    ? profitAt(item.value, draft.market, priceE4, draft.currency, toRaw(rules.rules), toRaw(rules.corrections))
    : { profitE4: null, margin: null }
  void change({ priceE4, ...money })
}
/** Drawn up anew for another market, or after costs changed; the words stay. */
function anew(market: string) {
  if (!item.value) return
  const fresh = makeDraft(item.value, {
    market,
    rules: toRaw(rules.rules),
    corrections: toRaw(rules.corrections),
    setPriceE4: rules.priceOf(item.value.key, market),
    id: draft.id,
  })
  const { priceE4, currency, profitE4, profitCurrency, margin } = fresh
  void change({ market, priceE4, currency, profitE4, profitCurrency, margin })
}
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
      <button
        v-for="w in sellingWords"
        :key="w"
        type="button"
        class="bare word"
        @click="change({ title: `${draft.title} ${w}` })"
      >
        {{ w }}
      </button>
    </p>
    <div class="fields">
      <label
        ><b>Market</b
        ><NSelect
          size="small"
          :value="draft.market"
          :options="(item?.markets ?? [draft.market]).map((m) => ({ label: m, value: m }))"
          :input-props="{ 'aria-label': 'Market' }"
          @update:value="anew"
      /></label>
      <label
        ><b>Price, {{ draft.currency }}</b
        ><MoneyField :value="draft.priceE4" :currency="draft.currency" label="Price" @change="setPrice"
      /></label>
      <label
        ><b>Quantity</b
        ><NumberField
          :value="draft.quantity"
          whole
          :min="1"
          :max="99999"
          label="Quantity"
          @change="(quantity) => change({ quantity })"
      /></label>
      <label
        ><b>Handling, days</b
        ><NumberField
          :value="draft.handlingDays"
          whole
          :max="60"
          label="Handling days"
          @change="(handlingDays) => change({ handlingDays })"
      /></label>
    </div>
    <p>
      Expected profit
      <span :class="(draft.profitE4 ?? 0) < 0 ? 'loss' : 'profit'"
        >{{ signed(draft.profitE4, draft.profitCurrency) }} {{ draft.profitCurrency }}</span
      >
      a sale, margin {{ percent(draft.margin, 1) }}.
      <NButton text type="primary" size="small" :disabled="!item" @click="anew(draft.market)"
        >Price by rule again</NButton
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
      The item this was drafted from is no longer gathered; {{ amount(draft.priceE4, draft.currency) }}
      {{ draft.currency }} stands as it was.
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
  color: var(--slate);
  text-decoration: underline;
  margin-right: 8px;
}
.faults {
  color: var(--clay);
  background: var(--clay-soft);
  padding: 6px 10px;
  border-radius: 6px;
}
</style>
