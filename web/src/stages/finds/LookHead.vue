<script setup lang="ts">
import { NButton, NInput } from 'naive-ui'
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue'
import { addressOf, type Item } from '@sickle/core/catalog'
import { shownGtin } from '@sickle/core/identity'
import { plural } from '@/shared/format'
import { useLens } from '@/shared/stores/lens'
import { ownWayWords, useOwn } from '@/shared/stores/own'
import { useSheaf } from '@/shared/stores/sheaf'
import GoodsPicture from '@/shared/widgets/GoodsPicture.vue'
import ListingLink from '@/shared/widgets/ListingLink.vue'
import { useDecide } from '@/shared/use-decide'
import BareButton from '@/shared/widgets/BareButton.vue'

/** What is looked at, and what to do with it: the head of both Close looks. */
const { item, large = false } = defineProps<{ item: Item; large?: boolean }>()
defineEmits<{ margin: []; close: []; full: [] }>()
const sheaf = useSheaf()
const lens = useLens()
const own = useOwn()
const mine = computed(() => own.of(item.key))
/** through a lens: whether anything of it counts */
const isSeen = computed(() => item.markets.every((m) => lens.markets.includes(m)))
const decide = useDecide(() => item.key)
const reasonBox = useTemplateRef('reasonBox')
const reason = ref('')
const decision = computed(() => sheaf.decisionOf(item.key))
watch([() => item.key, decision], () => (reason.value = decision.value?.reason ?? ''), { immediate: true })
const words = { keep: 'Kept', hold: 'Held', drop: 'Dropped' }
async function focusReason() {
  await nextTick()
  reasonBox.value?.focus()
}
async function give() {
  if (decision.value && reason.value !== decision.value.reason) await decide(decision.value.state, reason.value)
  reasonBox.value?.blur()
}
defineExpose({ focusReason, decide })
</script>

<template>
  <header :class="{ large }">
    <GoodsPicture :src="item.picture" :title="item.title" :size="large ? 76 : 52" />
    <div class="name">
      <component :is="large ? 'h1' : 'h2'">{{ item.title }}</component>
      <p class="small quiet">
        {{ plural(item.listings.length, 'listing') }} on {{ item.markets.join(', ')
        }}{{ lens.told ? (isSeen ? ', of which figures here are alone' : ', none of which counts') : ''
        }}{{ item.gtin ? ` · barcode ${shownGtin(item.gtin)}` : ''
        }}{{ large && item.category ? ` · ${item.category}` : '' }}
        <ListingLink :address="addressOf(item)" :title="item.title" words="Open its listing" />
      </p>
      <p v-if="mine" class="small mine">
        {{ own.isMine(item.key) ? 'I sell this' : 'I may sell this' }}: “{{ mine.title }}”, {{ ownWayWords[mine.way] }}.
      </p>
    </div>
    <div class="acts">
      <NButton size="small" :type="decision?.state === 'keep' ? 'primary' : 'default'" @click="decide('keep')"
        >Keep&nbsp;<kbd>K</kbd></NButton
      >
      <NButton size="small" :type="decision?.state === 'hold' ? 'warning' : 'default'" @click="decide('hold')"
        >Hold&nbsp;<kbd>H</kbd></NButton
      >
      <NButton size="small" :type="decision?.state === 'drop' ? 'error' : 'default'" @click="decide('drop')"
        >Drop&nbsp;<kbd>D</kbd></NButton
      >
      <NButton size="small" @click="$emit('margin')">Cost it&nbsp;<kbd>M</kbd></NButton>
    </div>
    <BareButton
      type="tertiary"
      class="close"
      :aria-label="large ? 'Back to Finds' : 'Close the look'"
      @click="$emit('close')"
    >
      ✕
    </BareButton>
    <form v-if="decision" class="reason" @submit.prevent="give">
      <NInput
        ref="reasonBox"
        v-model:value="reason"
        size="small"
        :placeholder="`${words[decision.state]}. Why? (key R)`"
        :input-props="{ 'aria-label': 'Reason' }"
        @blur="give"
      />
    </form>
    <BareButton v-if="!large" type="info" class="link small" @click="$emit('full')"
      >All questions, in full (O)</BareButton
    >
  </header>
</template>

<style scoped>
header {
  display: grid;
  grid-template-columns: auto 1fr auto;
  gap: 8px 12px;
  align-items: start;
}
.mine {
  color: var(--slate);
  font-weight: 600;
}
.acts,
.reason,
.link {
  grid-column: 1 / -1;
}
.acts {
  display: flex;
  gap: 6px;
}
.close {
  grid-area: 1 / 3;
}
.large {
  grid-template-columns: auto 1fr auto 20px;
  align-items: center;
}
.large .acts {
  grid-area: 1 / 3;
}
.large .close {
  grid-area: 1 / 4;
}
.large .name {
  min-width: 0;
}
</style>
