<script setup lang="ts">
import { RouterLink } from 'vue-router'
import '../app/page.css'
</script>

<template>
  <nav class="tabs no-print" aria-label="Library">
    <RouterLink :to="{ name: 'library' }">Species</RouterLink>
    <RouterLink :to="{ name: 'schools' }">Schools</RouterLink>
    <RouterLink :to="{ name: 'calculators' }">Calculators</RouterLink>
  </nav>
</template>
