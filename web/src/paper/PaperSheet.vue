<script setup lang="ts">
import { isToDo } from '@kobrin/core'
import { useResidents } from '../residents/useResidents.ts'
import { useToday } from '../time/useToday.ts'
import type { Face } from '../walk/stops.ts'
import { sayCell } from '../words/cell.ts'
import { unitHere } from '../words/measures.ts'
import { sayDate } from '../words/numbers.ts'
import { useTeller } from '../words/useTeller.ts'
import { sayPlanned } from './saying.ts'
import type { SheetRow } from './sheet.ts'
import { WEIGHT } from './sheet.ts'
import { useBaySheet } from './useBaySheet.ts'
import { t } from './words.ts'

/** The sheet of one bay as it is printed: a line for each resident, a box to mark for each thing due. */
const { face, title, day } = defineProps<{ face: Face; title: string; day: number }>()
const residents = useResidents()
const today = useToday()
const teller = useTeller()

const { sheet, placeOf } = useBaySheet(
  () => face,
  () => day,
)

/** What a hand has to know before it opens the box. */
function warningOf(resident: string): string {
  const { text, tone } = sayCell(residents.dayOn(resident, { day }), { ...teller, today: day })
  return tone === 'held' || tone === 'late' || tone === 'watch' ? text : ''
}

/** Whether a mark is asked for, may be made, or has no place. */
function markIn(row: SheetRow, column: string): 'due' | 'may' | null {
  const tasks = row.tasks.get(column) ?? []
  if (tasks.some(isToDo)) return 'due'
  return tasks.some(({ status }) => status === 'open') ? 'may' : null
}
</script>

<template>
  <article class="sheet">
    <header>
      <h2>{{ t('sheetHead', { place: title, day: sayDate(day, today.day) }) }}</h2>
      <p>{{ t('by') }} <span class="line"></span> {{ t('from') }} <span class="line"></span></p>
    </header>
    <table>
      <thead>
        <tr>
          <th scope="col">{{ t('place') }}</th>
          <th scope="col">{{ t('whom') }}</th>
          <th v-for="column in sheet.columns" :key="column.key" scope="col">{{ column.name }}</th>
          <th scope="col">{{ t('all') }}</th>
          <th scope="col">{{ t('weight', { unit: unitHere('g') }) }}</th>
          <th scope="col">{{ t('note') }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in sheet.rows" :key="row.resident">
          <td>{{ placeOf(row.resident) }}</td>
          <th scope="row">
            {{ residents.nameOf(row.resident) }}
            <p class="warning">{{ warningOf(row.resident) }}</p>
          </th>
          <td v-for="column in sheet.columns" :key="column.key">
            <span v-if="markIn(row, column.key)" class="mark" :class="markIn(row, column.key)"></span>
            {{ sayPlanned(row.tasks.get(column.key) ?? []) }}
          </td>
          <td><span class="mark due"></span></td>
          <td :class="{ weigh: markIn(row, WEIGHT) === 'due' }"></td>
          <td class="free"></td>
        </tr>
      </tbody>
    </table>
    <footer>
      {{ t('legendTitle') }}: {{ t('legendPlanned') }} · {{ t('legendFeed') }} · {{ t('legendBowl') }} ·
      {{ t('legendLook') }} · {{ t('legendNumbers') }} · {{ t('legendDotted') }}
    </footer>
  </article>
</template>

<style scoped>
.sheet {
  display: none;
}

@media print {
  .sheet {
    display: block;
    font-size: 9pt;
  }

  .sheet + .sheet {
    break-before: page;
  }

  header {
    display: flex;
    gap: 24px;
    justify-content: space-between;
  }

  .line {
    display: inline-block;
    width: 3.5cm;
    border-bottom: 1px solid black;
  }

  table {
    width: 100%;
    border-collapse: collapse;
  }

  thead {
    display: table-header-group;
  }

  tr {
    break-inside: avoid;
  }

  th,
  td {
    padding: 2pt 4pt;
    border: 0.5pt solid black;
    text-align: left;
    vertical-align: top;
  }

  .warning {
    max-width: 5cm;
    font-weight: 400;
    font-style: italic;
  }

  .mark {
    display: inline-block;
    width: 10pt;
    height: 10pt;
    border: 1pt solid black;
    vertical-align: -1pt;
  }

  .may {
    border-style: dotted;
  }

  .weigh {
    border: 2pt solid black;
  }

  .free {
    min-width: 4cm;
  }

  footer {
    padding-top: 4pt;
    font-size: 8pt;
  }
}
</style>
