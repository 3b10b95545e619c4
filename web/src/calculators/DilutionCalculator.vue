<script setup lang="ts">
import { dilution } from '@kobrin/core'
import { computed, reactive } from 'vue'
import { tidy } from './tidy.ts'
import CalculatorFrame from './CalculatorFrame.vue'
import ChoiceField from '../fields/ChoiceField.vue'
import { choicesOf } from '../fields/choicesOf.ts'
import SureNumber from '../fields/SureNumber.vue'

interface Asked {
  by: 'percent' | 'parts' | 'weight' | 'volume'
  stock: number
  target: number
  one: number
  other: number
  total: number
}

const WAYS = choicesOf<Asked['by']>({
  percent: 'a stock thinned to a percentage',
  parts: 'parts to parts',
  weight: 'sugar water, percent by weight',
  volume: 'a powder, percent by volume',
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
      return `${tidy(made.ml[0] ?? 0)} ml and ${tidy(made.ml[1] ?? 0)} ml`
    case 'percent':
      return `${tidy(made.stockMl)} ml of the stock, ${tidy(made.waterMl)} ml of water`
    case 'solution':
      return made.waterUnit === 'g'
        ? `${tidy(made.soluteGrams)} g sugar in ${tidy(made.water)} g of water`
        : `${tidy(made.soluteGrams)} g, filled up with water to ${tidy(made.water)} ml`
    case undefined:
      return 'There is no such dilution: nothing to divide, or stronger than the stock.'
  }
})
</script>

<template>
  <CalculatorFrame
    title="Dilution and sugar water"
    formula="Stock = total × wanted ÷ stock %. By parts: total × part ÷ all parts. By weight: grams to 100 g; by volume: grams filled up to 100 ml."
    careful="Water first, then the stock. Gloves and eye protection with disinfectants; never two of them together, never with ammonia; keep to the contact time on the label and rinse."
  >
    <ChoiceField v-model="ask.by" label="What" :options="WAYS" />
    <div class="pair">
      <SureNumber v-if="ask.by === 'percent'" v-model="ask.stock" label="Stock" unit="%" />
      <SureNumber v-if="ask.by !== 'parts'" v-model="ask.target" label="Wanted" unit="%" />
      <SureNumber v-if="ask.by === 'parts'" v-model="ask.one" label="Parts of one" />
      <SureNumber v-if="ask.by === 'parts'" v-model="ask.other" label="Parts of the other" />
      <SureNumber v-model="ask.total" label="Total" :unit="ask.by === 'weight' ? 'g' : 'ml'" />
    </div>
    <template #answer>
      <p>
        <strong>{{ says }}</strong>
      </p>
    </template>
  </CalculatorFrame>
</template>
