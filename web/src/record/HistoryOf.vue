<script setup lang="ts">
import type { Fact } from '@kobrin/core'
import { effectiveFacts } from '@kobrin/core'
import { watch } from 'vue'
import { useHistory } from './useHistory.ts'

/** Reads the history of somebody, and tells it. Draws nothing. */
const { residentId } = defineProps<{ residentId: string }>()
const emit = defineEmits<{ read: [facts: readonly Fact[]] }>()
const { entries } = useHistory(() => residentId)

watch(entries, (read) => emit('read', effectiveFacts(read)), { immediate: true })
</script>

<template>
  <!-- Nothing to see. -->
  <slot />
</template>
