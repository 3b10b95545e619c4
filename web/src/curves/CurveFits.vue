<script setup lang="ts">
import { may, OFFICE_ROUTES } from '@kobrin/contract'
import { useIntervalFn } from '@vueuse/core'
import Button from 'primevue/button'
import ProgressBar from 'primevue/progressbar'
import { computed } from 'vue'
import Wrong from '../fields/Wrong.vue'
import { usePeople } from '../people/usePeople.ts'
import { call } from '../api/call.ts'
import { useSending } from '../api/queries.ts'
import { useAskedCurves } from './useCurves.ts'
import { t } from './words.ts'

/** How far the server is with the growth curves, and telling it to begin or to stop. */
const people = usePeople()
const { answer, complaint, again } = useAskedCurves()
const LOOK_MS = 2_000
const of = computed(() => answer.value?.of ?? 0)
const waiting = computed(() => answer.value?.waiting ?? 0)
const says = computed(() =>
  t(waiting.value > 0 ? 'waiting' : 'allFitted', { waiting: waiting.value, of: of.value }),
)
const done = computed(() =>
  of.value === 0 ? 100 : Math.floor((100 * (of.value - waiting.value)) / of.value),
)
useIntervalFn(() => waiting.value > 0 && again(), LOOK_MS)

/** What it can be told now. */
const next = computed(() => (waiting.value > 0 ? 'stopFitting' : 'fitAnew'))
const telling = useSending((what: 'stopFitting' | 'fitAnew') => call(OFFICE_ROUTES[what]))

async function tell(): Promise<void> {
  await telling.send(next.value)
  again()
}
</script>

<template>
  <div class="fits no-print">
    <template v-if="answer">
      <p class="quiet" role="status">{{ says }}</p>
      <ProgressBar v-if="waiting > 0" :value="done" :aria-label="says" />
      <Button
        v-if="may(people.role, 'editSheets')"
        severity="secondary"
        :disabled="telling.busy.value"
        @click="tell"
        >{{ t(next) }}</Button
      >
    </template>
    <Wrong :says="complaint || telling.complaint.value" />
  </div>
</template>

<style scoped>
.fits {
  display: flex;
  flex: 1 0 100%;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 16px;
}

.fits .p-progressbar {
  flex: 0 1 180px;
}
</style>
