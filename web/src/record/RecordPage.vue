<script setup lang="ts">
import type { Fact } from '@kobrin/core'
import { cameOn, effectiveFacts } from '@kobrin/core'
import Button from 'primevue/button'
import { computed, shallowRef, watchEffect } from 'vue'
import { RouterLink, useRouter } from 'vue-router'
import '../app/page.css'
import '../verdicts/verdict.css'
import { sayFit, useFit } from '../enclosures/useFit.ts'
import VerdictActions from '../verdicts/VerdictActions.vue'
import { hasActions } from '../verdicts/hasActions.ts'
import { useVerdicts } from '../verdicts/useVerdicts.ts'
import PhotoStrip from '../photos/PhotoStrip.vue'
import { usePlans } from '../plans/usePlans.ts'
import { useRecord } from '../entries/useRecord.ts'
import { useSite } from '../site/useSite.ts'
import { useToday } from '../time/useToday.ts'
import { useWalk } from '../walk/useWalk.ts'
import { useResidents } from '../residents/useResidents.ts'
import { usePeople } from '../people/usePeople.ts'
import { isPressing } from '../verdicts/isPressing.ts'
import { NextStep } from '../verdicts/nextStepLater.ts'
import Because from '../words/Because.vue'
import { sayHold, sayUndone, sayVerdict } from '../words/cell.ts'
import { words } from '../words/en.ts'
import { terms } from '../words/terms.ts'
import { sayEntry } from '../words/entry.ts'
import { sayIdentity } from './sayIdentity.ts'
import { sayGrams } from '../words/measures.ts'
import { sayDate, sayDateTo } from '../words/numbers.ts'
import { useTeller } from '../words/useTeller.ts'
import CorrectEntry from './CorrectEntry.vue'
import DescribeIt from './DescribeIt.vue'
import EntryList from './EntryList.vue'
import PlanInForce from './PlanInForce.vue'
import { useHistory } from './useHistory.ts'
import { useSaved } from './useSaved.ts'
import type { Known } from './lifelineInput.ts'
import RecordLifeline from './RecordLifeline.vue'
import { t } from './words.ts'

const { id } = defineProps<{ id: string }>()

const site = useSite()
const plans = usePlans()
const walk = useWalk()
const residents = useResidents()
const people = usePeople()
const today = useToday()
const router = useRouter()
const teller = useTeller()
const { verdictsOf } = useVerdicts()
// Off its own curve is said where the curve is drawn.
const verdicts = computed(() => verdictsOf(id).filter(({ what }) => what.code !== 'offItsCurve'))
const { fitOf } = useFit()
const { entries, complaint, loading, isPart } = useHistory(() => id)
const opened = shallowRef<string | null>(null)
/** The entry whose picture is looked at. */
const lookedAt = shallowRef<string | null>(null)
const correcting = shallowRef<Fact | null>(null)
const describing = shallowRef(false)

const resident = computed(() => site.residents.get(id))
/** Of one that is long gone it is known at once, the rest when it was asked for. */
const number = computed(() => site.site?.numbers[id])
const species = computed(() => site.species.get(resident.value?.sheet ?? ''))
const day = computed(() => residents.dayOf(id))
const plan = computed(() => resident.value && plans.planOf(resident.value))
const record = useRecord()
watchEffect(() => record.need(id))
const home = computed(() => residents.homeOf(id))
const ended = computed(() => record.stateOf(id).stay.ended)
const mayLeave = computed(() => people.maySay({ kind: 'died' }) && !ended.value)
const mayDescribe = computed(() => people.maySay({ kind: 'described' }) && !ended.value)
const fitSays = computed(() => {
  const enclosure = site.enclosures.get(home.value ?? '')
  if (!enclosure || !resident.value) return t('enclosure')
  return t('enclosure2', { fit: sayFit(fitOf(enclosure, resident.value)) })
})
const facts = computed(() => effectiveFacts(entries.value))
const known = computed<Known | null>(
  () =>
    (plan.value && {
      facts: facts.value,
      plan: plan.value,
      state: record.stateOf(id),
      holds: day.value.holds,
      readings: residents.readingsAt(home.value),
      hemisphere: site.site?.hemisphere,
      day: today.day,
    }) ??
    null,
)
const nowMs = Date.now() + site.clockBehind
const about = computed(() => {
  const one = resident.value
  if (!one) return ''
  const { stay, register } = record.stateOf(id)
  const came = cameOn(stay)
  const count = residents.countOf(id)
  const bits = [
    species.value?.common,
    species.value?.latin,
    one.lives === 'colony'
      ? count
        ? t('about', { count })
        : ''
      : register?.sexUnsure
        ? t('sexProbably', { sex: terms.sex[one.sex] })
        : terms.sex[one.sex],
    one.accession,
    day.value.weight ? t('aboutGrams', { grams: sayGrams(day.value.weight.grams) }) : '',
    came !== null && !ended.value ? t('hereSince', { date: sayDateTo(came, stay.cameTo, today.day) }) : '',
  ]
  return bits.filter(Boolean).join(' · ')
})

const identity = computed(() => {
  const { identity: known, register } = record.stateOf(id)
  return sayIdentity(known, register, teller)
})

function say(uid: string): string {
  const fact = facts.value.find((one) => one.uid === uid)
  return fact
    ? `${sayDate(fact.day, today.day)} ${today.clock(fact.occurredAt)} ${site.initialsOf(fact.author)}\n${sayEntry(fact, teller)}`
    : ''
}

function show(uid: string): void {
  const isPhoto = facts.value.some((fact) => fact.uid === uid && fact.kind === 'photographed')
  if (isPhoto) lookedAt.value = uid
  else opened.value = uid
}

const saved = useSaved(() => id, {
  entries: () => entries.value,
  about: () => [about.value, identity.value].filter(Boolean),
})

function showOnWalk(): void {
  const stop = walk.stops.find(({ residents }) => residents.includes(id))
  if (stop) walk.stopKey = stop.key
  walk.focused = id
  void router.push({ name: 'walk' })
}
</script>

<template>
  <div v-if="resident && plan" class="page">
    <main>
      <header>
        <h1 class="tape">{{ resident.name }}</h1>
        <div>
          <p class="quiet">{{ about }}</p>
          <p v-if="identity" class="quiet">{{ identity }}</p>
          <p class="quiet whereabouts">
            <span>{{ site.placeName(home) }}</span>
            <Button v-if="!ended" variant="link" class="link no-print" @click="showOnWalk">{{
              t('showOnTheWalk')
            }}</Button>
            <RouterLink v-if="home" :to="{ name: 'enclosure', params: { id: home } }">{{
              fitSays
            }}</RouterLink>
            <RouterLink class="no-print" :to="{ name: 'plan', params: { id } }">{{ t('plan') }}</RouterLink>
            <RouterLink
              v-if="people.mayWrite && !ended"
              class="no-print"
              :to="{ name: 'move', params: { id } }"
              >{{ t('move') }}</RouterLink
            >
            <template v-if="!isPart && !loading">
              <Button variant="link" class="link no-print" @click="saved.asData">{{
                t('saveAsData')
              }}</Button>
              <Button variant="link" class="link no-print" @click="saved.asTable">{{
                t('saveAsCsv')
              }}</Button>
              <Button
                variant="link"
                class="link no-print"
                :disabled="saved.busy.value"
                @click="saved.asPdf"
                >{{ t('saveAsPdf') }}</Button
              >
            </template>
            <Button v-if="mayDescribe" variant="link" class="link no-print" @click="describing = true">{{
              t('describe')
            }}</Button>
            <RouterLink v-if="mayLeave" class="no-print" :to="{ name: 'out', params: { id } }">{{
              t('goes')
            }}</RouterLink>
          </p>
        </div>
      </header>
      <p v-if="saved.complaint.value" class="wrong" role="alert">{{ saved.complaint.value }}</p>
      <ul v-if="verdicts.length + day.holds.length > 0" class="says" :aria-label="t('whatTheRecordSays')">
        <li v-for="(verdict, index) in verdicts" :key="`v${index}`" class="verdict" :class="verdict.severity">
          <strong>{{ sayVerdict(verdict, teller) }}</strong>
          <p class="quiet">
            {{ terms.severity[verdict.severity]
            }}<template v-if="verdict.since != null">
              · {{ t('since', { date: sayDate(verdict.since, today.day) }) }}</template
            >
          </p>
          <NextStep v-if="isPressing(verdict)" :verdict="verdict" :resident-id="id" />
          <Because
            v-if="verdict.because.length > 0"
            :reasons="verdict.because"
            :label="sayVerdict(verdict, teller)"
            :verdict="verdict"
            :resident-id="id"
          />
          <VerdictActions
            v-if="people.mayWrite && hasActions(verdict)"
            :verdict="verdict"
            :resident-id="id"
          />
        </li>
        <li v-for="hold in day.holds" :key="hold.hold" class="verdict hold">
          <strong>{{ sayHold(hold, today.day) }}</strong>
          <p class="quiet">
            {{ t('leavesUndone', { undone: sayUndone(hold, plan?.duties ?? []) || t('nothing') }) }}
          </p>
          <Because :reasons="hold.because" :label="words.hold[hold.hold]" />
        </li>
      </ul>
      <p v-if="isPart" class="ask" role="status">{{ t('onlyTheLastDays') }}</p>
      <p v-else-if="complaint" role="alert">{{ complaint }}</p>
      <p v-if="loading" class="quiet waiting" role="status">{{ t('readingTheRecord') }}</p>
      <template v-else-if="complaint === '' || isPart">
        <RecordLifeline
          v-if="known"
          class="lifeline"
          :resident-id="id"
          :known="known"
          :now-ms="nowMs"
          :say="say"
          @open="show"
        />
        <PhotoStrip v-model:open="lookedAt" :resident-id="id" :facts="facts" />
        <EntryList :entries="entries" :opened="opened" @correct="correcting = $event" />
      </template>
    </main>
    <PlanInForce v-if="!ended" :plan="plan" :day="day" />
    <DescribeIt v-if="describing" :resident-id="id" @close="describing = false" />
    <CorrectEntry v-if="correcting" :fact="correcting" @close="correcting = null" />
  </div>
  <main v-else-if="number" class="nobody">
    <h1>{{ number }}</h1>
    <p>{{ t('longGone') }}</p>
  </main>
  <main v-else class="nobody">
    <h1>{{ t('nobodyByThatNumber') }}</h1>
    <p>
      <RouterLink :to="{ name: 'residents' }">{{ t('findSomebodyElse') }}</RouterLink>
    </p>
  </main>
</template>

<style scoped>
.page {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 316px;
  height: 100%;
}

.page > * {
  padding: 14px 18px 40px;
  overflow-y: auto;
}

.plan {
  border-left: 1px solid var(--line);
}

main > header {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 14px;
  margin-bottom: 10px;
}

.whereabouts {
  display: flex;
  flex-wrap: wrap;
  gap: 0 16px;
}

.tape {
  font-size: 1.375rem;
}

.link {
  min-height: 24px;
  padding: 0;
  font-weight: 400;
  text-decoration: underline;
}

.says {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(280px, 1fr));
  gap: 8px;
  margin-bottom: 10px;
}

/* What follows keeps its place while the picture is on its way. */
.lifeline,
.waiting {
  min-height: 412px;
}

.nobody {
  padding: 40px;
}

@media print {
  .page {
    display: block;
    height: auto;
  }

  .page > * {
    overflow: visible;
    border-left: 0;
  }
}

@media (max-width: 899px) {
  .page {
    display: block;
    overflow-y: auto;
  }

  .page > * {
    overflow: visible;
    border-left: 0;
  }
}
</style>
