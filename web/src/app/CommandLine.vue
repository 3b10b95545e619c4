<script setup lang="ts">
/** Something to type at a terminal: no language has another word for it. */
defineProps<{ command: string }>()
</script>

<template>
  <pre><code>{{ command }}</code></pre>
</template>

<style scoped>
pre {
  padding: 8px 12px;
  background: var(--chip);
  font-size: 0.875rem;
  overflow-x: auto;
}
</style>
