<script setup lang="ts">
import { NButton } from 'naive-ui'
import { computed, ref } from 'vue'
import { pastedGoods } from '@sickle/core/own'
import { plural } from '@/shared/format'
import { toProblem } from '@/shared/problem'
import BareButton from '@/shared/widgets/BareButton.vue'
import HouseModal from '@/shared/widgets/HouseModal.vue'
import LongText from '@/shared/widgets/LongText.vue'
import { useBringOwn } from './bring-own'

/** My own goods as a pasted list of barcodes and titles. It rests as an import like any other, and the next list takes its place. */
defineProps<{ wide?: boolean }>()
const bring = useBringOwn()
const [isOpen, text, fault] = [ref(false), ref(''), ref('')]
const goods = computed(() => pastedGoods(text.value))
const coded = computed(() => goods.value.filter((g) => g.gtin !== null).length)
async function take() {
  try {
    await bring(goods.value)
  } catch (thrown) {
    return void (fault.value = toProblem(thrown).message)
  }
  isOpen.value = false
  text.value = fault.value = ''
}
</script>

<template>
  <NButton v-if="wide" type="primary" @click="isOpen = true">Paste a list</NButton>
  <BareButton v-else type="info" class="link small" @click="isOpen = true">Paste a list of mine</BareButton>
  <HouseModal v-model:show="isOpen" title="What do I sell?" :width="620">
    <form class="paste" @submit.prevent="take">
      <p class="small quiet">One thing a line: a barcode, a title, or both. The list before it is replaced.</p>
      <LongText
        v-model="text"
        label="My goods, one a line"
        :rows="12"
        placeholder="4006381333931  Hanging seed feeder, 30 cm, green"
      />
      <p v-if="fault" class="small loss" role="alert">{{ fault }}</p>
      <div class="row-gap">
        <NButton size="small" type="primary" attr-type="submit" :disabled="goods.length === 0">Take these</NButton>
        <span class="small quiet" role="status"
          >{{ plural(goods.length, 'thing') }}, {{ plural(coded, 'barcode') }}</span
        >
      </div>
    </form>
  </HouseModal>
</template>

<style scoped>
.paste {
  display: grid;
  gap: 8px;
}
</style>
