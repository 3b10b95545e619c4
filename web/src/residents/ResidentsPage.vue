<script setup lang="ts">
import type { Reason } from '@kobrin/core'
import { byGravity, isToDo, mayRecord } from '@kobrin/core'
import { refDebounced } from '@vueuse/core'
import Button from 'primevue/button'
import Column from 'primevue/column'
import type { DataTableRowClickEvent } from 'primevue/datatable'
import DataTable from 'primevue/datatable'
import InputText from 'primevue/inputtext'
import MultiSelect from 'primevue/multiselect'
import Select from 'primevue/select'
import { computed, markRaw, shallowRef, useTemplateRef } from 'vue'
import { RouterLink, useRouter } from 'vue-router'
import * as z from 'zod/mini'
import { forSpreadsheet } from '../app/forSpreadsheet.ts'
import { usePrinting } from '../app/usePrinting.ts'
import { usePeople } from '../people/usePeople.ts'
import CurveFits from '../curves/CurveFits.vue'
import { useStored } from '../kept/useStored.ts'
import { useSite } from '../site/useSite.ts'
import { useAskedCurves } from '../curves/useCurves.ts'
import { useVerdicts } from '../verdicts/useVerdicts.ts'
import { useResidents } from './useResidents.ts'
import Because from '../words/Because.vue'
import { sayCell } from '../words/cell.ts'
import { words } from '../words/en.ts'
import { numberHere, unitHere } from '../words/measures.ts'
import { sayReason } from '../words/reasons.ts'
import { terms } from '../words/terms.ts'
import { useTeller } from '../words/useTeller.ts'
import DutyMark from '../walk/DutyMark.vue'
import type { Mark } from '../walk/marks.ts'
import { marksOf, sayMarks } from '../walk/marks.ts'
import type { Findable } from './search.ts'
import { findResidents } from './search.ts'
import ListActions from './ListActions.vue'
import LongGone from './LongGone.vue'
import type { GroupName } from './rowGroups.ts'
import { inGroups, useRowGroups } from './rowGroups.ts'
import { useFindable } from './useFindable.ts'
import type { Answer, Question } from './questions.ts'
import { answerOf, QUESTIONS } from './questions.ts'
import { asks, t } from './words.ts'

const router = useRouter()
const residents = useResidents()
const teller = useTeller()
const everyone = useFindable()
const people = usePeople()
const site = useSite()
/** On paper everybody stands, not those in sight. */
const printing = usePrinting()
const query = shallowRef('')
const groupBy = shallowRef<GroupName | null>(null)
const groups: { value: GroupName | null; label: string }[] = [
  { value: null, label: t('noGroups') },
  { value: 'bay', label: t('byBay') },
  { value: 'species', label: t('bySpecies') },
  { value: 'stage', label: t('byStage') },
]

/** Only the rows in sight are drawn. */
const IN_SIGHT = {
  scrollable: true,
  scrollHeight: 'flex',
  virtualScrollerOptions: { itemSize: 46, numToleratedItems: 4 },
}
/** The list follows once the typing pauses: thousands of rows are not laid out at every key. */
const PAUSE_MS = 250
const asked = refDebounced(query, PAUSE_MS)

/** What the table can show besides number and name. */
const ColumnName = z.enum(['species', 'stage', 'sex', 'grams', 'place', 'marks', 'says'])
type ColumnName = z.infer<typeof ColumnName>
const all = computed<{ value: ColumnName; label: string }[]>(() => [
  { value: 'species', label: t('species') },
  { value: 'stage', label: t('stage') },
  { value: 'sex', label: t('sex') },
  { value: 'grams', label: t('weightG', { unit: unitHere('g') }) },
  { value: 'place', label: t('place') },
  { value: 'marks', label: t('toDo') },
  { value: 'says', label: t('today') },
])
/** One question that is asked of everybody, instead of a search by name. */
const question = shallowRef<Question | null>(null)
const questions = [
  { value: null, label: t('everybody') },
  ...QUESTIONS.map((value) => ({ value, label: asks[value] })),
]
const { verdictsOf } = useVerdicts()
useAskedCurves()
const NO_ANSWER: Answer = { says: '', because: [], severity: 'info' }

function answer(id: string): Answer | null {
  if (!question.value) return NO_ANSWER
  return answerOf(question.value, residents.dayOf(id), verdictsOf(id), teller)
}

const shown = useStored<ColumnName[]>('kobrin.columns', z.array(ColumnName), [
  'species',
  'place',
  'marks',
  'says',
])
const columns = computed(() =>
  all.value.filter(({ value }) => shown.value.includes(value) || (value === 'says' && question.value)),
)

interface Row {
  id: string
  accession: string
  name: string
  species: string
  stage: string
  sex: string
  place: string
  bay: string
  readonly grams: number | ''
  /** What is to do, as a file is told it. */
  readonly marks: string
  readonly says: string
  /** Why it is on the list that was asked for. */
  readonly because: string
  readonly reasons: readonly Reason[]
  readonly pressing: number
}

const rows = computed<Row[]>(() => {
  const found = findResidents(asked.value, everyone.value).flatMap((one) => {
    const answered = answer(one.resident.id)
    return answered ? [{ one, answered }] : []
  })
  // Those that were asked for come gravest first; equal ones as they were found.
  const sorted = question.value ? found.sort((x, y) => byGravity(x.answered, y.answered)) : found
  const all = sorted.map(({ one, answered }) => rowOf(one, answered))
  return inGroups(all, groupBy.value)
})
const ids = computed(() => rows.value.map(({ id }) => id))
const { layout, sizeOf } = useRowGroups(rows, { groupBy, printing, inSight: IN_SIGHT })

function rowOf(
  { resident, species, place }: Pick<Findable, 'resident' | 'species' | 'place'>,
  answered: Answer,
): Row {
  // The table watches all that its rows hold, and would work out what nobody looks at.
  return markRaw({
    id: resident.id,
    accession: resident.accession,
    name: resident.name,
    species,
    stage: teller.stageOf(resident.id, resident.stage),
    sex: resident.lives === 'colony' ? '' : terms.sex[resident.sex],
    place,
    bay: bayOf(resident.id),
    // Worked out where they are shown or sorted by, and not for thousands that are not.
    get grams() {
      const { weight } = residents.dayOf(resident.id)
      return weight ? numberHere(weight.grams, 'g') : ''
    },
    get marks() {
      return sayMarks(marks(resident.id), teller.who)
    },
    get says() {
      return answered.says || sayCell(residents.dayOf(resident.id), teller).text
    },
    get because() {
      return answered.because.map((reason) => sayReason(reason, teller)).join(' ')
    },
    reasons: answered.because,
    get pressing() {
      return pressing(resident.id)
    },
  })
}

function bayOf(id: string): string {
  const bay = site.bays.get(site.enclosures.get(residents.homeOf(id) ?? '')?.bayId ?? '')
  const room = bay && site.rooms.get(bay.roomId)
  return bay && room ? `${room.name} · ${bay.name}` : t('nowhere')
}

function marks(id: string): Mark[] {
  return marksOf(residents.dayOf(id).tasks).filter(({ status }) => status !== 'done' && status !== 'open')
}

/** What asks the most of somebody comes first when the table is sorted by it. */
function pressing(id: string): number {
  const tasks = residents.dayOf(id).tasks.filter(isToDo)
  return -tasks.reduce((sum, { status, daysOver }) => sum + 1 + (status === 'late' ? 100 + daysOver : 0), 0)
}

function open({ data }: DataTableRowClickEvent<Row>): void {
  void router.push({ name: 'record', params: { id: data.id } })
}

const table = useTemplateRef<{ exportCSV: () => void }>('table')
</script>

<template>
  <main class="residents">
    <header>
      <h1>{{ words.places.residents }}</h1>
      <InputText
        v-model="query"
        class="find no-print"
        type="search"
        :aria-label="terms.findPlaceholder"
        :placeholder="terms.findPlaceholder"
      />
      <Select
        v-model="question"
        class="no-print"
        :options="questions"
        option-label="label"
        option-value="value"
        :aria-label="t('whichList')"
        :placeholder="t('everybody')"
        scroll-height="26rem"
      />
      <Select
        v-model="groupBy"
        class="no-print"
        :options="groups"
        option-label="label"
        option-value="value"
        :aria-label="t('groupBy')"
        :placeholder="t('noGroups')"
      />
      <p class="quiet" role="status">{{ t('of', { count: rows.length, count2: everyone.length }) }}</p>
      <LongGone />
      <MultiSelect
        v-model="shown"
        class="no-print"
        :options="all"
        option-label="label"
        option-value="value"
        :show-toggle-all="false"
        :aria-label="t('columns')"
        :selected-items-label="t('columns')"
        :max-selected-labels="0"
      />
      <Button severity="secondary" class="no-print" @click="table?.exportCSV()">{{ t('saveAsCsv') }}</Button>
      <ListActions
        v-if="people.mayWrite && (question || asked)"
        :ids="ids"
        :asked="question ? asks[question] : ''"
      />
      <RouterLink
        v-if="mayRecord(people.role, 'registered')"
        class="no-print"
        :to="{ name: 'newResident' }"
        >{{ t('somebodyNew2') }}</RouterLink
      >
      <CurveFits v-if="question === 'offCurve'" />
    </header>
    <DataTable
      ref="table"
      :key="`${printing} ${groupBy}`"
      :value="rows"
      data-key="id"
      size="small"
      removable-sort
      row-hover
      export-filename="residents"
      :export-function="forSpreadsheet"
      v-bind="layout"
      @row-click="open"
    >
      <Column field="accession" :header="t('number')" sortable />
      <Column field="name" :header="t('name')" sortable>
        <template #body="{ data }">
          <RouterLink :to="{ name: 'record', params: { id: data.id } }">{{ data.name }}</RouterLink>
        </template>
      </Column>
      <Column
        v-for="{ value, label } in columns"
        :key="value"
        :field="value"
        :header="label"
        :sortable="value !== 'says'"
        :sort-field="value === 'marks' ? 'pressing' : value"
      >
        <template #body="{ data }: { data: Row }">
          <span v-if="value === 'marks'" class="marks">
            <DutyMark
              v-for="mark in marks(data.id)"
              :key="mark.key"
              :does="mark.does"
              :sign="mark.sign"
              :status="mark.status"
              :days-over="mark.daysOver"
              :name="mark.names.join(', ')"
              :count="mark.names.length"
            />
          </span>
          <template v-else>{{ data[value] }}</template>
        </template>
      </Column>
      <Column v-if="question" field="because" :header="t('because')">
        <template #body="{ data }: { data: Row }">
          <Because :reasons="data.reasons" :label="`${data.name}: ${data.says}`" />
        </template>
      </Column>
      <template #groupheader="{ data }: { data: Row }">
        <strong v-if="groupBy">{{
          t('groupOf', { name: data[groupBy], count: sizeOf(data[groupBy]) })
        }}</strong>
      </template>
      <template #empty>{{ question ? t('nobodyIsThat') : terms.foundNobody }}</template>
    </DataTable>
  </main>
</template>

<style scoped>
.residents {
  display: grid;
  grid-template-rows: auto minmax(0, 1fr);
  gap: 12px;
  height: 100%;
  padding: 14px 18px;
}

header {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 16px;
}

@media print {
  .residents {
    display: block;
    height: auto;
  }
}

.find {
  width: min(360px, 100%);
}

:deep(td),
:deep(th) {
  height: 46px;
  text-align: left;
  white-space: nowrap;
}

:deep(td) {
  max-width: 360px;
  overflow: hidden;
  text-overflow: ellipsis;
}

.marks {
  display: flex;
  gap: 6px;
}

:deep(tr) {
  cursor: pointer;
}

:deep(td a) {
  display: inline-block;
  min-height: 24px;
  font-weight: 700;
}
</style>
