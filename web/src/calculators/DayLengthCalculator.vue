<script setup lang="ts">
import { dayLengthPlan, switching } from '@kobrin/core'
import { computed, reactive } from 'vue'
import { useToday } from '../time/useToday.ts'
import { sayDate, sayMinuteOfDay } from '../words/numbers.ts'
import { tidy } from './tidy.ts'
import CalculatorFrame from './CalculatorFrame.vue'
import DayField from '../fields/DayField.vue'
import SureNumber from '../fields/SureNumber.vue'

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
  fast: 'no more food',
  shortening: '',
  rest: 'rest begins',
  lengthening: '',
  awake: 'summer again',
}

function times(hours: number): string {
  const { on, off } = switching(hours, MIDDLE)
  return `${sayMinuteOfDay(Math.round(on))} to ${sayMinuteOfDay(Math.round(off))}`
}
</script>

<template>
  <CalculatorFrame
    title="Day length for a winter rest"
    formula="Down in equal steps, the rest, up again in reverse; the last step is what is left. The middle of the light stays at 13:00 by the clock on the wall."
    careful="Only healthy animals of good weight, checked before; water always, weighed through it. The young, thin and sick do not rest. Ask the vet first."
  >
    <div class="pair">
      <DayField v-model="startDay" label="First shorter day" />
      <SureNumber v-model="ask.summerHours" label="Summer" unit="h" />
      <SureNumber v-model="ask.winterHours" label="Winter" unit="h" />
      <SureNumber v-model="ask.stepHours" label="Step" unit="h" />
      <SureNumber v-model="ask.everyDays" label="Every" unit="days" />
      <SureNumber v-model="ask.restDays" label="Rest" unit="days" />
      <SureNumber v-model="ask.fastDays" label="Fast before" unit="days" />
      <SureNumber v-model="ask.feedAfterDays" label="Food after" unit="days" />
    </div>
    <template #answer>
      <p v-if="!plan">The winter day has to be shorter than the summer day, in steps above none.</p>
      <template v-else>
        <p>
          Last meal before {{ sayDate(plan.lastMealBefore, today.day) }}, cool from
          {{ sayDate(plan.coolFrom, today.day) }}, warm from {{ sayDate(plan.warmFrom, today.day) }}, food
          from
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
