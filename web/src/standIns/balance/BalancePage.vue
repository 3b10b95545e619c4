<script setup lang="ts">
import Button from 'primevue/button'
import SelectButton from 'primevue/selectbutton'
import { computed, shallowRef } from 'vue'
import NumberField from '../../fields/NumberField.vue'
import { usePan } from './usePan.ts'
import { t } from './words.ts'

const { line, load, put } = usePan()
const grams = shallowRef<number | null>(42)
const tub = shallowRef<number | null>(0)
const lively = shallowRef(0.3)
const moods = [
  { label: t('asleep'), value: 0 },
  { label: t('quiet'), value: 0.3 },
  { label: t('lively'), value: 0.7 },
  { label: t('neverStill'), value: 1 },
]
const lies = computed(() =>
  load.value.grams > 0 ? t('animalOnIt') : load.value.tub > 0 ? t('emptyTubOnIt') : t('nothingOnIt'),
)

function putOn(animal: number): void {
  void put({ grams: animal, tub: tub.value ?? 0, lively: lively.value })
}
</script>

<template>
  <main class="reading bench">
    <header>
      <h1>{{ t('title') }}</h1>
    </header>
    <p class="quiet">{{ t('what') }}</p>
    <p class="shows" :class="{ away: line === null }" role="status" aria-live="off">
      {{ line ?? t('away') }}
    </p>
    <p class="quiet">{{ lies }}</p>
    <div class="form">
      <div class="pair">
        <NumberField v-model="grams" :label="t('animal')" unit="g" />
        <NumberField v-model="tub" :label="t('tub')" unit="g" />
      </div>
      <SelectButton
        v-model="lively"
        :options="moods"
        option-label="label"
        option-value="value"
        :allow-empty="false"
        :aria-label="t('mood')"
      />
      <div class="row">
        <Button @click="putOn(grams ?? 0)">{{ t('putOn') }}</Button>
        <Button severity="secondary" @click="putOn(0)">{{ t('onlyTub') }}</Button>
        <Button severity="secondary" @click="put({ grams: 0, tub: 0, lively: 0 })">{{ t('liftOff') }}</Button>
      </div>
    </div>
  </main>
</template>

<style scoped>
.bench {
  max-width: 560px;
  margin: 0 auto;
}

.shows {
  padding: 18px;
  border: 2px solid var(--edge);
  background: var(--glass);
  font-variant-numeric: tabular-nums;
  font-size: 3rem;
  font-weight: 700;
  text-align: right;
}

.shows.away {
  color: var(--late);
  font-size: 1.25rem;
}
</style>
