<script setup lang="ts">
import { Form } from '@primevue/forms'
import Button from 'primevue/button'
import { computed, shallowRef } from 'vue'
import ChoiceField from '../fields/ChoiceField.vue'
import NumberField from '../fields/NumberField.vue'
import TextField from '../fields/TextField.vue'
import Wrong from '../fields/Wrong.vue'
import { sayGrams } from '../words/measures.ts'
import type { useTubs } from './useTubs.ts'
import { t } from './words.ts'

/** What the animals sit in on the balance: labelled, and weighed once. */
const { bench, onBalance } = defineProps<{
  bench: ReturnType<typeof useTubs>
  /** What the balance shows now, grams, with nothing taken off. */
  onBalance: number | null
}>()
const { tubs, label, tub } = bench
const adding = shallowRef(false)
const newLabel = shallowRef('')
const newGrams = shallowRef<number | null>(null)
const complaint = shallowRef('')

const options = computed(() => [
  { value: '', label: t('noTub') },
  ...tubs.value.map((one) => ({
    value: one.label,
    label: t('tubOf', { label: one.label, grams: sayGrams(one.grams) }),
  })),
])

function keep(): void {
  const name = newLabel.value.trim()
  const grams = newGrams.value
  complaint.value = name === '' || grams === null || grams <= 0 ? t('tubNeeds') : ''
  if (complaint.value || grams === null) return
  bench.keep({ label: name, grams })
  newLabel.value = ''
  newGrams.value = null
  adding.value = false
}
</script>

<template>
  <section class="tubs" :aria-label="t('tubs')">
    <div class="pick">
      <ChoiceField v-model="label" :label="t('tub')" :options="options" :placeholder="t('noTub')" />
      <Button severity="secondary" :aria-expanded="adding" @click="adding = !adding">{{
        t('newTub')
      }}</Button>
      <Button v-if="tub" severity="secondary" @click="bench.drop(tub.label)">{{
        t('dropTub', { label: tub.label })
      }}</Button>
    </div>
    <Form v-if="adding" class="new" @submit="keep">
      <TextField v-model="newLabel" :label="t('tubLabel')" maxlength="40" />
      <NumberField v-model="newGrams" :label="t('tubGrams')" unit="g" />
      <Button v-if="onBalance !== null && onBalance > 0" severity="secondary" @click="newGrams = onBalance">{{
        t('weighTub', { grams: sayGrams(onBalance) })
      }}</Button>
      <Button type="submit">{{ t('keepTub') }}</Button>
      <Wrong :says="complaint" />
    </Form>
  </section>
</template>

<style scoped>
.tubs {
  display: grid;
  gap: 8px;
}

.pick,
.new {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: end;
}

.pick > :first-child {
  flex: 1 1 180px;
}
</style>
