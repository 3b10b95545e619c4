<script setup lang="ts">
import type { KeptEntry } from '@kobrin/contract'
import { ROUTES } from '@kobrin/contract'
import type { Verdict } from '@kobrin/core'
import { byGravity } from '@kobrin/core'
import { computed } from 'vue'
import { RouterLink } from 'vue-router'
import '../verdicts/verdict.css'
import '../app/page.css'
import { useAskedCurves } from '../curves/useCurves.ts'
import { useVerdicts } from '../verdicts/useVerdicts.ts'
import { usePlacesLeft } from '../places/usePlacesLeft.ts'
import { useSite } from '../site/useSite.ts'
import { useToday } from '../time/useToday.ts'
import { useResidents } from '../residents/useResidents.ts'
import { useAnswerOf } from '../api/queries.ts'
import { isPressing } from '../verdicts/isPressing.ts'
import { NextStep } from '../verdicts/nextStepLater.ts'
import Because from '../words/Because.vue'
import { sayVerdict } from '../words/cell.ts'
import { sayEntry } from '../words/entry.ts'
import ShiftNotes from './ShiftNotes.vue'
import type { ChangeLine } from './changeLine.ts'
import { isNews, lineOfChange } from './changeLine.ts'
import { terms } from '../words/terms.ts'
import { sayDay } from '../words/numbers.ts'
import { useTeller } from '../words/useTeller.ts'
import { t } from './words.ts'

const site = useSite()
const residents = useResidents()
const today = useToday()
const teller = useTeller()
const places = usePlacesLeft()
const { verdictsOf } = useVerdicts()
useAskedCurves()
const YESTERDAY = 1

const PROPOSALS: readonly Verdict['what']['code'][] = [
  'stageReached',
  'condition',
  'otherPrey',
  'outgrows',
  'offItsCurve',
]

function isProposal(code: Verdict['what']['code']): boolean {
  return PROPOSALS.includes(code)
}

const { answer, complaint } = useAnswerOf(ROUTES.changes, () => ({
  querystring: { since: today.day - YESTERDAY },
}))

const everyone = computed(() => [...site.residents.values()])
const verdicts = computed(() =>
  everyone.value.flatMap((resident) => verdictsOf(resident.id).map((verdict) => ({ resident, verdict }))),
)
const open = computed(() =>
  verdicts.value
    .filter(({ verdict: { severity } }) => severity === 'urgent' || severity === 'act')
    .sort((a, b) => byGravity(a.verdict, b.verdict)),
)
/** What needs an eye on it, apart from what a person decides. */
const watched = computed(() =>
  verdicts.value.filter(({ verdict: { severity, what } }) => severity === 'watch' && !isProposal(what.code)),
)
const sections = computed(() => [
  { title: t('open'), list: open.value },
  { title: t('toWatch'), list: watched.value },
  { title: t('toDecide'), list: verdicts.value.filter(({ verdict }) => isProposal(verdict.what.code)) },
])

/** Who left a place that waits, when, and who saw to it. */
function leftBehind(enclosureId: string): string {
  const waits = places.left.get(enclosureId)
  if (!waits) return ''
  return `${places.leftBy(enclosureId)} ${sayDay(waits.day, today.day)}, ${site.nameOf(waits.by)}`
}

/** What changed plans and the register, the latest last, each with where it leads. */
const changed = computed<ChangeLine[]>(() => {
  const { changes = [], entries = [] } = answer.value ?? {}
  return [
    ...changes.filter(isNews).map((change) => lineOfChange(change, site)),
    ...entries.map(lineOfEntry),
  ].sort((a, b) => (a.at < b.at ? -1 : 1))
})

function lineOfEntry(entry: KeptEntry): ChangeLine {
  const { subject, occurredAt: at, day, author: by, uid } = entry
  const to = { name: 'record', params: { id: subject } }
  return {
    key: uid,
    at,
    day,
    by,
    whom: residents.nameOf(subject),
    to,
    says: sayEntry(entry, teller),
    reason: '',
  }
}
</script>

<template>
  <main class="reading">
    <header>
      <h1>{{ t('handover') }}</h1>
      <p class="quiet">{{ t('whatIsDifferentToday') }}</p>
      <RouterLink class="no-print" :to="{ name: 'weighing' }">{{ t('weighingRound') }}</RouterLink>
      <RouterLink class="no-print" :to="{ name: 'paper' }">{{ t('paperRound') }}</RouterLink>
    </header>
    <p v-if="complaint" class="wrong" role="alert">{{ complaint }}</p>
    <div class="columns">
      <section class="block">
        <h2>{{ t('plansChanged') }}</h2>
        <ul>
          <li v-for="line in changed" :key="line.key">
            <RouterLink v-if="line.to" :to="line.to">{{ line.whom }}:</RouterLink>
            <strong v-else>{{ line.whom }}:</strong>
            {{ line.says }}
            <p class="quiet">
              {{ sayDay(line.day, today.day) }} {{ today.clock(line.at) }},
              {{ line.by === null ? t('shippedLibrary') : site.nameOf(line.by)
              }}{{ line.reason ? `: ${line.reason}` : '' }}
            </p>
          </li>
          <li v-if="answer && changed.length === 0" class="quiet">{{ t('nothingSinceYesterday') }}</li>
        </ul>
      </section>
      <section v-for="{ title, list } in sections" :key="title" class="block">
        <h2>{{ title }}</h2>
        <ul>
          <li
            v-for="({ resident, verdict }, index) in list"
            :key="index"
            class="verdict"
            :class="verdict.severity"
          >
            <RouterLink :to="{ name: 'record', params: { id: resident.id } }">{{
              resident.name
            }}</RouterLink>: {{ sayVerdict(verdict, teller) }}
            <p class="quiet">
              {{ terms.severity[verdict.severity] }} · {{ site.placeName(residents.homeOf(resident.id)) }}
            </p>
            <NextStep v-if="isPressing(verdict)" :verdict="verdict" :resident-id="resident.id" />
            <Because
              v-if="verdict.because.length > 0"
              :reasons="verdict.because"
              :label="sayVerdict(verdict, teller)"
              :verdict="verdict"
              :resident-id="resident.id"
            />
          </li>
          <li v-if="list.length === 0" class="quiet">{{ t('nothing') }}</li>
        </ul>
      </section>
      <section v-if="places.open.length > 0" class="block">
        <h2>{{ t('placesLeft') }}</h2>
        <ul>
          <li
            v-for="{ enclosureId, verdict } in places.open"
            :key="`${enclosureId} ${verdict.what.code}`"
            class="verdict"
            :class="verdict.severity"
          >
            <RouterLink :to="{ name: 'enclosure', params: { id: enclosureId } }">{{
              site.placeName(enclosureId)
            }}</RouterLink>
            {{ sayVerdict(verdict, teller) }}
            <p class="quiet">{{ leftBehind(enclosureId) }}</p>
          </li>
        </ul>
      </section>
      <ShiftNotes />
    </div>
  </main>
</template>

<style scoped>
.verdict {
  margin-bottom: 6px;
}

a {
  display: inline-block;
  min-height: 24px;
  font-weight: 700;
}
</style>
