<script setup lang="ts">
import Tab from 'primevue/tab'
import TabList from 'primevue/tablist'
import Tabs from 'primevue/tabs'
import { computed } from 'vue'
import { RouterLink, useRoute } from 'vue-router'
import '../app/page.css'
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
  <nav class="no-print" :aria-label="t('library')">
    <Tabs :value="here" scrollable>
      <TabList>
        <Tab
          v-for="{ name, label } in PAGES"
          :key="name"
          :as="RouterLink"
          :to="{ name }"
          :value="name"
          :pt="{ root: { 'aria-controls': null } }"
          >{{ label }}</Tab
        >
      </TabList>
    </Tabs>
  </nav>
</template>

<style scoped>
a {
  text-decoration: none;
}
</style>
