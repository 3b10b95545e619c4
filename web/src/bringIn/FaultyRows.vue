<script setup lang="ts">
import type { ListColumn } from '@kobrin/core'
import Button from 'primevue/button'
import Column from 'primevue/column'
import DataTable from 'primevue/datatable'
import InputText from 'primevue/inputtext'
import type { FaultyRow, Mended } from './list.ts'
import { sayFault } from './saying.ts'
import { t, words } from './words.ts'

/** Rows with something wrong, each mended where it stands. */
const { columns } = defineProps<{ rows: readonly FaultyRow[]; columns: readonly ListColumn[] }>()
const emit = defineEmits<{ mend: [row: number, part: Mended] }>()

/** Rows in sight at once. */
const PAGE = 25

/** The cells a fault may be mended in: the one it stands in, or all that mean something. */
function cellsOf({ faults }: FaultyRow): number[] {
  const at = faults.flatMap(({ column }) => column ?? [])
  if (at.length > 0) return [...new Set(at)]
  return columns.flatMap(({ meaning }, index) => (meaning === 'ignore' ? [] : index))
}

function isDoubt({ faults }: FaultyRow): boolean {
  return faults.every(({ problem }) => problem.code === 'implausible')
}

function labelOf(at: number): string {
  return words.meaning[columns[at]?.meaning ?? 'ignore']
}
</script>

<template>
  <DataTable :value="[...rows]" data-key="row" size="small" :paginator="rows.length > PAGE" :rows="PAGE">
    <Column field="line" :header="t('row')">
      <template #body="{ data }: { data: FaultyRow }">{{ data.line }}</template>
    </Column>
    <Column field="who" :header="t('who')" />
    <Column :header="t('wrong')">
      <template #body="{ data }: { data: FaultyRow }">
        <p v-for="(fault, at) in data.faults" :key="at" class="fault">{{ sayFault(fault) }}</p>
      </template>
    </Column>
    <Column :header="t('asItStands')">
      <template #body="{ data }: { data: FaultyRow }">
        <div class="row">
          <label v-for="at in cellsOf(data)" :key="at" class="cell">
            <span class="quiet">{{ labelOf(at) }}</span>
            <InputText
              :model-value="data.cells[at] ?? ''"
              @change="emit('mend', data.row, { cells: { [at]: ($event.target as HTMLInputElement).value } })"
            />
          </label>
        </div>
      </template>
    </Column>
    <Column>
      <template #body="{ data }: { data: FaultyRow }">
        <div class="row">
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
.fault {
  color: var(--late);
}

.cell {
  display: grid;
  font-size: 0.8125rem;
}
</style>
