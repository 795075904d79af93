<script setup lang="ts">
import { computed } from 'vue'
import { useBarred } from '@/shared/stores/barred'
import { useOwn } from '@/shared/stores/own'
import { decidedWords, useSheaf } from '@/shared/stores/sheaf'
import { statusWords } from '@/shared/status-words'
import { useFollow } from '@/shared/use-follow'
import BareButton from './BareButton.vue'

/** An item in a list of Rivals: it leads to its look, can be decided by a letter where it stands, and says what was decided, whether it is mine, and whether it may not be listed. */
const { itemKey, title } = defineProps<{ itemKey: string; title: string; withoutMine?: boolean }>()
const follow = useFollow()
const sheaf = useSheaf()
const own = useOwn()
const barred = useBarred()
const status = computed(() => barred.statusOf(itemKey))
const decision = computed(() => sheaf.decisionOf(itemKey)?.state)
</script>

<template>
  <BareButton type="info" class="link" :data-item="itemKey" :data-title="title" @click="follow.item(itemKey, title)">{{
    title
  }}</BareButton>
  <b v-if="decision" class="small decided" :class="decision"> {{ decidedWords[decision] }}</b>
  <span v-if="!withoutMine && own.isMine(itemKey)" class="small mine"> mine too</span>
  <span v-if="status" class="small" :class="statusWords[status].tone"
    >&ensp;{{ statusWords[status].sign }} {{ statusWords[status].label }}</span
  >
</template>

<style scoped>
.mine {
  color: var(--slate);
  font-weight: 600;
}
</style>
