<script setup lang="ts">
import { addressOf, OFFICE_ROUTES } from '@kobrin/contract'
import type { StillAnswer } from '@kobrin/core'
import Button from 'primevue/button'
import ProgressBar from 'primevue/progressbar'
import { computed, shallowRef, watch } from 'vue'
import * as z from 'zod/mini'
import ChoiceField from '../fields/ChoiceField.vue'
import Wrong from '../fields/Wrong.vue'
import { useAnswerOf } from '../api/queries.ts'
import { useStored } from '../kept/useStored.ts'
import { sayGrams, sayIn } from '../words/measures.ts'
import { spaced } from '../words/spaced.ts'
import { BAUDS, hasSerial, linesOfHouse, openCable, USUAL_BAUD } from './balanceLines.ts'
import type { useBalance } from './useBalance.ts'
import { t } from './words.ts'

/** Which balance is listened to, and what it shows. */
const { balance } = defineProps<{ balance: ReturnType<typeof useBalance> }>()
const emit = defineEmits<{ take: [] }>()
const { state, answer } = balance

const BY_HAND = 'hand'
const CABLE = 'cable'
const source = useStored('kobrin.balance', z.string(), BY_HAND)
const baud = useStored('kobrin.baud', z.string(), String(USUAL_BAUD))
const complaint = shallowRef('')

const { answer: known } = useAnswerOf(OFFICE_ROUTES.balances)
const sources = computed(() => [
  { value: BY_HAND, label: t('byHand') },
  ...(known.value?.names ?? []).map((name) => ({ value: `house ${name}`, label: name })),
  ...(hasSerial() ? [{ value: CABLE, label: t('cable') }] : []),
])
const speeds = BAUDS.map((one) => ({ value: String(one), label: String(one) }))

/** One that is no longer there is not listened to. */
const chosen = computed({
  get: () => (sources.value.some(({ value }) => value === source.value) ? source.value : BY_HAND),
  set: (next) => (source.value = next),
})

watch(
  chosen,
  (next) => {
    complaint.value = ''
    if (!next.startsWith('house ')) return balance.follow(null)
    const name = next.slice('house '.length)
    balance.follow(linesOfHouse(addressOf(OFFICE_ROUTES.balance.url, { name })))
  },
  { immediate: true },
)

async function connect(): Promise<void> {
  complaint.value = ''
  try {
    balance.follow(await openCable(Number(baud.value)))
  } catch (error) {
    complaint.value = t('noCable', { why: error instanceof Error ? error.message : String(error) })
  }
}

const PERCENT = 100

/** How far off a weight may be: one digit of it counts. */
function sayDoubt(grams: number): string {
  return sayIn(grams, 'g', (value) => spaced(Number(value.toPrecision(1))))
}

function sayStill({ weight, notYet }: StillAnswer): string {
  if (notYet?.code === 'moving') return t('moving', { spread: sayDoubt(notYet.spread) })
  if (notYet?.code === 'settling') return t('settling')
  if (notYet || !weight) return t('nothingOn')
  return t('still', { grams: sayGrams(weight.grams), sd: sayDoubt(weight.sd) })
}

const says = computed(() => {
  if (state.value === 'waiting') return t('waiting')
  if (state.value === 'away') return t('away')
  return answer.value ? sayStill(answer.value) : ''
})
</script>

<template>
  <section class="balance" :aria-label="t('balance')">
    <div class="pair">
      <ChoiceField v-model="chosen" :label="t('balance')" :options="sources" />
      <template v-if="chosen === CABLE && state === 'none'">
        <ChoiceField v-model="baud" :label="t('speed')" :options="speeds" />
        <Button severity="secondary" @click="connect">{{ t('connect') }}</Button>
      </template>
    </div>
    <Wrong :says="complaint" />
    <div v-if="state !== 'none'" class="shows">
      <strong class="number">{{ answer?.now == null ? '–' : sayGrams(answer.now) }}</strong>
      <div class="how">
        <p role="status">{{ says }}</p>
        <ProgressBar
          :value="Math.round((answer?.sureness ?? 0) * PERCENT)"
          :show-value="false"
          :aria-label="t('sureness')"
        />
      </div>
      <Button
        v-if="answer?.weight && !answer.notYet"
        severity="secondary"
        class="take"
        @click="emit('take')"
        >{{ t('take', { grams: sayGrams(answer.weight.grams) }) }}</Button
      >
    </div>
  </section>
</template>

<style scoped>
.balance {
  display: grid;
  gap: 8px;
}

.pair {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
  gap: 10px;
  align-items: end;
}

.shows {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 8px 16px;
  align-items: center;
  padding: 8px 12px;
  border: 2px solid var(--edge);
  background: var(--glass);
}

.number {
  font-variant-numeric: tabular-nums;
  font-size: 1.75rem;
  text-align: right;
}

.how {
  display: grid;
  gap: 4px;
  min-width: 0;
}

.take {
  grid-column: 1 / -1;
}
</style>
