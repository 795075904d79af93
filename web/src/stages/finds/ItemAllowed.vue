<script setup lang="ts">
import type { Item } from '@sickle/core/catalog'
import { useServices } from '@/services/services'
import { mayIListIt, whoSays } from '@/shared/answers'
import { useLatest } from '@/shared/use-latest'

const { item } = defineProps<{ item: Item }>()
const services = useServices()
const allowed = useLatest([() => item], () => services.engine.call('allowed', [item.key]))
</script>

<template>
  <article>
    <h3>May I list it?</h3>
    <p :class="{ loss: allowed?.status === 'restricted' }">{{ mayIListIt(allowed) }}</p>
    <ul v-if="allowed && allowed.because.length > 1" class="plain small">
      <li v-for="(b, i) in allowed.because.slice(1, 4)" :key="i">
        {{ whoSays(b) }}: {{ b.what }}, {{ b.status }}<template v-if="b.note"> ({{ b.note }})</template>
      </li>
    </ul>
  </article>
</template>
