<script setup lang="ts">
import { reachable } from '@kobrin/core'
import { computed, reactive } from 'vue'
import { tidy } from './tidy.ts'
import CalculatorFrame from './CalculatorFrame.vue'
import SureNumber from '../fields/SureNumber.vue'

const {
  lengthMm = 1200,
  bodyMm = 500,
  cool = 25,
  warm = 33,
} = defineProps<{ lengthMm?: number; bodyMm?: number; cool?: number; warm?: number }>()

const ask = reactive({ lengthMm, bodyMm, cool, warm, low: cool, high: warm })
const found = computed(() => reachable(ask.lengthMm, ask.bodyMm, ask.cool, ask.warm, [ask.low, ask.high]))
</script>

<template>
  <CalculatorFrame
    title="Gradient it can reach"
    formula="On a straight line from cool to warm the middle of the animal comes no nearer to an end than half its length; the share is what of the wanted range lies between."
  >
    <div class="pair">
      <SureNumber v-model="ask.lengthMm" label="Enclosure length" unit="mm" />
      <SureNumber v-model="ask.bodyMm" label="Animal" unit="mm" />
      <SureNumber v-model="ask.cool" label="Cool end" unit="°C" />
      <SureNumber v-model="ask.warm" label="Warm end" unit="°C" />
      <SureNumber v-model="ask.low" label="Wanted from" unit="°C" />
      <SureNumber v-model="ask.high" label="to" unit="°C" />
    </div>
    <template #answer>
      <p v-if="found">
        <strong>{{ tidy(found.share * 100) }} %</strong> of it: {{ tidy(found.celsius[0]) }} to
        {{ tidy(found.celsius[1]) }} °C, {{ tidy(found.bodyLengths) }} body lengths
      </p>
      <p v-else>None: it is longer than the enclosure, or the ends are the wrong way round.</p>
    </template>
  </CalculatorFrame>
</template>
