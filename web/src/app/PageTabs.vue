<script setup lang="ts">
import Tab from 'primevue/tab'
import TabList from 'primevue/tablist'
import Tabs from 'primevue/tabs'
import { RouterLink } from 'vue-router'
import './page.css'

/** The pages of one place, each a link. */
defineProps<{ label: string; pages: readonly { name: string; label: string }[]; here: string }>()
</script>

<template>
  <nav class="no-print" :aria-label="label">
    <Tabs :value="here" scrollable>
      <TabList>
        <Tab
          v-for="page in pages"
          :key="page.name"
          :as="RouterLink"
          :to="{ name: page.name }"
          :value="page.name"
          :pt="{ root: { 'aria-controls': null } }"
          >{{ page.label }}</Tab
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
