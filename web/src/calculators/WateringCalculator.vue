<script setup lang="ts">
import { MATERIALS, wateringLitres } from '@kobrin/core'
import { computed, reactive } from 'vue'
import { tidy } from './tidy.ts'
import CalculatorFrame from './CalculatorFrame.vue'
import ChoiceField from '../fields/ChoiceField.vue'
import { choicesFrom } from '../fields/choicesOf.ts'
import SureNumber from '../fields/SureNumber.vue'

const ask = reactive({ material: 'topsoil', litres: 60, from: 40, to: 80 })
const materials = choicesFrom(Object.keys(MATERIALS))
const litres = computed(() =>
  wateringLitres(ask.litres, MATERIALS[ask.material]?.waterPerLitre ?? 0, ask.from / 100, ask.to / 100),
)
</script>

<template>
  <CalculatorFrame
    title="Litres to water"
    formula="Litres = litres of floor × what a litre holds × (wanted − present share). Squeeze test: damp in the hand and no drip is about 80 %."
    careful="Pour at the damp end and wait a day before pouring again. Standing water at the bottom drowns burrows."
  >
    <div class="pair">
      <ChoiceField v-model="ask.material" label="Floor of" :options="materials" />
      <SureNumber v-model="ask.litres" label="Floor" unit="l" />
      <SureNumber v-model="ask.from" label="Holds now" unit="%" />
      <SureNumber v-model="ask.to" label="Wanted" unit="%" />
    </div>
    <template #answer>
      <p>
        <strong>{{ tidy(litres) }} l</strong>{{ litres === 0 ? ': damp enough' : '' }}
      </p>
    </template>
  </CalculatorFrame>
</template>
