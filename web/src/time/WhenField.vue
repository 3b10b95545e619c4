<script setup lang="ts">
import type { Civil } from '@kobrin/core'
import DatePicker from 'primevue/datepicker'
import { computed, shallowRef } from 'vue'
import ChoiceField from '../fields/ChoiceField.vue'
import { dateOfDay, dayOfDate } from '../fields/days.ts'
import Labelled from '../fields/Labelled.vue'
import { sayDay, sayMinuteOfDay } from '../words/numbers.ts'
import type { When } from './useToday.ts'
import { useToday } from './useToday.ts'
import { isSameMoment, isToCome, usualWhens } from './whens.ts'
import { t } from './words.ts'

/** When something happened: now, unless somebody touches it. */
const when = defineModel<When>({ required: true })
const today = useToday()
const picking = shallowRef(false)
const wrong = shallowRef('')

type Choice = 'now' | 'morning' | 'evening' | 'another'

// The day and minute of the house are looked at again with every tick.
const usual = computed(() => usualWhens({ day: today.day, minute: today.minute }))
const time = ({ minute }: Civil) => sayMinuteOfDay(minute)

const options = computed(() => {
  const { morning, evening } = usual.value
  const said = when.value
  const another =
    picking.value && said ? t('forDay', { day: sayDay(said.day, today.day), time: time(said) }) : t('another')
  return [
    { value: 'now' as const, label: t('now') },
    ...(morning ? [{ value: 'morning' as const, label: t('todayAt', { time: time(morning) }) }] : []),
    { value: 'evening' as const, label: t('yesterdayAt', { time: time(evening) }) },
    { value: 'another' as const, label: another },
  ]
})

const choice = computed<Choice>({
  get() {
    if (picking.value) return 'another'
    if (when.value === null) return 'now'
    const { morning, evening } = usual.value
    if (isSameMoment(when.value, morning)) return 'morning'
    return isSameMoment(when.value, evening) ? 'evening' : 'another'
  },
  set(next) {
    wrong.value = ''
    picking.value = next === 'another'
    if (next === 'now') when.value = null
    else when.value = next === 'another' ? today.civilMoment() : usual.value[next]
  },
})

const picked = computed<Date | null>(() => {
  if (!when.value) return null
  const date = dateOfDay(when.value.day)
  date.setMinutes(when.value.minute)
  return date
})

function pick(date: unknown): void {
  if (!(date instanceof Date)) return
  const moment = { day: dayOfDate(date), minute: date.getHours() * 60 + date.getMinutes() }
  wrong.value = isToCome(moment, today.civilMoment()) ? t('notYet') : ''
  if (!wrong.value) when.value = moment
}
</script>

<template>
  <div class="whenField" :class="{ before: when !== null }">
    <ChoiceField v-model="choice" :label="t('when')" :options="options" />
    <Labelled
      v-if="choice === 'another'"
      v-slot="{ id, labelId, invalid }"
      :label="t('dayAndTime')"
      :wrong="wrong || undefined"
    >
      <DatePicker
        :model-value="picked"
        :input-id="id"
        :aria-labelledby="labelId"
        :invalid="invalid"
        date-format="d M yy"
        show-time
        hour-format="24"
        show-icon
        icon-display="input"
        fluid
        @update:model-value="pick"
      />
    </Labelled>
  </div>
</template>

<style scoped>
.whenField {
  display: grid;
  gap: 7px;
}

/* What is not said for now must not be overlooked. */
.before {
  padding: 7px 8px;
  border: 3px double var(--focus);
}
</style>
