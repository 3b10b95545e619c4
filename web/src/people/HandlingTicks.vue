<script setup lang="ts">
import TickField from '../fields/TickField.vue'
import { useHandling } from '../app/useHandling.ts'
import { t } from './words.ts'

const { letters, opensFirst } = useHandling()
</script>

<template>
  <div class="handling">
    <TickField v-model="letters" :label="t('singleLettersAct')" />
    <TickField v-model="opensFirst" :label="t('aTouchOpensFirst')" />
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
