<script setup lang="ts">
const { title, formula, careful } = defineProps<{ title: string; formula: string; careful?: string }>()
</script>

<template>
  <section class="block calculator" :aria-label="title">
    <h2>{{ title }}</h2>
    <div class="form"><slot /></div>
    <div class="answer" role="status"><slot name="answer" /></div>
    <p class="quiet small">{{ formula }}</p>
    <p v-if="careful" class="small careful">{{ careful }}</p>
  </section>
</template>

<style scoped>
.answer {
  padding: 8px 12px;
  border-left: 5px solid var(--focus);
  background: var(--glass);
}

.small {
  font-size: 0.8438rem;
}

.careful {
  padding-left: 8px;
  border-left: 5px dotted var(--held);
}
</style>
