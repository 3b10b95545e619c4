<script setup lang="ts">
import Button from 'primevue/button'
import DatePicker from 'primevue/datepicker'
import { computed, nextTick, shallowRef } from 'vue'
import { usePrinting } from '../app/usePrinting.ts'
import '../app/page.css'
import ChoiceField from '../fields/ChoiceField.vue'
import DayField from '../fields/DayField.vue'
import Labelled from '../fields/Labelled.vue'
import { usePeople } from '../people/usePeople.ts'
import { useToday } from '../time/useToday.ts'
import { isToCome, usualWhens } from '../time/whens.ts'
import { useWalk } from '../walk/useWalk.ts'
import PaperSheet from './PaperSheet.vue'
import PaperTable from './PaperTable.vue'
import { t } from './words.ts'

const walk = useWalk()
const people = usePeople()
const today = useToday()

/** In walking order. One bay may be met twice, at two levels: each has a sheet. */
const faces = computed(() =>
  walk.stops.flatMap(({ key, room, faces: here }) =>
    here.map((face) => ({
      key: `${key} ${face.bay.id}`,
      face,
      name: t('bayIn', { room: room.name, bay: face.bay.name }),
    })),
  ),
)
const chosen = shallowRef('')
const shown = computed(() => faces.value.find(({ key }) => key === chosen.value) ?? faces.value[0])
const options = computed(() => faces.value.map(({ key, name }) => ({ value: key, label: name })))
const bay = computed({
  get: () => shown.value?.key ?? '',
  set: (key) => (chosen.value = key),
})

const day = shallowRef<number | null>(today.day)
const minute = shallowRef(usualWhens(today.civilMoment()).morning?.minute ?? today.civilMoment().minute)
const when = computed(() => ({ day: day.value ?? today.day, minute: minute.value }))
const isAhead = computed(() => when.value.day > today.day)
const wrong = computed(() =>
  !isAhead.value && isToCome(when.value, today.civilMoment()) ? t('toComeTime') : undefined,
)
const clock = computed<Date>({
  get: () => new Date(2000, 0, 1, 0, minute.value),
  set(date) {
    // Half a time is nothing yet.
    if (date instanceof Date) minute.value = date.getHours() * 60 + date.getMinutes()
  },
})

/** Which sheets a button asked for: they stand on the page before it is printed, for nothing is drawn meanwhile. */
const asked = shallowRef<'this' | 'all' | null>(null)
const printing = usePrinting()
/** On the screen nobody reads them. */
const sheets = computed(() => {
  if (asked.value === 'all') return faces.value
  return shown.value && (asked.value === 'this' || printing.value) ? [shown.value] : []
})

async function print(which: 'this' | 'all'): Promise<void> {
  asked.value = which
  await nextTick()
  window.print()
  asked.value = null
}
</script>

<template>
  <main class="reading paper">
    <header class="no-print">
      <h1>{{ t('paperRound') }}</h1>
      <p class="quiet">{{ t('onADayWithout') }}</p>
    </header>
    <p v-if="!shown" class="ask">{{ t('nobodyHere') }}</p>
    <template v-else>
      <div class="row no-print asked">
        <ChoiceField v-model="bay" :label="t('bay')" :options="options" />
        <DayField v-model="day" :label="t('forTheDay')" />
        <Labelled v-slot="{ id, labelId, invalid }" :label="t('at')" :wrong="wrong">
          <DatePicker
            v-model="clock"
            :input-id="id"
            :aria-labelledby="labelId"
            :invalid="invalid"
            time-only
            hour-format="24"
          />
        </Labelled>
        <Button severity="secondary" @click="print('this')">{{ t('printThis') }}</Button>
        <Button severity="secondary" @click="print('all')">{{ t('printAll') }}</Button>
      </div>
      <p v-if="isAhead" class="ask no-print">{{ t('toCome') }}</p>
      <template v-else-if="people.mayWrite">
        <p class="quiet no-print">
          <strong>{{ t('legendTitle') }}:</strong> {{ t('legendPlanned') }} · {{ t('legendFeed') }} ·
          {{ t('legendBowl') }} · {{ t('legendLook') }} · {{ t('legendNumbers') }}. {{ t('keysHow') }}
        </p>
        <PaperTable :key="`${shown.key} ${when.day}`" :face="shown.face" :when="when" />
      </template>
      <PaperSheet v-for="one in sheets" :key="one.key" :face="one.face" :title="one.name" :day="when.day" />
    </template>
  </main>
</template>

<style scoped>
.asked {
  align-items: end;
}

@page paper {
  size: landscape;
}

@media print {
  .paper {
    page: paper;
    padding: 0;
  }
}
</style>
