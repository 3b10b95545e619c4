<script setup lang="ts">
import type { Unit } from '@kobrin/core'
import { convert, UNITS } from '@kobrin/core'
import { computed, reactive } from 'vue'
import { spaced } from '../words/spaced.ts'
import CalculatorFrame from './CalculatorFrame.vue'
import ChoiceField from '../fields/ChoiceField.vue'
import { choicesFrom } from '../fields/choicesOf.ts'
import SureNumber from '../fields/SureNumber.vue'
import { t } from './words.ts'

const ask = reactive<{ value: number; from: Unit }>({ value: 85, from: '°F' })
const GROUPS = Object.entries(UNITS).map(([label, units]) => ({
  label,
  options: choicesFrom(units),
}))
const others = computed(() => {
  const family = Object.values(UNITS).find((units) => units.includes(ask.from)) ?? []
  return family
    .filter((unit) => unit !== ask.from)
    .map((unit) => `${spaced(Number((convert(ask.value, ask.from, unit) ?? 0).toPrecision(7)))} ${unit}`)
})
</script>

<template>
  <CalculatorFrame :title="t('units')" :formula="t('exact1In25')">
    <div class="pair">
      <SureNumber v-model="ask.value" :label="t('value')" />
      <ChoiceField v-model="ask.from" :label="t('unit')" :groups="GROUPS" />
    </div>
    <template #answer>
      <p>
        <strong>{{ others.join(' · ') }}</strong>
      </p>
    </template>
  </CalculatorFrame>
</template>
