<script setup lang="ts">
import { may, OFFICE_ROUTES } from '@kobrin/contract'
import { useIntervalFn } from '@vueuse/core'
import Button from 'primevue/button'
import ProgressBar from 'primevue/progressbar'
import { computed } from 'vue'
import Wrong from '../fields/Wrong.vue'
import { usePeople } from '../people/usePeople.ts'
import { call } from '../wire/call.ts'
import { useTold } from '../wire/queries.ts'
import { useAskedCurves } from './useCurves.ts'
import { t } from './words.ts'

/** How far the server is with the growth curves, and telling it to begin or to stop. */
const people = usePeople()
const { answer, complaint, again } = useAskedCurves()
const LOOK_MS = 2_000
const waiting = computed(() => answer.value?.waiting ?? 0)
const done = computed(() => {
  const of = answer.value?.of ?? 0
  return of === 0 ? 100 : Math.floor((100 * (of - waiting.value)) / of)
})
useIntervalFn(() => waiting.value > 0 && again(), LOOK_MS)

const telling = useTold((route: typeof OFFICE_ROUTES.fitAnew | typeof OFFICE_ROUTES.stopFitting) =>
  call(route),
)
async function tell(route: typeof OFFICE_ROUTES.fitAnew | typeof OFFICE_ROUTES.stopFitting): Promise<void> {
  await telling.told(route)
  again()
}
</script>

<template>
  <div class="fits no-print">
    <template v-if="answer">
      <p class="quiet" role="status">
        {{ t(waiting > 0 ? 'waiting' : 'allFitted', { waiting, of: answer.of }) }}
      </p>
      <ProgressBar v-if="waiting > 0" :value="done" :aria-label="t('waiting', { waiting, of: answer.of })" />
      <template v-if="may(people.role, 'editSheets')">
        <Button
          v-if="waiting > 0"
          severity="secondary"
          :disabled="telling.busy.value"
          @click="tell(OFFICE_ROUTES.stopFitting)"
          >{{ t('stopFitting') }}</Button
        >
        <Button
          v-else
          severity="secondary"
          :disabled="telling.busy.value"
          @click="tell(OFFICE_ROUTES.fitAnew)"
          >{{ t('fitAnew') }}</Button
        >
      </template>
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
