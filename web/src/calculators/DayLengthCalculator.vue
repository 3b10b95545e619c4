<script setup lang="ts">
import { dayLengthPlan, switching } from '@kobrin/core'
import { computed, reactive } from 'vue'
import { useToday } from '../time/useToday.ts'
import { sayDate, sayMinuteOfDay } from '../words/numbers.ts'
import { tidy } from './tidy.ts'
import CalculatorFrame from './CalculatorFrame.vue'
import DayField from '../fields/DayField.vue'
import SureNumber from '../fields/SureNumber.vue'
import { t } from './words.ts'

const today = useToday()
const ask = reactive({
  startDay: today.day + 14,
  summerHours: 13,
  winterHours: 8,
  stepHours: 1,
  everyDays: 7,
  restDays: 60,
  fastDays: 14,
  feedAfterDays: 7,
})
/** Taken back while a day is typed: the last one that was read stands. */
const startDay = computed({
  get: () => ask.startDay as number | null,
  set: (day) => (ask.startDay = day ?? ask.startDay),
})
const MIDDLE = 13 * 60

const plan = computed(() => dayLengthPlan(ask))
const PHASES = {
  fast: t('noMoreFood'),
  shortening: '',
  rest: t('restBegins'),
  lengthening: '',
  awake: t('summerAgain'),
}

function times(hours: number): string {
  const { on, off } = switching(hours, MIDDLE)
  return t('to', {
    minuteOfDay: sayMinuteOfDay(Math.round(on)),
    minuteOfDay2: sayMinuteOfDay(Math.round(off)),
  })
}
</script>

<template>
  <CalculatorFrame
    :title="t('dayLengthForA')"
    :formula="t('downInEqualSteps')"
    :careful="t('onlyHealthyAnimalsOf')"
  >
    <div class="pair">
      <DayField v-model="startDay" :label="t('firstShorterDay')" />
      <SureNumber v-model="ask.summerHours" :label="t('summer')" unit="h" />
      <SureNumber v-model="ask.winterHours" :label="t('winter')" unit="h" />
      <SureNumber v-model="ask.stepHours" :label="t('step')" unit="h" />
      <SureNumber v-model="ask.everyDays" :label="t('every')" :unit="t('days')" />
      <SureNumber v-model="ask.restDays" :label="t('rest')" :unit="t('days')" />
      <SureNumber v-model="ask.fastDays" :label="t('fastBefore')" :unit="t('days')" />
      <SureNumber v-model="ask.feedAfterDays" :label="t('foodAfter')" :unit="t('days')" />
    </div>
    <template #answer>
      <p v-if="!plan">{{ t('theWinterDayHas') }}</p>
      <template v-else>
        <p>
          {{
            t('lastMealBeforeCool', {
              date: sayDate(plan.lastMealBefore, today.day),
              date2: sayDate(plan.coolFrom, today.day),
              date3: sayDate(plan.warmFrom, today.day),
            })
          }}
          <strong>{{ sayDate(plan.feedFrom, today.day) }}</strong>
        </p>
        <p v-for="step in plan.steps" :key="`${step.day}${step.phase}`">
          {{ sayDate(step.day, today.day) }}: {{ tidy(step.hours) }} h, {{ times(step.hours) }}
          {{ PHASES[step.phase] }}
        </p>
      </template>
    </template>
  </CalculatorFrame>
</template>
