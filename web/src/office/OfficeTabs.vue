<script setup lang="ts">
import type { Route } from '@kobrin/contract'
import { may } from '@kobrin/contract'
import Tab from 'primevue/tab'
import TabList from 'primevue/tablist'
import Tabs from 'primevue/tabs'
import { computed } from 'vue'
import { RouterLink, useRoute } from 'vue-router'
import { usePeople } from '../people/usePeople.ts'
import { t } from './words.ts'

type Access = Exclude<Route['access'], 'anyone' | 'signedIn'>
const PAGES: readonly { name: string; label: string; access: Access }[] = [
  { name: 'places', label: t('places'), access: 'editPlaces' },
  { name: 'people', label: t('people'), access: 'editPeople' },
  { name: 'audit', label: t('audit'), access: 'editPlaces' },
  { name: 'backup', label: t('backup'), access: 'editPlaces' },
]
const people = usePeople()
const route = useRoute()
const pages = computed(() => PAGES.filter(({ access }) => may(people.role, access)))
const here = computed(() => (route.name === 'bay' ? 'places' : String(route.name)))
</script>

<template>
  <nav class="no-print" :aria-label="t('office')">
    <Tabs :value="here" scrollable>
      <TabList>
        <Tab
          v-for="{ name, label } in pages"
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
