<script setup lang="ts">
import { ref } from 'vue'
import type { Item } from '@sickle/core/catalog'
import { isItSelling, whatIsEstimated } from '@/shared/answers'
import { whoseDays } from '@/shared/course-words'
import SalesChart from '@/shared/charts/SalesChart.vue'
import AgeMark from '@/shared/widgets/AgeMark.vue'
import GradeMark from '@/shared/widgets/GradeMark.vue'

const { item, tall = false } = defineProps<{ item: Item; tall?: boolean }>()
const days = ref(90)
</script>

<template>
  <article>
    <h3>Is it really selling? <AgeMark :day="item.windowEnd" /> <GradeMark :grade="item.unitsGrade" /></h3>
    <p>{{ isItSelling(item) }}</p>
    <p v-if="whatIsEstimated(item)" class="small quiet">{{ whatIsEstimated(item) }}</p>
    <SalesChart v-if="item.series" v-model:days="days" :series="item.series" :height="tall ? 150 : 92" />
    <p v-if="whoseDays(item)" class="small quiet">{{ whoseDays(item) }}</p>
  </article>
</template>
