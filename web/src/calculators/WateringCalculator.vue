<script setup lang="ts">
import { MATERIALS, wateringLitres } from '@kobrin/core'
import { computed, reactive } from 'vue'
import { sayIn } from '../words/measures.ts'
import { tidy } from './tidy.ts'
import CalculatorFrame from './CalculatorFrame.vue'
import ChoiceField from '../fields/ChoiceField.vue'
import { choicesFrom } from '../fields/choicesOf.ts'
import SureNumber from '../fields/SureNumber.vue'
import { t } from './words.ts'

const ask = reactive({ material: 'topsoil', litres: 60, from: 40, to: 80 })
const materials = choicesFrom(Object.keys(MATERIALS))
const litres = computed(() =>
  wateringLitres(ask.litres, MATERIALS[ask.material]?.waterPerLitre ?? 0, ask.from / 100, ask.to / 100),
)
</script>

<template>
  <CalculatorFrame
    :title="t('litresToWater')"
    :formula="t('litresLitresOfFloor')"
    :careful="t('pourAtTheDamp')"
  >
    <div class="pair">
      <ChoiceField v-model="ask.material" :label="t('floorOf')" :options="materials" />
      <SureNumber v-model="ask.litres" :label="t('floor')" unit="l" />
      <SureNumber v-model="ask.from" :label="t('holdsNow')" unit="%" />
      <SureNumber v-model="ask.to" :label="t('wanted')" unit="%" />
    </div>
    <template #answer>
      <p>
        <strong>{{ sayIn(litres, 'l', tidy) }}</strong>{{ litres === 0 ? t('dampEnough') : '' }}
      </p>
    </template>
  </CalculatorFrame>
</template>
