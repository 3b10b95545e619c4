<script setup lang="ts">
import DatePicker from 'primevue/datepicker'
import { computed, shallowRef } from 'vue'
import { dateOfDay, dayOfDate } from './days.ts'
import Labelled from './Labelled.vue'
import { t } from './words.ts'

defineOptions({ inheritAttrs: false })
const { label, name } = defineProps<{ label: string; name?: string | undefined }>()
/** A civil day, counted as the record counts them; null where none is said. */
const day = defineModel<number | null | undefined>({ required: true })
/** What was typed and is no day. */
const unread = shallowRef('')
const wrong = computed(() => (unread.value ? t('isNoDayFor', { unread: unread.value }) : undefined))
/** What is no day stays as it was typed, which the calendar bears although its types do not say so. */
const inField = computed(
  () => (unread.value || (typeof day.value === 'number' ? dateOfDay(day.value) : null)) as Date | null,
)

function said(next: unknown): void {
  unread.value = typeof next === 'string' ? next : ''
  if (next instanceof Date) day.value = dayOfDate(next)
  else if (unread.value === '') day.value = null
}
</script>

<template>
  <Labelled v-slot="{ id, labelId, invalid }" :label="label" :name="name" :wrong="wrong">
    <DatePicker
      v-bind="$attrs"
      :model-value="inField"
      :name="name"
      :input-id="id"
      :aria-labelledby="labelId"
      :invalid="invalid"
      date-format="d M yy"
      :placeholder="t('n3Mar2026')"
      show-icon
      icon-display="input"
      show-button-bar
      fluid
      @update:model-value="said"
    />
  </Labelled>
</template>
