<script setup lang="ts">
import type { Payload } from '@kobrin/core'
import { kindOf, mayRecord } from '@kobrin/core'
import Button from 'primevue/button'
import { computed, reactive } from 'vue'
import { useRecord } from '../entries/useRecord.ts'
import DayField from '../fields/DayField.vue'
import SchemaForm from '../fields/SchemaForm.vue'
import { usePeople } from '../people/usePeople.ts'
import { useResidents } from './useResidents.ts'
import { t } from './words.ts'

/** A licence that ends is renewed, or not needed any more. */
const { number, residentId } = defineProps<{ number: string; residentId: string }>()
const record = useRecord()
const people = usePeople()
const residents = useResidents()

const form = reactive({ until: null as number | null })
const what = computed(
  () => record.stateOf(residentId).identity?.permits.find((permit) => permit.number === number)?.what,
)
const renewed = (): Payload<'permitted'> => ({
  number,
  ...(what.value !== undefined && { what: what.value }),
  until: form.until,
})
const also = (): Record<string, string> => (form.until === null ? { until: t('untilWhen') } : {})

function keep(payload: Payload<'permitted'>): void {
  const name = residents.nameOf(residentId)
  record.keep([{ subject: residentId, kind: 'permitted', payload }], t('licenceOf', { name }))
}
</script>

<template>
  <SchemaForm
    v-if="mayRecord(people.role, 'permitted')"
    :schema="kindOf('permitted').payload"
    :sends="renewed"
    :also="also"
    @keep="keep(renewed())"
  >
    <DayField v-model="form.until" name="until" :label="t('renewedUntil')" />
    <div class="row">
      <Button type="submit" severity="secondary">{{ t('renewed') }}</Button>
      <Button severity="secondary" @click="keep({ number, until: null, withdrawn: true })">{{
        t('notNeeded')
      }}</Button>
    </div>
  </SchemaForm>
</template>
