<script setup lang="ts">
import type { Light } from '@kobrin/core'
import { uvbFor } from '@kobrin/core'
import { computed, reactive } from 'vue'
import { sayRangeIn } from '../words/measures.ts'
import { tidy } from './tidy.ts'
import CalculatorFrame from './CalculatorFrame.vue'
import SureNumber from '../fields/SureNumber.vue'
import { t } from './words.ts'

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
    :title="t('ultravioletTube')"
    :formula="t('tubeShareLengthOf')"
    :careful="t('readTheIndexWhere')"
  >
    <div class="pair">
      <SureNumber v-model="ask.lengthMm" :label="t('enclosureLength')" unit="mm" />
      <SureNumber v-model="ask.low" :label="t('shareFrom')" unit="%" />
      <SureNumber v-model="ask.high" :label="t('to2')" unit="%" />
      <SureNumber v-model="ask.near" :label="t('distanceFrom')" unit="mm" />
      <SureNumber v-model="ask.far" :label="t('to2')" unit="mm" />
      <SureNumber v-model="ask.basking" :label="t('backOfTheBasking')" unit="mm" />
    </div>
    <template #answer>
      <p>
        {{ t('tube') }}
        <strong>{{ sayRangeIn(tube.tubeMm, 'mm', tidy) }}</strong>
        {{ t('longHung') }}
        <strong>{{ sayRangeIn(tube.hangsAtMm, 'mm', tidy) }}</strong>
        {{ t('aboveTheBase') }}
      </p>
    </template>
  </CalculatorFrame>
</template>
