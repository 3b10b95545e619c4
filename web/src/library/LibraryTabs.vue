<script setup lang="ts">
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import PageTabs from '../app/PageTabs.vue'
import { t } from './words.ts'

const PAGES = [
  { name: 'library', label: t('species2') },
  { name: 'schools', label: t('schools') },
  { name: 'calculators', label: t('calculators') },
] as const
const route = useRoute()
const here = computed(() => String(route.name))
</script>

<template>
  <PageTabs :label="t('library')" :pages="PAGES" :here="here" />
</template>
