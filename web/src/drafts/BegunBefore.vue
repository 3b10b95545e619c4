<script setup lang="ts">
import Button from 'primevue/button'
import { useToday } from '../time/useToday.ts'
import { sayDay } from '../words/numbers.ts'
import type { FormDraft } from './useDraft.ts'

/** Says that what stands in a form was typed before it was opened. */
const { draft } = defineProps<{ draft: FormDraft }>()
const { begunAt, anew } = draft
const today = useToday()

function when(iso: string): string {
  return `${sayDay(today.dayOf(iso), today.day)} ${today.clock(iso)}`
}
</script>

<template>
  <p v-if="begunAt" class="ask row" role="status">
    Begun {{ when(begunAt) }} and not kept: here it is again.
    <Button severity="secondary" @click="anew()">Start anew</Button>
  </p>
</template>
