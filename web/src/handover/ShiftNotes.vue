<script setup lang="ts">
import type { Draft } from '@kobrin/core'
import { openNotes } from '@kobrin/core'
import Button from 'primevue/button'
import { computed, shallowRef } from 'vue'
import { RouterLink } from 'vue-router'
import '../app/page.css'
import { useRecord } from '../entries/useRecord.ts'
import { usePeople } from '../people/usePeople.ts'
import { useSite } from '../site/useSite.ts'
import { useToday } from '../time/useToday.ts'
import { sayDay } from '../words/numbers.ts'
import { t } from './words.ts'

/** What was said for the next shift and nobody has answered, the latest first. What lies there for weeks stands behind
 * the rest. */
const LATELY = 14

const site = useSite()
const record = useRecord()
const people = usePeople()
const today = useToday()
const showsOlder = shallowRef(false)

const notes = computed(() =>
  [...site.residents.values()]
    .flatMap((resident) =>
      openNotes(record.stateOf(resident.id).notes).map((note) => ({ resident, note, key: note.uid })),
    )
    .sort((a, b) => (a.note.at < b.note.at ? 1 : -1)),
)
type Said = (typeof notes.value)[number]
const older = computed(() => notes.value.filter(({ note }) => today.day - note.day > LATELY))
const shown = computed(() =>
  showsOlder.value ? notes.value : notes.value.filter(({ note }) => today.day - note.day <= LATELY),
)
const mayAnswer = computed(() => people.maySay({ kind: 'answered' }))

function draftOf({ resident, note }: Said): Draft {
  return { subject: resident.id, kind: 'answered', payload: { note: note.uid } }
}

function answer(said: Said): void {
  record.keep([draftOf(said)], t('answeredSays', { name: said.resident.name }))
}

function answerOlder(): void {
  record.keep(older.value.map(draftOf), t('allAnsweredSays', { count: older.value.length }), {
    together: true,
  })
}
</script>

<template>
  <section class="block">
    <h2>{{ t('saidForTheNext') }}</h2>
    <ul>
      <li v-for="said in shown" :key="said.key" class="note">
        <div>
          <RouterLink :to="{ name: 'record', params: { id: said.resident.id } }">{{
            said.resident.name
          }}</RouterLink>: {{ said.note.text }}
          <p class="quiet">
            {{ sayDay(said.note.day, today.day) }} {{ today.clock(said.note.at) }},
            {{ site.nameOf(said.note.by) }}
          </p>
        </div>
        <Button v-if="mayAnswer" class="no-print" severity="secondary" @click="answer(said)">{{
          t('answered')
        }}</Button>
      </li>
      <li v-if="notes.length === 0" class="quiet">{{ t('noNotes') }}</li>
    </ul>
    <div v-if="older.length > 0" class="older no-print">
      <Button severity="secondary" :aria-pressed="showsOlder" @click="showsOlder = !showsOlder">{{
        t('olderNotes', { count: older.length })
      }}</Button>
      <Button v-if="mayAnswer && showsOlder" severity="secondary" @click="answerOlder()">{{
        t('allAnswered')
      }}</Button>
    </div>
  </section>
</template>

<style scoped>
.note {
  display: flex;
  align-items: start;
  justify-content: space-between;
  gap: 12px;
}

.older {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}

a {
  display: inline-block;
  min-height: 24px;
  font-weight: 700;
}
</style>
