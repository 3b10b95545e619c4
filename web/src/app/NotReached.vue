<script setup lang="ts">
import Button from 'primevue/button'

const { why } = defineProps<{ why: string }>()
const emit = defineEmits<{ again: [] }>()
</script>

<template>
  <div class="opening" role="alert">
    <p>{{ why }}</p>
    <Button @click="emit('again')">Try again</Button>
  </div>
</template>
