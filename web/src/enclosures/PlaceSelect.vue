<script setup lang="ts">
import type { Finding } from '@kobrin/core'
import { computed } from 'vue'
import ChoiceField from '../fields/ChoiceField.vue'
import { usePlacesLeft } from '../places/usePlacesLeft.ts'
import FindingList from './FindingList.vue'
import { sayFit } from './useFit.ts'
import { t } from './words.ts'

/** One of the places that stand empty, and how it is held against what the newcomer needs. */
const { label, name, places, placeholder } = defineProps<{
  label: string
  /** Said instead of how many stand empty, while that cannot be known. */
  placeholder?: string | undefined
  name?: string | undefined
  places: readonly { id: string; label: string; findings: Finding[] }[]
}>()
const chosen = defineModel<string>({ required: true })
const left = usePlacesLeft()
const options = computed(() =>
  places.map(({ id, label: place, findings: found }) => ({
    value: id,
    label: `${place}: ${sayFit(found)}${left.left.has(id) ? t('toBeCleanedFirst') : ''}`,
  })),
)
const findings = computed(() => places.find(({ id }) => id === chosen.value)?.findings)
</script>

<template>
  <ChoiceField
    v-model="chosen"
    :label="label"
    :name="name"
    :options="options"
    :placeholder="placeholder ?? t('placesStandEmpty', { count: places.length })"
  />
  <FindingList v-if="findings" :findings="findings" />
</template>
