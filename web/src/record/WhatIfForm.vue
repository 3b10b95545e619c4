<script setup lang="ts">
import type { Fact, WeightAhead, WhatIf } from '@kobrin/core'
import Button from 'primevue/button'
import MultiSelect from 'primevue/multiselect'
import { computed, shallowRef } from 'vue'
import Labelled from '../fields/Labelled.vue'
import NumberField from '../fields/NumberField.vue'
import { useToday } from '../time/useToday.ts'
import { sayGrams } from '../words/measures.ts'
import { sayDate } from '../words/numbers.ts'
import { sayPerWeek } from './sayWeightAhead.ts'
import { t } from './words.ts'

/** The course of the weight if it were otherwise: nothing of it is kept. */
const { facts, weightAhead, busy } = defineProps<{
  facts: readonly Fact[]
  weightAhead: WeightAhead | null
  busy: boolean
}>()
const whatIf = defineModel<WhatIf>({ required: true })
const emit = defineEmits<{ stop: [] }>()
const today = useToday()

/** The latest first. */
const readings = computed(() =>
  facts
    .flatMap((fact) =>
      fact.kind === 'weighed'
        ? [
            {
              value: fact.uid,
              label: t('readingOf', {
                date: sayDate(fact.day, today.day),
                grams: sayGrams(fact.payload.grams),
              }),
            },
          ]
        : [],
    )
    .reverse(),
)
const without = computed({
  get: () => [...(whatIf.value.without ?? [])],
  set: (uids: string[]) => (whatIf.value = { ...whatIf.value, without: uids }),
})
const typedEvery = shallowRef<number | null>(null)
const typedTarget = shallowRef<number | null>(null)

function ask(every: number | null, target: number | null): void {
  typedEvery.value = every
  typedTarget.value = target
  whatIf.value = {
    ...whatIf.value,
    every: every !== null && every >= 1 ? Math.round(every) : undefined,
    target: target !== null && target > 0 ? target : undefined,
  }
}

function asItIs(): void {
  typedEvery.value = null
  typedTarget.value = null
  whatIf.value = {}
}

const noticed = computed(() => {
  const found = weightAhead?.noticed
  if (!found) return ''
  return found.days === null
    ? t('noticedNever', { every: found.every })
    : t('noticedAfter', { every: found.every, count: found.days })
})
</script>

<template>
  <section class="what" :aria-label="t('whatIf')">
    <div class="fields">
      <Labelled v-slot="{ id, labelId }" :label="t('withoutReadings')">
        <MultiSelect
          v-model="without"
          :input-id="id"
          :aria-labelledby="labelId"
          :options="readings"
          option-label="label"
          option-value="value"
          :show-toggle-all="false"
          :placeholder="t('noneLeftOut')"
          :max-selected-labels="2"
          :selected-items-label="t('leftOut')"
          :virtual-scroller-options="{ itemSize: 44 }"
          fluid
        />
      </Labelled>
      <NumberField
        :model-value="typedEvery"
        :label="t('weighedEvery')"
        whole
        @update:model-value="ask($event ?? null, typedTarget)"
      />
      <NumberField
        :model-value="typedTarget"
        :label="t('towards')"
        unit="g"
        @update:model-value="ask(typedEvery, $event ?? null)"
      />
      <Button severity="secondary" @click="asItIs">{{ t('asItIs') }}</Button>
      <Button v-if="busy" severity="secondary" @click="emit('stop')">{{ t('stopIt') }}</Button>
    </div>
    <p role="status">
      {{
        weightAhead?.perWeek
          ? t('thenPerWeek', { change: sayPerWeek(weightAhead.perWeek) })
          : t('noTrendThen')
      }}
      {{ noticed }}
    </p>
  </section>
</template>

<style scoped>
.what {
  display: grid;
  gap: 6px;
  padding: 8px 12px;
  border-left: 5px solid var(--focus);
  background: var(--glass);
}

.fields {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: end;
}

.fields > :first-child {
  flex: 1 1 220px;
}
</style>
