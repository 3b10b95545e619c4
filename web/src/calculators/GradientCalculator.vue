<script setup lang="ts">
import { reachable } from '@kobrin/core'
import { computed, reactive } from 'vue'
import { sayRangeIn } from '../words/measures.ts'
import { tidy } from './tidy.ts'
import CalculatorFrame from './CalculatorFrame.vue'
import SureNumber from '../fields/SureNumber.vue'
import { t } from './words.ts'

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
  <CalculatorFrame :title="t('gradientItCanReach')" :formula="t('onAStraightLine')">
    <div class="pair">
      <SureNumber v-model="ask.lengthMm" :label="t('enclosureLength')" unit="mm" />
      <SureNumber v-model="ask.bodyMm" :label="t('animal')" unit="mm" />
      <SureNumber v-model="ask.cool" :label="t('coolEnd')" unit="°C" />
      <SureNumber v-model="ask.warm" :label="t('warmEnd')" unit="°C" />
      <SureNumber v-model="ask.low" :label="t('wantedFrom')" unit="°C" />
      <SureNumber v-model="ask.high" :label="t('to2')" unit="°C" />
    </div>
    <template #answer>
      <p v-if="found">
        <strong>{{ tidy(found.share * 100) }} %</strong>
        {{
          t('ofItToC', {
            range: sayRangeIn(found.celsius, '°C', tidy),
            bodyLengths: tidy(found.bodyLengths),
          })
        }}
      </p>
      <p v-else>{{ t('noneItIsLonger') }}</p>
    </template>
  </CalculatorFrame>
</template>
