<script setup lang="ts">
import type { Light } from '@kobrin/core'
import { uvbFor } from '@kobrin/core'
import { computed, reactive } from 'vue'
import { tidy } from './tidy.ts'
import CalculatorFrame from './CalculatorFrame.vue'
import SureNumber from '../fields/SureNumber.vue'

const { lengthMm = 1200, uvb } = defineProps<{ lengthMm?: number; uvb?: NonNullable<Light['uvb']> }>()
const [low = 0.5, high = 0.75] = uvb?.share ?? []
const [near = 250, far = 400] = uvb?.distanceMm ?? []
const ask = reactive({ lengthMm, low: low * 100, high: high * 100, near, far, basking: 120 })
const tube = computed(() =>
  uvbFor(
    { share: [ask.low / 100, ask.high / 100], distanceMm: [ask.near, ask.far] },
    ask.lengthMm,
    ask.basking,
  ),
)
</script>

<template>
  <CalculatorFrame
    title="Ultraviolet tube"
    formula="Tube = share × length of the enclosure. It hangs at the height of the basking back plus the sheet's distance."
    careful="Read the index where it basks when you can: mesh, glass and age change it. Always shade to go to. Do not look into the tube."
  >
    <div class="pair">
      <SureNumber v-model="ask.lengthMm" label="Enclosure length" unit="mm" />
      <SureNumber v-model="ask.low" label="Share from" unit="%" />
      <SureNumber v-model="ask.high" label="to" unit="%" />
      <SureNumber v-model="ask.near" label="Distance from" unit="mm" />
      <SureNumber v-model="ask.far" label="to" unit="mm" />
      <SureNumber v-model="ask.basking" label="Back of the basking animal above the base" unit="mm" />
    </div>
    <template #answer>
      <p>
        Tube <strong>{{ tidy(tube.tubeMm[0]) }}–{{ tidy(tube.tubeMm[1]) }} mm</strong> long, hung
        <strong>{{ tidy(tube.hangsAtMm[0]) }}–{{ tidy(tube.hangsAtMm[1]) }} mm</strong> above the base
      </p>
    </template>
  </CalculatorFrame>
</template>
