<script setup lang="ts">
import type { PlanChange } from '@kobrin/contract'
import type { Verdict } from '@kobrin/core'
import { byGravity } from '@kobrin/core'
import { computed } from 'vue'
import { RouterLink } from 'vue-router'
import '../app/page.css'
import { useAnswer } from '../app/useAnswer.ts'
import { useMatters } from '../matters/useMatters.ts'
import { useRecord } from '../entries/useRecord.ts'
import { useSite } from '../site/useSite.ts'
import { useToday } from '../time/useToday.ts'
import { useRound } from '../walk/useRound.ts'
import { careApi } from '../wire/careApi.ts'
import { sayVerdict } from '../words/cell.ts'
import { terms } from '../words/terms.ts'
import { sayDay } from '../words/numbers.ts'
import { useTeller } from '../words/useTeller.ts'

const site = useSite()
const round = useRound()
const record = useRecord()
const today = useToday()
const teller = useTeller()
const { mattersOf } = useMatters()
const YESTERDAY = 1

function isProposal(code: Verdict['what']['code']): boolean {
  return code === 'stageReached' || code === 'condition'
}

const { answer, complaint } = useAnswer(
  () => careApi.planChanges(today.day - YESTERDAY),
  () => site.site,
)

const everyone = computed(() => [...site.residents.values()])
const matters = computed(() =>
  everyone.value.flatMap((resident) => mattersOf(resident.id).map((verdict) => ({ resident, verdict }))),
)
const open = computed(() =>
  matters.value
    .filter(({ verdict: { severity } }) => severity === 'urgent' || severity === 'act')
    .sort((a, b) => byGravity(a.verdict, b.verdict)),
)
const sections = computed(() => [
  { title: 'Open', list: open.value },
  { title: 'To decide', list: matters.value.filter(({ verdict }) => isProposal(verdict.what.code)) },
])
const notes = computed(() =>
  everyone.value.flatMap((resident) => {
    const { note } = record.stateOf(resident.id)
    return note && today.day - note.day <= YESTERDAY ? [{ resident, note }] : []
  }),
)

function whom({ resident, sheet, kind, what }: PlanChange): string {
  if (kind === 'enclosure') return site.placeName(what)
  if (resident) return round.nameOf(resident)
  return site.species.get(sheet ?? '')?.common ?? sheet ?? 'The site'
}
</script>

<template>
  <main class="reading">
    <header>
      <h1>Handover</h1>
      <p class="quiet">What is different today, what to watch, what was said.</p>
    </header>
    <p v-if="complaint" class="wrong" role="alert">{{ complaint }}</p>
    <div class="columns">
      <section class="block">
        <h2>Plans changed</h2>
        <ul>
          <li v-for="change in answer?.changes" :key="change.seq">
            <RouterLink v-if="change.resident" :to="{ name: 'plan', params: { id: change.resident } }">{{
              whom(change)
            }}</RouterLink>
            <RouterLink v-else-if="change.sheet" :to="{ name: 'sheet', params: { id: change.sheet } }">{{
              whom(change)
            }}</RouterLink>
            <strong v-else>{{ whom(change) }}</strong>
            {{ change.kind === 'enclosure' ? 'Written down anew' : change.what }}
            <p class="quiet">
              {{ sayDay(change.day, today.day) }} {{ today.clock(change.at) }},
              {{ change.by === null ? 'shipped library' : site.nameOf(change.by) }}: {{ change.reason }}
            </p>
          </li>
          <li v-if="answer?.changes.length === 0" class="quiet">Nothing since yesterday.</li>
        </ul>
      </section>
      <section v-for="{ title, list } in sections" :key="title" class="block">
        <h2>{{ title }}</h2>
        <ul>
          <li v-for="({ resident, verdict }, index) in list" :key="index" :class="verdict.severity">
            <RouterLink :to="{ name: 'record', params: { id: resident.id } }">{{ resident.name }}</RouterLink>
            {{ sayVerdict(verdict, teller) }}
            <p class="quiet">
              {{ terms.severity[verdict.severity] }} · {{ site.placeName(round.homeOf(resident.id)) }}
            </p>
          </li>
          <li v-if="list.length === 0" class="quiet">Nothing.</li>
        </ul>
      </section>
      <section class="block">
        <h2>Said for the next shift</h2>
        <ul>
          <li v-for="{ resident, note } in notes" :key="resident.id">
            <RouterLink :to="{ name: 'record', params: { id: resident.id } }">{{ resident.name }}</RouterLink>
            {{ note.text }}
            <p class="quiet">
              {{ sayDay(note.day, today.day) }} {{ today.clock(note.at) }}, {{ site.nameOf(note.by) }}
            </p>
          </li>
          <li v-if="notes.length === 0" class="quiet">No notes.</li>
        </ul>
      </section>
    </div>
  </main>
</template>

<style scoped>
a {
  display: inline-block;
  min-height: 24px;
  font-weight: 700;
}
</style>
