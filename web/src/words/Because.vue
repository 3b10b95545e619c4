<script setup lang="ts">
import type { Reason } from '@kobrin/core'
import Button from 'primevue/button'
import Popover from 'primevue/popover'
import { shallowRef, useId, useTemplateRef } from 'vue'
import { terms } from './terms.ts'
import { sayReason } from './reasons.ts'
import { useTeller } from './useTeller.ts'

const { reasons, label } = defineProps<{ reasons: readonly Reason[]; label: string }>()
const teller = useTeller()
const over = useTemplateRef<{ toggle: (event: Event) => void }>('over')
const isOpen = shallowRef(false)
const id = useId()
</script>

<template>
  <Button
    variant="link"
    class="because"
    :aria-label="`${terms.because}: ${label}`"
    aria-haspopup="dialog"
    :aria-expanded="isOpen"
    :aria-controls="isOpen ? id : undefined"
    @click="over?.toggle($event)"
    >{{ terms.because }}</Button
  >
  <Popover ref="over" :aria-label="label" @show="isOpen = true" @hide="isOpen = false">
    <ul :id="id" class="reasons" :aria-label="label">
      <li v-for="(reason, index) in reasons" :key="index">{{ sayReason(reason, teller) }}</li>
    </ul>
  </Popover>
</template>

<style scoped>
.because {
  align-self: start;
  min-height: 24px;
  padding: 0;
  font-size: 13.5px;
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
  font-size: 14px;
  overflow-wrap: anywhere;
}
</style>
