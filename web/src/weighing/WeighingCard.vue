<script setup lang="ts">
import type { Tub } from '@kobrin/core'
import { Form } from '@primevue/forms'
import Button from 'primevue/button'
import { computed, nextTick, onMounted, shallowRef, useTemplateRef, watch } from 'vue'
import { RouterLink } from 'vue-router'
import BegunBefore from '../drafts/BegunBefore.vue'
import ChoiceField from '../fields/ChoiceField.vue'
import NumberField from '../fields/NumberField.vue'
import Wrong from '../fields/Wrong.vue'
import { useResidents } from '../residents/useResidents.ts'
import { useSite } from '../site/useSite.ts'
import type { When } from '../time/useToday.ts'
import { useToday } from '../time/useToday.ts'
import WhenField from '../time/WhenField.vue'
import Because from '../words/Because.vue'
import { dutyName, sayHold } from '../words/cell.ts'
import { sayGrams } from '../words/measures.ts'
import { sayDate } from '../words/numbers.ts'
import { terms } from '../words/terms.ts'
import { words } from '../words/en.ts'
import ExpectedBand from './ExpectedBand.vue'
import { sayBetween } from './sayQuestion.ts'
import type { useBalance } from './useBalance.ts'
import { useWeighing } from './useWeighing.ts'
import WeighingQuestion from './WeighingQuestion.vue'
import { t } from './words.ts'

/** One animal of the round. Made again for the next. */
const { residentId, tub, tubs, balance, usedUntil } = defineProps<{
  residentId: string
  tub: Tub | null
  tubs: readonly Tub[]
  balance: ReturnType<typeof useBalance>
  /** What the balance showed until then was of somebody else, ms. */
  usedUntil: number
}>()
const emit = defineEmits<{ kept: []; later: [] }>()
const when = defineModel<When>('when', { required: true })

const site = useSite()
const residents = useResidents()
const today = useToday()
const weighing = useWeighing(residentId, {
  tub: () => tub,
  tubs: () => tubs,
  when,
  onKept: () => emit('kept'),
})
const { form, draft, complaint, question, expected, task, parts, scale, scoreDue, grams, contexts } = weighing

const name = computed(() => residents.nameOf(residentId))
const species = computed(() => site.species.get(site.residents.get(residentId)?.sheet ?? '')?.common)
const holds = computed(() =>
  residents.dayOf(residentId).holds.filter(({ suppresses }) => suppresses.includes('weigh')),
)
const BY = { trend: t('byTrend'), last: t('byLast'), sheet: t('bySheet'), group: t('byGroup') }
const SCORES = [1, 2, 3, 4, 5] as const
const scores = computed(() => [
  { value: '', label: '–' },
  ...SCORES.map((one) => ({
    value: String(one),
    label: `${one} ${terms.condition[one]}: ${scale.value?.says[one - 1] ?? ''}`,
  })),
])

/** What the balance gave, as long as nobody typed over it. */
const given = shallowRef<number | null>(null)

/** As fine as the balance shows it. */
function asShown(value: number): number {
  const step = Number.isFinite(balance.step.value) ? balance.step.value : 1e-3
  return Number((Math.round(value / step) * step).toFixed(4))
}

function take(): void {
  const weight = balance.answer.value?.weight
  if (!weight) return
  given.value = asShown(weight.grams + (tub?.grams ?? 0))
  form.shown = given.value
}

watch(
  () => balance.answer.value,
  (answer) => {
    const isNew = answer?.weight && !answer.notYet && answer.weight.from > usedUntil
    const isFree = form.shown === null || form.shown === given.value
    if (isNew && isFree && !question.value) take()
  },
)

const body = useTemplateRef<HTMLElement>('body')

function focus(): void {
  void nextTick(() => body.value?.querySelector<HTMLInputElement>('.weight input')?.focus())
}

function again(): void {
  given.value = null
  weighing.again()
  focus()
}

onMounted(focus)
defineExpose({ take })
</script>

<template>
  <section ref="body" class="card" :aria-label="name">
    <header>
      <h2>{{ name }}</h2>
      <p class="quiet">
        {{ species }}
        <RouterLink :to="{ name: 'record', params: { id: residentId } }">{{
          site.residents.get(residentId)?.accession
        }}</RouterLink>
      </p>
    </header>
    <p v-for="hold in holds" :key="hold.hold" class="ask">
      {{ t('heldNow', { hold: sayHold(hold, today.day) }) }}
      <Because :reasons="hold.because" :label="name" />
    </p>
    <div class="known">
      <p>
        <strong v-if="expected?.last">{{
          t('last', {
            grams: sayGrams(expected.last.grams),
            when: sayDate(expected.last.day, today.day),
          })
        }}</strong>
        <strong v-else>{{ t('neverWeighed') }}</strong>
        <Because v-if="task" :reasons="task.because" :label="dutyName(task)" />
      </p>
      <template v-if="expected">
        <ExpectedBand
          :low="expected.low"
          :high="expected.high"
          :last="expected.last?.grams ?? null"
          :now="grams"
        />
        <p>
          {{ t('expected', { between: sayBetween([expected.low, expected.high]) }) }}
          <span class="quiet">{{ BY[expected.by] }}</span>
        </p>
      </template>
      <p v-else class="quiet">{{ t('nothingExpected') }}</p>
    </div>
    <BegunBefore :draft="draft" />
    <Form class="form" @submit="weighing.submit()">
      <NumberField
        v-model="form.shown"
        class="weight"
        :label="tub ? t('weightWith', { tub: tub.label }) : t('weight')"
        unit="g"
        enterkeyhint="next"
      />
      <p v-if="tub && grams !== null" class="net">
        {{ t('without', { grams: sayGrams(grams), tub: tub.label }) }}
      </p>
      <Wrong :says="complaint" />
      <WeighingQuestion
        v-if="question"
        v-model:context="form.context"
        :doubt="question.doubt"
        :of-weight="question.about === 'weight'"
        :contexts="question.about === 'weight' ? contexts : []"
        @again="again"
        @meant="weighing.meant"
        @settle="weighing.settle"
        @instead-of-first="weighing.insteadOfFirst()"
      />
      <section v-if="parts.length > 0 || scoreDue" class="also">
        <h3>{{ t('alsoDue') }}</h3>
        <div class="pair">
          <NumberField
            v-for="part in parts"
            :key="part"
            :model-value="form.mm[part]"
            :label="words.part[part]"
            unit="mm"
            @update:model-value="(mm) => (form.mm = { ...form.mm, [part]: mm ?? null })"
          />
          <ChoiceField v-if="scoreDue" v-model="form.score" :label="t('condition')" :options="scores" />
        </div>
      </section>
      <div class="row foot">
        <Button v-if="!question" type="submit" class="keep">{{ t('keep') }}</Button>
        <Button severity="secondary" @click="emit('later')">{{ t('notNow') }}</Button>
        <WhenField v-model="when" class="when" />
      </div>
    </Form>
  </section>
</template>

<style scoped>
.card,
.known {
  display: grid;
  gap: 6px;
  align-content: start;
}

.card {
  gap: 12px;
}

header {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 14px;
  align-items: baseline;
}

h2 {
  font-size: 1.5rem;
}

.card :deep(.weight input) {
  font-variant-numeric: tabular-nums;
  font-size: 1.75rem;
  font-weight: 700;
}

.net {
  font-weight: 700;
}

.also {
  display: grid;
  gap: 6px;
}

.foot {
  align-items: end;
}

.keep {
  min-width: 10em;
  min-height: 48px;
}

.when {
  min-width: 190px;
  margin-left: auto;
}
</style>
