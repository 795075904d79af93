<script setup lang="ts">
import { NTable } from 'naive-ui'
</script>

<template>
  <NTable class="plain" size="small" :bordered="false"><slot /></NTable>
</template>
