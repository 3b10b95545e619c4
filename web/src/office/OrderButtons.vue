<script setup lang="ts">
import { ArrowDown, ArrowUp } from '@lucide/vue'
import Button from 'primevue/button'
import { t } from './words.ts'

/** Something sooner or later in the walk, among so many of its kind. */
defineProps<{ name: string; at: number; of: number }>()
const emit = defineEmits<{ put: [at: number] }>()
</script>

<template>
  <Button
    severity="secondary"
    :disabled="at === 0"
    :aria-label="t('soonerRoom', { name })"
    @click="emit('put', at - 1)"
    ><ArrowUp aria-hidden="true"
  /></Button>
  <Button
    severity="secondary"
    :disabled="at === of - 1"
    :aria-label="t('laterRoom', { name })"
    @click="emit('put', at + 1)"
    ><ArrowDown aria-hidden="true"
  /></Button>
</template>
