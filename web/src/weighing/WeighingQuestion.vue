<script setup lang="ts">
import type { Doubt, WeighingDoubt, WeightContext } from '@kobrin/core'
import Button from 'primevue/button'
import { computed, onMounted, useTemplateRef } from 'vue'
import SeveralOf from '../fields/SeveralOf.vue'
import { useToday } from '../time/useToday.ts'
import { sayGrams, sayMm } from '../words/measures.ts'
import { insteadOf, sayQuestion } from './sayQuestion.ts'
import { t } from './words.ts'

/** What has to be asked before a number is kept, where it stands. */
const { doubt, ofWeight, contexts } = defineProps<{
  doubt: Doubt | WeighingDoubt
  /** Of a part that was measured otherwise. */
  ofWeight: boolean
  contexts: readonly WeightContext[]
}>()
const context = defineModel<string[]>('context', { required: true })
const emit = defineEmits<{
  again: []
  meant: [value: number]
  settle: [as: 'so' | 'doubted']
  insteadOfFirst: []
}>()
const today = useToday()
const instead = computed(() => insteadOf(doubt))
const value = computed(() => ('value' in doubt ? doubt.value : null))
const say = (one: number) => (ofWeight ? sayGrams(one) : sayMm(one))
const isPair = computed(() => doubt.code === 'justWeighed')
const box = useTemplateRef<HTMLElement>('box')

onMounted(() => box.value?.querySelector<HTMLElement>('[data-first]')?.focus())
</script>

<template>
  <div ref="box" class="ask question" role="alertdialog" :aria-label="t('isThisRight')">
    <p>
      <strong>{{ sayQuestion(doubt, today.day) }}</strong>
    </p>
    <SeveralOf
      v-if="contexts.length > 0"
      v-model="context"
      :label="t('couldBe')"
      :options="contexts.map((one) => ({ value: one, label: t(one) }))"
    />
    <div class="row">
      <Button data-first @click="emit('again')">{{ ofWeight ? t('weighAgain') : t('measureAgain') }}</Button>
      <Button v-if="instead !== null" severity="secondary" @click="emit('meant', instead)">{{
        t('iMeant', { instead: say(instead) })
      }}</Button>
      <Button v-if="isPair" severity="secondary" @click="emit('insteadOfFirst')">{{
        t('notTheFirst')
      }}</Button>
      <Button v-if="value === null || value > 0" severity="secondary" @click="emit('settle', 'so')">{{
        isPair ? t('keepBoth') : t('itIs', { value: value === null ? '' : say(value) })
      }}</Button>
      <Button
        v-if="ofWeight && !isPair && value !== null && value > 0"
        severity="secondary"
        @click="emit('settle', 'doubted')"
        >{{ t('asSuspect') }}</Button
      >
    </div>
    <p v-if="ofWeight && !isPair" class="quiet">{{ t('suspectMeans') }}</p>
  </div>
</template>

<style scoped>
.question {
  display: grid;
  gap: 8px;
}
</style>
