<script setup lang="ts">
import { NConfigProvider, NGlobalStyle, NMessageProvider } from 'naive-ui'
import { computed, provide, watch } from 'vue'
import { useSettings } from '@/shared/stores/settings'
import { decimalMarkKey } from '@/shared/use-typed'
import AppFrame from './AppFrame.vue'
import { useTheme } from '@/shared/theme/use-theme'

const settings = useSettings()
const theme = useTheme()
provide(
  decimalMarkKey,
  computed(() => settings.value.decimal),
)
watch(
  () => settings.value.theme,
  (choice) => (theme.choice.value = choice),
)
</script>

<template>
  <NConfigProvider :theme="theme.naive.value" :theme-overrides="theme.overrides.value" abstract>
    <NGlobalStyle />
    <NMessageProvider placement="bottom" :duration="5000" keep-alive-on-hover :container-style="{ bottom: '52px' }">
      <AppFrame />
    </NMessageProvider>
  </NConfigProvider>
</template>
