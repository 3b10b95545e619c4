<script setup lang="ts">
import type { Fact, WhatIf } from '@kobrin/core'
import ToggleButton from 'primevue/togglebutton'
import { computed, shallowRef } from 'vue'
import { fetched } from '../app/later.ts'
import ChoiceField from '../fields/ChoiceField.vue'
import { useSite } from '../site/useSite.ts'
import HistoryOf from './HistoryOf.vue'
import type { Known } from './lifelineInput.ts'
import { explainedSpans, weightAheadInput, skinWindow } from './lifelineInput.ts'
import { sayGrowth } from './sayWeightAhead.ts'
import { useWeightAhead } from './useWeightAhead.ts'
import WhatIfForm from './WhatIfForm.vue'
import { t } from './words.ts'

/** The lifeline of somebody, what its weights say of what comes, and what if they were otherwise. */
const { residentId, known, nowMs, say } = defineProps<{
  residentId: string
  known: Known
  nowMs: number
  say: (uid: string) => string
}>()
const emit = defineEmits<{ open: [uid: string] }>()
const LifelineChart = fetched(() => import('./LifelineChart.vue'))

const site = useSite()
const asking = shallowRef(false)
const whatIf = shallowRef<WhatIf>({})
/** What is not asked any more is not answered. */
const asked = computed(() => (asking.value ? whatIf.value : {}))
const input = computed(() => weightAheadInput(known))
const { weightAhead, busy, stop } = useWeightAhead(
  () => input.value,
  () => asked.value,
)

const name = computed(() => site.residents.get(residentId)?.name ?? '')
const isYoung = computed(() => known.plan.growth?.last === false)
const wantsGrowth = shallowRef<boolean | null>(null)
const growth = computed({
  get: () => wantsGrowth.value ?? isYoung.value,
  set: (next) => (wantsGrowth.value = next),
})
const otherId = shallowRef('')
const otherFacts = shallowRef<readonly Fact[]>([])
/** Those of its kind. */
const others = computed(() => {
  const sheet = site.residents.get(residentId)?.sheet
  const alike = [...site.residents.values()].filter((one) => one.sheet === sheet && one.id !== residentId)
  return [
    { value: '', label: t('nobodyElse') },
    ...alike.map((one) => ({ value: one.id, label: `${one.name} (${one.accession})` })),
  ]
})
const hasWeights = computed(() => known.facts.some(({ kind }) => kind === 'weighed'))
const shown = computed(() => ({
  facts: known.facts,
  weightAhead: weightAhead.value,
  skinWindow: skinWindow(known),
  explained: explainedSpans(known),
  other: otherId.value
    ? { name: site.residents.get(otherId.value)?.name ?? '', facts: otherFacts.value }
    : null,
  growth: growth.value,
  today: known.day,
  nowMs,
  say,
}))
const says = computed(() =>
  weightAhead.value && input.value && (growth.value || weightAhead.value.offCurve)
    ? sayGrowth(weightAhead.value, input.value)
    : [],
)
</script>

<template>
  <div class="lifeline">
    <LifelineChart :key="residentId" :shown="shown" :name="name" @open="emit('open', $event)" />
    <p v-if="says.length > 0" class="quiet">{{ says.join(' ') }}</p>
    <div v-if="hasWeights" class="row no-print">
      <ToggleButton v-model="growth" :on-label="t('growthCurve')" :off-label="t('growthCurve')" />
      <ToggleButton v-model="asking" :on-label="t('whatIf')" :off-label="t('whatIf')" />
      <ChoiceField
        v-if="others.length > 1"
        v-model="otherId"
        :label="t('laidOver')"
        :options="others"
        :placeholder="t('nobodyElse')"
      />
      <HistoryOf v-if="otherId" :key="otherId" :resident-id="otherId" @read="otherFacts = $event" />
    </div>
    <WhatIfForm
      v-if="asking"
      v-model="whatIf"
      class="no-print"
      :facts="known.facts"
      :weight-ahead="weightAhead"
      :busy="busy"
      @stop="stop"
    />
  </div>
</template>

<style scoped>
.lifeline {
  display: grid;
  gap: 6px;
  margin-bottom: 10px;
}

.row {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: end;
}
</style>
