<script setup lang="ts">
import type { ListQuestion } from '@kobrin/core'
import { EACH, UNCOUNTED } from '@kobrin/core'
import { may } from '@kobrin/contract'
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { computed, ref } from 'vue'
import CellSelect from '../fields/CellSelect.vue'
import DayField from '../fields/DayField.vue'
import { usePeople } from '../people/usePeople.ts'
import NewSheet from './NewSheet.vue'
import type { HouseWords } from './saying.ts'
import { sayFault, sayLike } from './saying.ts'
import type { Answering } from './useAnswering.ts'
import { t, words } from './words.ts'

/** One thing that a list leaves open, and what it may be answered with for all the rows that leave it open. */
const { question, here, answering } = defineProps<{
  question: ListQuestion
  here: HouseWords
  answering: Answering
}>()
const code = computed(() => question.problem.code)
const isAbout = (...codes: ListQuestion['problem']['code'][]) => codes.includes(code.value)
const people = usePeople()
const instead = ref('')
const on = ref<number | null>(null)

const labelOf = computed(() => (is: string) => {
  if (code.value === 'unknownSpecies') return here.commonOf(is)
  const { problem } = question
  if (problem.code === 'whichStage' || problem.code === 'unknownStage') return here.stageOf(problem.sheet, is)
  if (is === EACH) return t('eachItsRecord')
  if (is === UNCOUNTED) return t('nobodyCounted')
  if (problem.code === 'implausible') return t('theyAreIn', { unit: is })
  return is
})
const choices = computed(() =>
  isAbout('unknownSpecies')
    ? here.species
    : isAbout('unknownPlace', 'noPlace', 'placeTaken')
      ? here.places
      : null,
)

/** What a new sheet would be called; null where none may be made of it. */
const newSheet = computed(() =>
  question.problem.code === 'unknownSpecies' && may(people.role, 'editSheets') ? question.problem.said : null,
)
const making = ref(false)

function made(sheet: string): void {
  making.value = false
  answering.word(question, sheet)
}

function propose(is: string): void {
  if (code.value === 'implausible') answering.unitIs(question, is)
  else answering.word(question, is)
}
</script>

<template>
  <li class="question">
    <p>
      <strong>{{ sayFault(question, here) }}</strong>
      <span class="quiet">
        {{ t('inRows', { count: question.rows }) }}
        {{ t('firstLines', { lines: question.lines.join(', ') }) }}
      </span>
    </p>
    <div class="row">
      <template v-for="{ is, because } in question.proposals" :key="is">
        <Button severity="secondary" @click="propose(is)">{{ labelOf(is) }}</Button>
        <span v-if="because" class="quiet">{{ sayLike(because) }}</span>
      </template>
      <CellSelect
        v-if="choices"
        :model-value="null"
        :options="choices"
        :label="isAbout('unknownSpecies') ? t('chooseSpecies') : t('choosePlace')"
        searched
        @update:model-value="answering.word(question, $event)"
      />
      <template v-if="isAbout('orderUnsaid')">
        <Button severity="secondary" @click="answering.orderIs(question, 'dmy')">{{
          words.orders.dmy
        }}</Button>
        <Button severity="secondary" @click="answering.orderIs(question, 'mdy')">{{
          words.orders.mdy
        }}</Button>
      </template>
      <template v-if="isAbout('signUnsaid')">
        <Button severity="secondary" @click="answering.signIs(question, '.')">{{ words.signs.point }}</Button>
        <Button severity="secondary" @click="answering.signIs(question, ',')">{{ words.signs.comma }}</Button>
      </template>
      <Button v-if="isAbout('roughDay')" severity="secondary" @click="answering.roughDays()">{{
        t('takeTheMiddle')
      }}</Button>
      <template v-if="isAbout('noDay')">
        <DayField v-model="on" :label="t('allOfItOn')" />
        <Button severity="secondary" :disabled="on === null" @click="answering.undatedOn(on)">{{
          t('setForAll')
        }}</Button>
        <Button severity="secondary" @click="answering.undatedOn(here.today)">{{ t('today') }}</Button>
      </template>
      <template v-if="isAbout('unknownWord', 'notNumber', 'notCount', 'notDay', 'noCount')">
        <InputText v-model="instead" :aria-label="t('readItAs')" :placeholder="t('readItAs')" />
        <Button
          severity="secondary"
          :disabled="instead.trim() === ''"
          @click="answering.word(question, instead)"
          >{{ t('setForAll') }}</Button
        >
        <Button v-if="!isAbout('noCount')" severity="secondary" @click="answering.word(question, '')">{{
          t('saysNothing')
        }}</Button>
      </template>
      <Button v-if="newSheet" severity="secondary" @click="making = true">{{ t('noSheetYet') }}</Button>
      <Button
        v-if="isAbout('unknownSpecies', 'headsRows', 'nobody', 'unknownPlace')"
        severity="secondary"
        text
        @click="answering.leaveOut(question)"
        >{{ t('leaveTheseOut', { count: question.rows }) }}</Button
      >
    </div>
    <NewSheet v-if="making && newSheet" :said="newSheet" @close="making = false" @made="made" />
  </li>
</template>

<style scoped>
.question strong {
  margin-right: 8px;
}

.question {
  display: grid;
  gap: 6px;
  padding: 8px 0;
}
</style>
