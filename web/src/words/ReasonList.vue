<script setup lang="ts">
import type { Reason, Verdict } from '@kobrin/core'
import { computed } from 'vue'
import { sayAdvice } from './advice.ts'
import { sayReason } from './reasons.ts'
import { useTeller } from './useTeller.ts'

/** The facts and the rule of a task, a hold or a verdict; of a verdict also what to do next and what clears it. */
const { reasons, label, verdict } = defineProps<{
  reasons: readonly Reason[]
  label: string
  verdict?: Verdict | undefined
}>()
const teller = useTeller()
const advice = computed(() => (verdict ? sayAdvice(verdict) : null))
</script>

<template>
  <div class="reasons">
    <ul :aria-label="label">
      <li v-for="(reason, index) in reasons" :key="index">{{ sayReason(reason, teller) }}</li>
    </ul>
    <template v-if="advice">
      <p class="next">{{ advice.next }}</p>
      <p class="clears">{{ advice.clears }}</p>
    </template>
  </div>
</template>

<style scoped>
.reasons {
  max-width: min(420px, 80vw);
  font-size: 0.875rem;
  overflow-wrap: anywhere;
}

ul {
  display: grid;
  gap: 4px;
}

p {
  margin-top: 8px;
}

.next {
  font-weight: 600;
}

.clears {
  color: var(--soft);
}
</style>
