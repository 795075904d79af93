<script setup lang="ts">
import { computed } from 'vue'
import { useOwn } from '@/shared/stores/own'
import { decidedWords, useSheaf } from '@/shared/stores/sheaf'
import { useFollow } from '@/shared/use-follow'
import BareButton from './BareButton.vue'

/** An item in a list of Rivals: it leads to its look, can be decided by a letter where it stands, and says what was decided and whether it is mine. */
const { itemKey, title } = defineProps<{ itemKey: string; title: string; withoutMine?: boolean }>()
const follow = useFollow()
const sheaf = useSheaf()
const own = useOwn()
const decision = computed(() => sheaf.decisionOf(itemKey)?.state)
</script>

<template>
  <BareButton type="info" class="link" :data-item="itemKey" :data-title="title" @click="follow.item(itemKey, title)">{{
    title
  }}</BareButton>
  <b v-if="decision" class="small decided" :class="decision"> {{ decidedWords[decision] }}</b>
  <span v-if="!withoutMine && own.isMine(itemKey)" class="small mine"> mine too</span>
</template>

<style scoped>
.mine {
  color: var(--slate);
  font-weight: 600;
}
</style>
