<script setup lang="ts">
import type { AmountRule } from '@kobrin/core'
import { preySize } from '@kobrin/core'
import { computed, reactive } from 'vue'
import { tidy } from './tidy.ts'
import CalculatorFrame from './CalculatorFrame.vue'
import ChoiceField from '../fields/ChoiceField.vue'
import { choicesOf } from '../fields/choicesOf.ts'
import SureNumber from '../fields/SureNumber.vue'

interface Asked {
  by: 'massShare' | 'width'
  grams: number
  low: number
  high: number
  mm: number
  factor: number
}

const WAYS = choicesOf<Asked['by']>({
  massShare: 'share of its weight',
  width: 'a measured width',
})
const ask = reactive<Asked>({
  by: 'massShare',
  grams: 1500,
  low: 5,
  high: 7,
  mm: 17,
  factor: 0.7,
})
const RODENTS = [
  { size: 'pinkie', grams: 2 },
  { size: 'fuzzy', grams: 5 },
  { size: 'small mouse', grams: 12 },
  { size: 'adult mouse', grams: 24 },
  { size: 'weaned rat', grams: 40 },
  { size: 'small rat', grams: 80 },
  { size: 'medium rat', grams: 140 },
]
const INSECTS = [
  { size: 'S', widthMm: 2 },
  { size: 'M', widthMm: 4 },
  { size: 'L', widthMm: 6 },
  { size: 'XL', widthMm: 8 },
]

const meal = computed(() => {
  const rule: AmountRule =
    ask.by === 'massShare'
      ? { by: 'massShare', share: [ask.low / 100, ask.high / 100], count: 1 }
      : { by: 'width', part: 'headWidth', factor: ask.factor, count: [1, 1] }
  const sizes = ask.by === 'massShare' ? RODENTS : INSECTS
  return preySize(rule, sizes, { grams: ask.grams, mm: { headWidth: ask.mm } })
})
</script>

<template>
  <CalculatorFrame
    title="Prey size"
    formula="By weight: share × body weight, the largest size not above it. By width: factor × the widest part of the head, abdomen or gap between the eyes, the widest size not above it."
    careful="When in doubt one size smaller. Prey left alive overnight bites: take it out."
  >
    <ChoiceField v-model="ask.by" label="By" :options="WAYS" />
    <div v-if="ask.by === 'massShare'" class="pair">
      <SureNumber v-model="ask.grams" label="It weighs" unit="g" />
      <SureNumber v-model="ask.low" label="From" unit="%" />
      <SureNumber v-model="ask.high" label="To" unit="%" />
    </div>
    <div v-else class="pair">
      <SureNumber v-model="ask.mm" label="Widest part" unit="mm" />
      <SureNumber v-model="ask.factor" label="Factor" />
    </div>
    <template #answer>
      <p>
        <strong>{{ meal.size ?? 'None of these' }}</strong>
        <template v-if="meal.tooLarge"
          >: even {{ meal.tooLarge.size }} is too large. A part of one, or waiting</template
        >
        <template v-if="meal.grams">, {{ tidy(meal.grams[0]) }}–{{ tidy(meal.grams[1]) }} g a meal</template>
        <template v-else>, no wider than {{ tidy(ask.mm * ask.factor) }} mm</template>
      </p>
    </template>
  </CalculatorFrame>
</template>
