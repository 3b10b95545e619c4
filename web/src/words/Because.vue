<script setup lang="ts">
import type { Reason, Verdict } from '@kobrin/core'
import Button from 'primevue/button'
import Popover from 'primevue/popover'
import { computed, shallowRef, useId, useTemplateRef } from 'vue'
import { usePrinting } from '../app/usePrinting.ts'
import { sayAdvice } from './judged.ts'
import { terms } from './terms.ts'
import { sayReason } from './reasons.ts'
import { useTeller } from './useTeller.ts'

const { reasons, label, verdict } = defineProps<{
  reasons: readonly Reason[]
  label: string
  /** What the reasons are of: said with what to do next and what clears it. */
  verdict?: Verdict
}>()
const teller = useTeller()
const over = useTemplateRef<{ toggle: (event: Event) => void }>('over')
/** On paper nothing can be opened. */
const printing = usePrinting()
const isOpen = shallowRef(false)
const id = useId()
const advice = computed(() => (verdict ? sayAdvice(verdict) : null))
</script>

<template>
  <Button
    variant="link"
    class="because no-print"
    :aria-label="`${terms.because}: ${label}`"
    aria-haspopup="dialog"
    :aria-expanded="isOpen"
    :aria-controls="isOpen ? id : undefined"
    @click="over?.toggle($event)"
    >{{ terms.because }}</Button
  >
  <ul v-if="printing" class="reasons">
    <li v-for="(reason, index) in reasons" :key="index">{{ sayReason(reason, teller) }}</li>
  </ul>
  <Popover ref="over" :aria-label="label" @show="isOpen = true" @hide="isOpen = false">
    <ul :id="id" class="reasons" :aria-label="label">
      <li v-for="(reason, index) in reasons" :key="index">{{ sayReason(reason, teller) }}</li>
    </ul>
    <p v-if="advice" class="advice">{{ advice.next }}</p>
    <p v-if="advice" class="clears">{{ advice.clears }}</p>
  </Popover>
</template>

<style scoped>
.because {
  align-self: start;
  min-height: 24px;
  padding: 0;
  font-size: 0.8438rem;
  font-weight: 400;
  text-decoration: underline;
  text-underline-offset: 3px;
}

strong + .because {
  margin-left: 6px;
}

.reasons {
  display: grid;
  gap: 4px;
  max-width: min(420px, 80vw);
  font-size: 0.875rem;
  overflow-wrap: anywhere;
}

.advice,
.clears {
  max-width: min(420px, 80vw);
  margin-top: 8px;
  font-size: 0.875rem;
}

.advice {
  font-weight: 600;
}

.clears {
  color: var(--soft);
}
</style>
