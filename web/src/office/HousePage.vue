<script setup lang="ts">
import type { Units } from '@kobrin/contract'
import type { Hemisphere } from '@kobrin/core'
import { KeepHouse, OFFICE_ROUTES, writtenNumber, YEAR } from '@kobrin/contract'
import Button from 'primevue/button'
import { computed, reactive, watch } from 'vue'
import '../app/page.css'
import ChoiceField from '../fields/ChoiceField.vue'
import NumberField from '../fields/NumberField.vue'
import SchemaForm from '../fields/SchemaForm.vue'
import TextField from '../fields/TextField.vue'
import Wrong from '../fields/Wrong.vue'
import { unitChoices } from '../people/unitChoices.ts'
import { useSite } from '../site/useSite.ts'
import { call } from '../api/call.ts'
import { keyOf, queries, useAnswerOf, useSending } from '../api/queries.ts'
import OfficeTabs from './OfficeTabs.vue'
import { t } from './words.ts'

const site = useSite()
const { answer, complaint } = useAnswerOf(OFFICE_ROUTES.house)
const form = reactive({
  name: '',
  prefix: '',
  digits: null as number | null,
  units: 'metric' as Units,
  hemisphere: 'north' as Hemisphere,
})
const UNITS = unitChoices()
const HEMISPHERES = [
  { value: 'north' as const, label: t('northern') },
  { value: 'south' as const, label: t('southern') },
]
watch(
  answer,
  (house) => {
    if (!house) return
    const { name, prefix, digits, units, hemisphere = 'north' } = house
    Object.assign(form, { name, prefix, digits, units, hemisphere })
  },
  { immediate: true },
)

/** The number the next newcomer would be given as the form stands. */
const next = computed(() => {
  const { prefix, digits } = form
  const scheme = { prefix: prefix.trim(), digits: digits ?? 1 }
  return answer.value ? writtenNumber(scheme, answer.value.next, new Date().getFullYear()) : ''
})

const keeping = useSending(async () => {
  await call(OFFICE_ROUTES.keepHouse, { body: KeepHouse.parse(form) })
  await Promise.all([queries.invalidateQueries({ queryKey: keyOf(OFFICE_ROUTES.house) }), site.load()])
})
</script>

<template>
  <main class="reading">
    <header>
      <h1>{{ t('house') }}</h1>
      <OfficeTabs />
    </header>
    <Wrong :says="complaint" />
    <SchemaForm
      v-if="answer"
      class="narrow"
      :schema="KeepHouse"
      :sends="() => form"
      :complaint="keeping.complaint.value"
      @keep="keeping.send()"
    >
      <TextField v-model="form.name" name="name" :label="t('nameOfHouse')" maxlength="120" />
      <p class="quiet">{{ t('zoneOfHouse', { zone: answer.zone }) }}</p>
      <ChoiceField v-model="form.units" name="units" :label="t('unitsOfHouse')" :options="UNITS" />
      <ChoiceField
        v-model="form.hemisphere"
        name="hemisphere"
        :label="t('hemisphereOfHouse')"
        :options="HEMISPHERES"
      />
      <div class="pair">
        <TextField v-model="form.prefix" name="prefix" :label="t('beforeDigits')" maxlength="12" />
        <NumberField v-model="form.digits" name="digits" :label="t('digitsAtLeast')" whole />
      </div>
      <p>{{ t('nextNumber', { number: next }) }}</p>
      <p class="quiet">
        <code>{{ YEAR }}</code> {{ t('yearInNumber') }}
      </p>
      <template #buttons>
        <Button type="submit" :disabled="keeping.busy.value">{{ t('keep') }}</Button>
      </template>
    </SchemaForm>
  </main>
</template>
