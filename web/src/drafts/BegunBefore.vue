<script setup lang="ts">
import Button from 'primevue/button'
import { useToday } from '../time/useToday.ts'
import { sayDay } from '../words/numbers.ts'
import type { FormDraft } from './useDraft.ts'
import { t } from './words.ts'

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
    {{ t('begunAndNotKept', { when: when(begunAt) }) }}
    <Button severity="secondary" @click="anew()">{{ t('startAnew') }}</Button>
  </p>
</template>
