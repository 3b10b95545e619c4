<script setup lang="ts">
import type { Unit } from '@kobrin/core'
import { convert, UNITS } from '@kobrin/core'
import { computed, reactive } from 'vue'
import { spaced } from '../words/numbers.ts'
import CalculatorFrame from './CalculatorFrame.vue'
import ChoiceField from '../fields/ChoiceField.vue'
import { choicesFrom } from '../fields/choicesOf.ts'
import SureNumber from '../fields/SureNumber.vue'

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
  <CalculatorFrame
    title="Units"
    formula="Exact: 1 in = 25.4 mm, 1 lb = 453.59237 g, 1 US gallon = 3785.411784 ml, °C = (°F − 32) × 5 ÷ 9."
  >
    <div class="pair">
      <SureNumber v-model="ask.value" label="Value" />
      <ChoiceField v-model="ask.from" label="Unit" :groups="GROUPS" />
    </div>
    <template #answer>
      <p>
        <strong>{{ others.join(' · ') }}</strong>
      </p>
    </template>
  </CalculatorFrame>
</template>
