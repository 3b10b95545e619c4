<script setup lang="ts">
import Button from 'primevue/button'
import { t } from './words.ts'

const { why } = defineProps<{ why: string }>()
const emit = defineEmits<{ again: [] }>()
</script>

<template>
  <div class="opening" role="alert">
    <p>{{ why }}</p>
    <Button @click="emit('again')">{{ t('tryAgain') }}</Button>
  </div>
</template>
