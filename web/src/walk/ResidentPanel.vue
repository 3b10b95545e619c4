<script setup lang="ts">
import type { EntryKind, Task, TaskStatus } from '@kobrin/core'
import { canBeAsPlanned, quarantineOn } from '@kobrin/core'
import { X } from '@lucide/vue'
import Button from 'primevue/button'
import { computed } from 'vue'
import { RouterLink, useRouter } from 'vue-router'
import { fetched } from '../app/later.ts'
import '../verdicts/verdict.css'
import { useRecord } from '../entries/useRecord.ts'
import { usePlans } from '../plans/usePlans.ts'
import { useSite } from '../site/useSite.ts'
import type { When } from '../time/useToday.ts'
import { useToday } from '../time/useToday.ts'
import { isPressing } from '../verdicts/isPressing.ts'
import { NextStep } from '../verdicts/nextStepLater.ts'
import Because from '../words/Because.vue'
import { dutyName, sayHold, sayMealOf, sayTooLarge, sayVerdict } from '../words/cell.ts'
import { words } from '../words/en.ts'
import { terms } from '../words/terms.ts'
import { sayEntry } from '../words/entry.ts'
import { sayGrams } from '../words/measures.ts'
import { sayDate, sayMinuteOfDay } from '../words/numbers.ts'
import { useTeller } from '../words/useTeller.ts'
import { hasActions } from '../verdicts/hasActions.ts'
import { useVerdicts } from '../verdicts/useVerdicts.ts'
import DutyMark from './DutyMark.vue'
import { signOf } from './marks.ts'
import ExceptionPanel from '../exceptions/ExceptionPanel.vue'
import { useResidents } from '../residents/useResidents.ts'
import { usePeople } from '../people/usePeople.ts'
import { useTouch } from './useTouch.ts'
import { asksHere } from '../exceptions/saying.ts'
import { useException } from '../exceptions/useException.ts'
import { t } from './partWords.ts'
import { sayCadence } from '../words/cadence.ts'

const VerdictActions = fetched(() => import('../verdicts/VerdictActions.vue'))

const { residentId } = defineProps<{ residentId: string }>()
const emit = defineEmits<{
  planned: [when: When]
  again: [task: Task, when: When]
  said: [kind: EntryKind]
  asks: []
  close: []
}>()

const site = useSite()
const plans = usePlans()
const record = useRecord()
const residents = useResidents()
const people = usePeople()
const { canTouch } = useTouch()
const today = useToday()
const teller = useTeller()
const { verdictsOf } = useVerdicts()
const verdicts = computed(() => verdictsOf(residentId))
const router = useRouter()

const saying = useException(
  () => residentId,
  (kind) => emit('said', kind),
)

/** Takes the key of an exception. False when nobody here answers to it. */
function press(key: string): boolean {
  if (!people.mayWrite || saying.ask.value) return false
  if (key === 'g') {
    void router.push({ name: 'move', params: { id: residentId } })
    return true
  }
  const exception = saying.exceptions.value.find((one) => one.key === key)
  if (!exception) return false
  saying.choose(exception)
  if (asksHere(exception.ask)) emit('asks')
  return true
}

defineExpose({ press })

const LATELY = 5
const PRESSING: readonly TaskStatus[] = ['late', 'due', 'held', 'open', 'done']

const resident = computed(() => site.residents.get(residentId))
const species = computed(() => site.species.get(resident.value?.sheet ?? ''))
const day = computed(() => residents.dayOf(residentId))
const plan = computed(() => resident.value && plans.planOf(resident.value))
const quarantine = computed(
  () => plan.value && quarantineOn(today.day, plan.value, record.stateOf(residentId)),
)
const shown = computed(() =>
  day.value.tasks
    .filter(({ status }) => status !== 'notYet')
    .sort((a, b) => PRESSING.indexOf(a.status) - PRESSING.indexOf(b.status)),
)
const coming = computed(() =>
  day.value.tasks.filter(({ status, dueOn }) => status === 'notYet' && dueOn !== null),
)
const touchable = computed(() => people.mayWrite && canTouch(residentId))
const lately = computed(() => [...record.recent(residentId)].reverse().slice(0, LATELY))
const about = computed(() => {
  const one = resident.value
  if (!one) return ''
  const count = residents.countOf(residentId)
  const head =
    one.lives === 'colony'
      ? count
        ? t('about', { count })
        : t('colony')
      : one.sex === 'unknown'
        ? ''
        : terms.sex[one.sex]
  const weight = day.value.weight ? t('aboutGrams', { grams: sayGrams(day.value.weight.grams) }) : ''
  return [species.value?.common, head, one.accession, weight].filter(Boolean).join(' · ')
})

function says(task: Task): string {
  if (task.duty.does === 'feed' && task.offering) return sayMealOf(task.duty.label, task.offering)
  return dutyName(task)
}

function under(task: Task): string {
  if (task.done) {
    const { at, by, outcome } = task.done
    const doer = { time: today.clock(at), name: site.nameOf(by) }
    return outcome ? t('doneByOutcome', { ...doer, outcome: words.outcome[outcome] }) : t('doneBy', doer)
  }
  if (task.hold) return t('held', { hold: words.hold[task.hold].toLowerCase() })
  if (task.opensAtMinute !== undefined) return t('from', { minuteOfDay: sayMinuteOfDay(task.opensAtMinute) })
  if (task.leftToFind) return t('outBy', { time: today.clock(task.leftToFind.outBy) })
  if (task.tooLarge) return sayTooLarge(task.tooLarge)
  if (task.nothingToOffer) return t('everyFoodIsAt')
  return [
    ...(task.status === 'late' ? [t('daysOver', { count: Math.floor(task.daysOver) })] : []),
    t('cadence', { cadence: sayCadence(task.duty.cadence) }),
    ...(task.duty.people === 2 ? [t('twoPeople')] : []),
    ...(task.duty.competence ? [t('needsSomeoneClearedFor', { competence: task.duty.competence })] : []),
  ].join(' ')
}
</script>

<template>
  <aside class="side" :aria-label="t('whatIsDue', { name: resident?.name })">
    <header>
      <div>
        <h2>{{ resident?.name }}</h2>
        <p class="quiet small">{{ about }}</p>
        <RouterLink class="open" :to="{ name: 'record', params: { id: residentId } }">{{
          t('openTheRecord')
        }}</RouterLink>
        <RouterLink v-if="people.mayWrite" class="open" :to="{ name: 'move', params: { id: residentId } }">{{
          t('move2')
        }}</RouterLink>
      </div>
      <Button severity="secondary" class="close" :aria-label="t('close')" @click="emit('close')"
        ><X
      /></Button>
    </header>

    <ul v-if="verdicts.length > 0" class="verdicts">
      <li v-for="(verdict, index) in verdicts" :key="index" class="verdict" :class="verdict.severity">
        <strong>{{ sayVerdict(verdict, teller) }}</strong>
        <NextStep v-if="isPressing(verdict)" :verdict="verdict" :resident-id="residentId" />
        <Because
          v-if="verdict.because.length > 0"
          :reasons="verdict.because"
          :label="sayVerdict(verdict, teller)"
          :verdict="verdict"
          :resident-id="residentId"
        />
        <VerdictActions
          v-if="people.mayWrite && hasActions(verdict)"
          :verdict="verdict"
          :resident-id="residentId"
        />
      </li>
    </ul>
    <ul v-if="day.holds.length > 0" class="holds">
      <li v-for="hold in day.holds" :key="hold.hold" class="verdict hold">
        <strong>{{ sayHold(hold, today.day) }}</strong>
        <Because :reasons="hold.because" :label="words.hold[hold.hold]" />
      </li>
    </ul>

    <ul class="tasks">
      <li v-for="task in shown" :key="task.duty.id">
        <DutyMark
          :does="task.duty.does"
          :status="task.status"
          :days-over="task.daysOver"
          :name="task.duty.label ?? ''"
          :sign="signOf(task)"
        />
        <div>
          <strong>{{ says(task) }}</strong>
          <div class="under quiet small">
            {{ under(task) }}
            <Because
              :reasons="[...(task.offering?.because ?? []), ...task.because]"
              :label="dutyName(task)"
            />
          </div>
        </div>
        <Button
          v-if="people.mayWrite && (task.status === 'done' || task.status === 'open') && canBeAsPlanned(task)"
          severity="secondary"
          class="again"
          @click="emit('again', task, saying.when.value)"
        >
          {{ task.status === 'done' ? t('again') : t('doNow') }}
        </Button>
        <Button
          v-if="people.mayWrite && task.leftToFind"
          severity="secondary"
          class="again"
          @click="press('e')"
          >{{ t('whatIsLeft') }}</Button
        >
      </li>
      <li v-if="shown.length === 0" class="quiet">{{ t('nothingDueToday') }}</li>
    </ul>

    <Button v-if="touchable" class="planned" @click="emit('planned', saying.when.value)">
      {{ words.asPlanned }} <kbd class="always">{{ t('enter') }}</kbd>
    </Button>
    <ExceptionPanel v-if="people.mayWrite" :class="{ first: saying.ask.value }" :saying="saying" />

    <section v-if="plan && (quarantine || plan.cautions.length > 0)" class="careful">
      <h3>{{ t('careful') }}</h3>
      <p v-if="quarantine">
        {{ t('inQuarantineUntilAt', { date: sayDate(quarantine.until, today.day) }) }}
      </p>
      <p v-for="caution in plan.cautions" :key="caution">{{ caution }}</p>
    </section>
    <section v-if="lately.length > 0">
      <h3>{{ t('justNow') }}</h3>
      <ul class="small">
        <li v-for="entry in lately" :key="entry.uid">
          {{ today.clock(entry.occurredAt) }} {{ site.initialsOf(entry.author) }} ·
          {{ sayEntry(entry, teller) }}
        </li>
      </ul>
    </section>
    <section v-if="coming.length > 0">
      <h3>{{ t('coming') }}</h3>
      <ul class="small">
        <li v-for="task in coming" :key="task.duty.id">
          {{ dutyName(task) }} {{ sayDate(task.dueOn ?? 0, today.day) }}
        </li>
      </ul>
    </section>
  </aside>
</template>

<style scoped>
.side {
  display: flex;
  flex-direction: column;
  gap: 12px;
  padding: 14px 16px 24px;
  overflow-y: auto;
  border-left: 1px solid var(--line);
  background: var(--paper);
}

.side > * {
  flex: none;
}

/* What is being said comes first, then the one touch that says it all. */
.first {
  order: -2;
}

.planned {
  order: -1;
}

.under {
  display: flex;
  flex-wrap: wrap;
  gap: 0 8px;
}

header {
  display: flex;
  order: -3;
  justify-content: space-between;
  gap: 8px;
}

.small {
  font-size: 0.8438rem;
}

.open {
  display: inline-block;
  margin-right: 14px;
  min-height: 24px;
  font-size: 0.875rem;
}

.close {
  display: none;
  width: 44px;
  height: 44px;
  padding: 0;
}

.verdicts li,
.holds li {
  margin-bottom: 6px;
}

.tasks li {
  display: grid;
  grid-template-columns: 34px 1fr auto;
  gap: 10px;
  padding: 8px 0;
  border-top: 1px solid var(--line);
}

.again {
  align-self: start;
  font-size: 0.8438rem;
}

.planned {
  width: 100%;
  font-size: 1rem;
}

.careful p {
  font-size: 0.8438rem;
}

section h3 {
  margin-bottom: 2px;
  color: var(--soft);
  font-size: 0.8438rem;
}

@media (max-width: 899px) {
  .side {
    border-top: 3px solid var(--ink);
    border-left: 0;
  }

  .close {
    display: block;
  }
}
</style>
