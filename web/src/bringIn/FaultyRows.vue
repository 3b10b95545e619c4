<script setup lang="ts">
import type { FaultyRow, ListColumn, Mended } from '@kobrin/core'
import Button from 'primevue/button'
import Column from 'primevue/column'
import DataTable from 'primevue/datatable'
import InputText from 'primevue/inputtext'
import CellSelect from '../fields/CellSelect.vue'
import type { HouseWords } from './saying.ts'
import { sayFault } from './saying.ts'
import { t, words } from './words.ts'

/** Rows with something wrong, each mended where it stands. */
const { columns, here } = defineProps<{
  rows: readonly FaultyRow[]
  columns: readonly ListColumn[]
  here: HouseWords
}>()
const emit = defineEmits<{ mend: [row: number, part: Mended] }>()

/** Rows in sight at once. */
const PAGE = 25

/** The cells a fault may be mended in: the one it stands in, or all that mean something. */
function cellsOf({ faults }: FaultyRow): number[] {
  const at = faults.flatMap(({ column }) => column ?? [])
  if (at.length > 0) return [...new Set(at)]
  return columns.flatMap(({ meaning, header }, index) => (meaning === 'ignore' || header === '' ? [] : index))
}

function isDoubt({ faults }: FaultyRow): boolean {
  return faults.every(({ problem }) => problem.code === 'implausible')
}

function labelOf(at: number): string {
  return words.meaning[columns[at]?.meaning ?? 'ignore']
}

/** What can be chosen in a cell, where it is one of a few. */
function choicesOf({ faults }: FaultyRow, at: number) {
  const problem = faults.find(({ column }) => column === at)?.problem
  if (problem?.code === 'whichStage' || problem?.code === 'unknownStage') return here.stagesOf(problem.sheet)
  if (problem?.code === 'unknownSpecies') return here.species
  if (problem?.code === 'unknownPlace' || problem?.code === 'noPlace' || problem?.code === 'placeTaken')
    return here.places
  return null
}

function mend(row: number, at: number, text: string): void {
  emit('mend', row, { cells: { [at]: text } })
}
</script>

<template>
  <DataTable :value="[...rows]" data-key="row" size="small" :paginator="rows.length > PAGE" :rows="PAGE">
    <Column field="line" :header="t('row')" />
    <Column field="who" :header="t('who')" />
    <Column :header="t('wrong')">
      <template #body="{ data }: { data: FaultyRow }">
        <p v-for="(fault, at) in data.faults" :key="at" class="fault">{{ sayFault(fault, here) }}</p>
      </template>
    </Column>
    <Column :header="t('asItStands')">
      <template #body="{ data }: { data: FaultyRow }">
        <div class="row">
          <label v-for="at in cellsOf(data)" :key="at" class="cell">
            <span class="quiet">{{ labelOf(at) }}</span>
            <CellSelect
              v-if="choicesOf(data, at)"
              :model-value="data.cells[at] ?? ''"
              :options="choicesOf(data, at) ?? []"
              :label="labelOf(at)"
              searched
              @update:model-value="mend(data.row, at, $event)"
            />
            <InputText
              v-else
              :model-value="data.cells[at] ?? ''"
              @change="mend(data.row, at, ($event.target as HTMLInputElement).value)"
            />
          </label>
        </div>
      </template>
    </Column>
    <Column>
      <template #body="{ data }: { data: FaultyRow }">
        <div class="row acts">
          <Button
            v-if="isDoubt(data)"
            severity="secondary"
            @click="emit('mend', data.row, { accepted: true })"
            >{{ t('isSo') }}</Button
          >
          <Button severity="secondary" @click="emit('mend', data.row, { leftOut: true })">{{
            t('leaveOut')
          }}</Button>
        </div>
      </template>
    </Column>
  </DataTable>
</template>

<style scoped>
.acts {
  flex-wrap: nowrap;
  white-space: nowrap;
}

.fault {
  color: var(--late);
}

.cell {
  display: grid;
  font-size: 0.8125rem;
}
</style>
