<script setup lang="ts">
import type { Reason } from '@kobrin/core'
import { terms } from './terms.ts'
import { sayReason } from './reasons.ts'
import { useTeller } from './useTeller.ts'

const { reasons, label } = defineProps<{ reasons: readonly Reason[]; label: string }>()
const teller = useTeller()
</script>

<template>
  <details class="because">
    <summary :aria-label="`${terms.because}: ${label}`">{{ terms.because }}</summary>
    <ul>
      <li v-for="(reason, index) in reasons" :key="index">{{ sayReason(reason, teller) }}</li>
    </ul>
  </details>
</template>

<style scoped>
.because {
  font-size: 13.5px;
}

summary {
  display: inline-block;
  min-height: 24px;
  color: var(--focus);
  cursor: pointer;
  text-decoration: underline;
  text-underline-offset: 3px;
}

ul {
  margin: 2px 0 4px;
  padding-left: 9px;
  border-left: 3px solid var(--line);
  color: var(--soft);
  overflow-wrap: anywhere;
}
</style>
