<script setup lang="ts">
import type { Units } from '@kobrin/contract'
import { OFFICE_ROUTES } from '@kobrin/contract'
import { computed, shallowRef } from 'vue'
import { sayError } from '../app/sayError.ts'
import ChoiceField from '../fields/ChoiceField.vue'
import Wrong from '../fields/Wrong.vue'
import { call } from '../api/call.ts'
import { unitChoices } from './unitChoices.ts'
import { usePeople } from './usePeople.ts'
import { useUnits } from './useUnits.ts'
import { t } from './words.ts'

const people = usePeople()
const units = useUnits()
const CHOICES = unitChoices()
const complaint = shallowRef('')

async function choose(next: Units): Promise<void> {
  complaint.value = ''
  try {
    await call(OFFICE_ROUTES.chooseUnits, { body: { units: next } })
    if (people.me) people.put({ ...people.me, person: { ...people.me.person, units: next } })
  } catch (error) {
    complaint.value = sayError(error)
  }
}

const chosen = computed<Units>({
  get: () => units.value,
  set: (next) => void choose(next),
})
</script>

<template>
  <ChoiceField v-model="chosen" :label="t('measuredIn')" :options="CHOICES" />
  <Wrong :says="complaint" />
  <p class="quiet">{{ t('sheetsAreMetric') }}</p>
</template>
