<script setup lang="ts">
import type { AmountRule } from '@kobrin/core'
import { MOST_OF_ITSELF, preySize, tooMuchOfItself } from '@kobrin/core'
import { computed, reactive } from 'vue'
import { sayIn, sayRangeIn } from '../words/measures.ts'
import { tidy } from './tidy.ts'
import CalculatorFrame from './CalculatorFrame.vue'
import ChoiceField from '../fields/ChoiceField.vue'
import { choicesOf } from '../fields/choicesOf.ts'
import SureNumber from '../fields/SureNumber.vue'
import { t } from './words.ts'

interface Asked {
  by: 'massShare' | 'width'
  grams: number
  low: number
  high: number
  mm: number
  factor: number
}

const WAYS = choicesOf<Asked['by']>({
  massShare: t('shareOfItsWeight'),
  width: t('aMeasuredWidth'),
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
  { size: t('smallMouse'), grams: 12 },
  { size: t('adultMouse'), grams: 24 },
  { size: t('weanedRat'), grams: 40 },
  { size: t('smallRat'), grams: 80 },
  { size: t('mediumRat'), grams: 140 },
]
const INSECTS = [
  { size: 'S', widthMm: 2 },
  { size: 'M', widthMm: 4 },
  { size: 'L', widthMm: 6 },
  { size: 'XL', widthMm: 8 },
]

const rule = computed((): AmountRule =>
  ask.by === 'massShare'
    ? { by: 'massShare', share: [ask.low / 100, ask.high / 100], count: 1 }
    : { by: 'width', part: 'headWidth', factor: ask.factor, count: [1, 1] },
)
const tooMuch = computed(() => tooMuchOfItself(rule.value))
const meal = computed(() => {
  const sizes = ask.by === 'massShare' ? RODENTS : INSECTS
  return preySize(rule.value, sizes, { grams: ask.grams, mm: { headWidth: ask.mm } })
})
</script>

<template>
  <CalculatorFrame :title="t('preySize')" :formula="t('byWeightShareBody')" :careful="t('whenInDoubtOne')">
    <ChoiceField v-model="ask.by" :label="t('by')" :options="WAYS" />
    <div v-if="ask.by === 'massShare'" class="pair">
      <SureNumber v-model="ask.grams" :label="t('itWeighs')" unit="g" />
      <SureNumber v-model="ask.low" :label="t('from')" unit="%" />
      <SureNumber v-model="ask.high" :label="t('to3')" unit="%" />
    </div>
    <div v-else class="pair">
      <SureNumber v-model="ask.mm" :label="t('widestPart')" unit="mm" />
      <SureNumber v-model="ask.factor" :label="t('factor')" />
    </div>
    <template #answer>
      <p v-if="tooMuch !== null">
        <strong>{{ t('noSuchShare', { share: tidy(tooMuch * 100), most: MOST_OF_ITSELF * 100 }) }}</strong>
      </p>
      <p v-else>
        <strong>{{ meal.size ?? t('noneOfThese') }}</strong>
        <template v-if="meal.tooLarge">{{ t('evenIsTooLarge', { size: meal.tooLarge.size }) }}</template>
        <template v-if="meal.grams">{{ t('gAMeal', { range: sayRangeIn(meal.grams, 'g', tidy) }) }}</template>
        <template v-else>{{ t('noWiderThanMm', { mm: sayIn(ask.mm * ask.factor, 'mm', tidy) }) }}</template>
      </p>
    </template>
  </CalculatorFrame>
</template>
