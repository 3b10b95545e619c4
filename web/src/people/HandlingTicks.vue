<script setup lang="ts">
import TickField from '../fields/TickField.vue'
import type { LetterSize } from '../app/useHandling.ts'
import { START_PAGES, useHandling } from '../app/useHandling.ts'
import ChoiceField from '../fields/ChoiceField.vue'
import { choicesOf } from '../fields/choicesOf.ts'
import { words } from '../words/en.ts'
import { t } from './words.ts'

const { letters, opensFirst, letterSize, startPage } = useHandling()
const SIZES = choicesOf<LetterSize>({
  usual: t('lettersUsual'),
  large: t('lettersLarge'),
  largest: t('lettersLargest'),
})
const PAGES = START_PAGES.map((value) => ({ value, label: words.places[value] }))
</script>

<template>
  <div class="handling">
    <TickField v-model="letters" :label="t('singleLettersAct')" />
    <TickField v-model="opensFirst" :label="t('aTouchOpensFirst')" />
    <ChoiceField v-model="letterSize" :label="t('lettersAre')" :options="SIZES" />
    <ChoiceField v-model="startPage" :label="t('beginAt')" :options="PAGES" />
    <p class="quiet">{{ opensFirst ? t('touchABoxOpens') : t('touchABoxAs') }}</p>
  </div>
</template>

<style scoped>
.handling {
  display: grid;
  gap: 6px;
  margin-bottom: 14px;
}
</style>
