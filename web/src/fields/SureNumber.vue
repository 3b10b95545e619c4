<script setup lang="ts">
import { shallowRef } from 'vue'
import { numberHere } from '../words/measures.ts'
import NumberField from './NumberField.vue'
import { t } from './words.ts'

/** A number that cannot be left out: while the field is empty the last one counts, and the field says so. */
defineProps<{
  label: string
  unit?: string | undefined
  name?: string | undefined
  whole?: boolean | undefined
}>()
const value = defineModel<number>({ required: true })
const isEmpty = shallowRef(false)

function typed(next: number | null | undefined): void {
  isEmpty.value = typeof next !== 'number'
  if (typeof next === 'number') value.value = next
}
</script>

<template>
  <NumberField
    v-bind="$props"
    :model-value="isEmpty ? null : value"
    :wrong="isEmpty ? t('numberNeeded', { value: numberHere(value, unit ?? '') }) : undefined"
    @update:model-value="typed"
  />
</template>
