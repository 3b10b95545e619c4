<script setup lang="ts">
import type { Reason, Verdict } from '@kobrin/core'
import { computed } from 'vue'
import NextStep from '../verdicts/NextStep.vue'
import { isPressing } from '../verdicts/isPressing.ts'
import { sayClears } from './advice.ts'
import { sayReason } from './reasons.ts'
import { useTeller } from './useTeller.ts'

/** The facts and the rule of a task, a hold or a verdict; of a verdict also what to do next and what clears it. */
const { reasons, label, verdict, residentId } = defineProps<{
  reasons: readonly Reason[]
  label: string
  verdict?: Verdict | undefined
  /** On whom the verdict is. */
  residentId?: string | undefined
}>()
const teller = useTeller()
const clears = computed(() => (verdict ? sayClears(verdict) : null))
</script>

<template>
  <div class="reasons">
    <ul :aria-label="label">
      <li v-for="(reason, index) in reasons" :key="index">{{ sayReason(reason, teller) }}</li>
    </ul>
    <NextStep
      v-if="verdict && residentId !== undefined && !isPressing(verdict)"
      :verdict="verdict"
      :resident-id="residentId"
    />
    <p v-if="clears" class="clears">{{ clears }}</p>
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

.clears {
  color: var(--soft);
}
</style>
