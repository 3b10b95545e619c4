<script setup lang="ts">
import '../app/page.css'
import LibraryTabs from '../library/LibraryTabs.vue'
import DayLengthCalculator from './DayLengthCalculator.vue'
import DilutionCalculator from './DilutionCalculator.vue'
import GradientCalculator from './GradientCalculator.vue'
import MixCalculator from './MixCalculator.vue'
import PreyCalculator from './PreyCalculator.vue'
import UnitsCalculator from './UnitsCalculator.vue'
import UvbCalculator from './UvbCalculator.vue'
import WateringCalculator from './WateringCalculator.vue'
import { t } from './words.ts'
</script>

<template>
  <main class="reading">
    <header>
      <h1>{{ t('calculators') }}</h1>
      <LibraryTabs />
      <p class="quiet">{{ t('eachShowsItsFormula') }}</p>
    </header>
    <div class="columns">
      <MixCalculator />
      <PreyCalculator />
      <UvbCalculator />
      <GradientCalculator />
      <DayLengthCalculator />
      <DilutionCalculator />
      <WateringCalculator />
      <UnitsCalculator />
    </div>
  </main>
</template>
