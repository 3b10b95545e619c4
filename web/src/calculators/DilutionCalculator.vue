<script setup lang="ts">
import { dilution } from '@kobrin/core'
import { computed, reactive } from 'vue'
import { sayIn } from '../words/measures.ts'
import { tidy } from './tidy.ts'
import CalculatorFrame from './CalculatorFrame.vue'
import ChoiceField from '../fields/ChoiceField.vue'
import { choicesOf } from '../fields/choicesOf.ts'
import SureNumber from '../fields/SureNumber.vue'
import { t } from './words.ts'

interface Asked {
  by: 'percent' | 'parts' | 'weight' | 'volume'
  stock: number
  target: number
  one: number
  other: number
  total: number
}

const WAYS = choicesOf<Asked['by']>({
  percent: t('aStockThinnedTo'),
  parts: t('partsToParts'),
  weight: t('sugarWaterPercentBy'),
  volume: t('aPowderPercentBy'),
})
const ask = reactive<Asked>({
  by: 'percent',
  stock: 10,
  target: 1,
  one: 1,
  other: 9,
  total: 1000,
})

const says = computed(() => {
  const { by, stock, target, one, other, total } = ask
  const made =
    by === 'parts'
      ? dilution({ by, parts: [one, other], totalMl: total })
      : by === 'percent'
        ? dilution({ by, stockPercent: stock, targetPercent: target, totalMl: total })
        : dilution({ by: 'solution', percent: target, per: by, total })
  switch (made?.by) {
    case 'parts':
      return t('mlAndMl', { ml: sayIn(made.ml[0] ?? 0, 'ml', tidy), ml2: sayIn(made.ml[1] ?? 0, 'ml', tidy) })
    case 'percent':
      return t('mlOfTheStock', {
        stock: sayIn(made.stockMl, 'ml', tidy),
        water: sayIn(made.waterMl, 'ml', tidy),
      })
    case 'solution':
      return made.waterUnit === 'g'
        ? t('gSugarInG', { solute: sayIn(made.soluteGrams, 'g', tidy), water: sayIn(made.water, 'g', tidy) })
        : t('gFilledUpWith', {
            solute: sayIn(made.soluteGrams, 'g', tidy),
            water: sayIn(made.water, 'ml', tidy),
          })
    case undefined:
      return t('thereIsNoSuch')
  }
})
</script>

<template>
  <CalculatorFrame
    :title="t('dilutionAndSugarWater')"
    :formula="t('stockTotalWantedStock')"
    :careful="t('waterFirstThenThe')"
  >
    <ChoiceField v-model="ask.by" :label="t('what')" :options="WAYS" />
    <div class="pair">
      <SureNumber v-if="ask.by === 'percent'" v-model="ask.stock" :label="t('stock')" unit="%" />
      <SureNumber v-if="ask.by !== 'parts'" v-model="ask.target" :label="t('wanted')" unit="%" />
      <SureNumber v-if="ask.by === 'parts'" v-model="ask.one" :label="t('partsOfOne')" />
      <SureNumber v-if="ask.by === 'parts'" v-model="ask.other" :label="t('partsOfTheOther')" />
      <SureNumber v-model="ask.total" :label="t('total')" :unit="ask.by === 'weight' ? 'g' : 'ml'" />
    </div>
    <template #answer>
      <p>
        <strong>{{ says }}</strong>
      </p>
    </template>
  </CalculatorFrame>
</template>
