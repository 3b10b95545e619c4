<script setup lang="ts">
import Button from 'primevue/button'
import { computed } from 'vue'
import { useRecord } from '../entries/useRecord.ts'
import { usePlans } from '../plans/usePlans.ts'
import { useSite } from '../site/useSite.ts'
import { useResidents } from '../residents/useResidents.ts'
import { usePeople } from '../people/usePeople.ts'
import { terms } from '../words/terms.ts'
import BodyShape from './BodyShape.vue'
import { scaleOf } from './scales.ts'
import { t } from './words.ts'

const { residentId } = defineProps<{ residentId: string }>()
const site = useSite()
const plans = usePlans()
const record = useRecord()
const residents = useResidents()
const people = usePeople()

const scale = computed(() => {
  const resident = site.residents.get(residentId)
  return resident ? scaleOf(plans.planOf(resident)) : null
})
const last = computed(() => record.stateOf(residentId).health.condition?.score)
const mayScore = computed(() => people.maySay({ kind: 'condition' }))
const SCORES = [1, 2, 3, 4, 5] as const

function score(value: number): void {
  record.keep(
    [{ subject: residentId, kind: 'condition', payload: { score: value } }],
    t('bodyCondition2', { name: residents.nameOf(residentId), value }),
  )
}
</script>

<template>
  <section v-if="scale" class="block">
    <h2>{{ t('bodyCondition') }}</h2>
    <ol>
      <li v-for="one in SCORES" :key="one" :class="{ on: last === one }">
        <BodyShape :shape="scale.shape" :score="one" />
        <div>
          <strong>{{ one }} {{ terms.condition[one] }}</strong>
          <p class="quiet">{{ scale.says[one - 1] }}</p>
        </div>
        <Button v-if="mayScore" severity="secondary" :aria-label="t('score', { one })" @click="score(one)">
          {{ one }}
        </Button>
      </li>
    </ol>
    <p class="quiet">
      {{ t('whatIsSeenAnd') }}
    </p>
  </section>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: 64px 1fr auto;
  gap: 12px;
  align-items: center;
}

.on {
  padding-left: 6px;
  border-left: 5px solid var(--focus);
}
</style>
