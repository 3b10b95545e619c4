<script setup lang="ts">
import type { ListQuestion } from '@kobrin/core'
import Button from 'primevue/button'
import { computed } from 'vue'
import OpenQuestion from './OpenQuestion.vue'
import type { HouseWords } from './saying.ts'
import type { Answering } from './useAnswering.ts'
import { t } from './words.ts'

/** What a list leaves open, each asked once for all the rows that leave it open. */
const { questions, answering } = defineProps<{
  questions: readonly ListQuestion[]
  here: HouseWords
  answering: Answering
}>()

/** What can only be mended in its row. */
const IN_ROW: readonly ListQuestion['problem']['code'][] = [
  'twoOfThatName',
  'saysNoWho',
  'numberTaken',
  'toCome',
  'tooLong',
]
const SHOWN = 30
const answerable = computed(() =>
  questions.filter(
    ({ problem, proposals }) =>
      !IN_ROW.includes(problem.code) && (problem.code !== 'implausible' || proposals.length > 0),
  ),
)
const shown = computed(() => answerable.value.slice(0, SHOWN))
const unstaged = computed(() =>
  questions.reduce((sum, { problem, rows }) => sum + (problem.code === 'whichStage' ? rows : 0), 0),
)
/** Words that are one species by their spelling, each with its only proposal. */
const likely = computed(() =>
  questions.filter(({ problem, proposals }) => problem.code === 'unknownSpecies' && proposals.length === 1),
)

function takeLikely(): void {
  for (const question of likely.value) {
    const [only] = question.proposals
    if (only) answering.word(question, only.is)
  }
}
</script>

<template>
  <section v-if="answerable.length > 0" class="block">
    <h2>{{ t('leftOpen') }}</h2>
    <p class="quiet narrow">{{ t('aboutOpen') }}</p>
    <div v-if="unstaged > 0" class="row">
      <strong>{{ t('noStageIn', { count: unstaged }) }}</strong>
      <Button severity="secondary" @click="answering.unstaged('told')">{{ t('stageTold') }}</Button>
      <Button severity="secondary" @click="answering.unstaged('told', 'grown')">{{
        t('stageToldElseGrown')
      }}</Button>
      <Button severity="secondary" @click="answering.unstaged('grown')">{{ t('stageGrown') }}</Button>
    </div>
    <div v-if="likely.length > 1" class="row">
      <Button severity="secondary" @click="takeLikely">{{
        t('takeLikely', { count: likely.length })
      }}</Button>
    </div>
    <ul>
      <OpenQuestion
        v-for="question in shown"
        :key="JSON.stringify([question.problem, question.column])"
        :question="question"
        :here="here"
        :answering="answering"
      />
    </ul>
    <p v-if="answerable.length > shown.length" class="quiet">
      {{ t('moreOpen', { count: answerable.length - shown.length }) }}
    </p>
  </section>
</template>
