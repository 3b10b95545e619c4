<script setup lang="ts">
import type { Task } from '@kobrin/core'
import Button from 'primevue/button'
import Column from 'primevue/column'
import DataTable from 'primevue/datatable'
import { computed, nextTick, useTemplateRef } from 'vue'
import type { ComponentPublicInstance } from 'vue'
import BegunBefore from '../drafts/BegunBefore.vue'
import { useSite } from '../site/useSite.ts'
import type { When } from '../time/useToday.ts'
import type { Face } from '../walk/stops.ts'
import { isToCome } from '../time/whens.ts'
import { useToday } from '../time/useToday.ts'
import { unitHere } from '../words/measures.ts'
import PaperCell from './PaperCell.vue'
import { sayPlanned } from './saying.ts'
import type { SheetRow } from './sheet.ts'
import type { ExtraColumn } from './typedSheet.ts'
import { EXTRAS } from './typedSheet.ts'
import { usePaperRound } from './usePaperRound.ts'
import { t } from './words.ts'

/** What was written on paper, typed in cell by cell. */
const { face, when } = defineProps<{ face: Face; when: NonNullable<When> }>()
const site = useSite()
const today = useToday()
// The page makes this again for another bay or another day.
const round = usePaperRound(face, when.day)
const { sheet, draft, drafts, wrong } = round
const table = useTemplateRef<ComponentPublicInstance>('table')

const extraNames = computed<Readonly<Record<ExtraColumn, string>>>(() => ({
  all: t('all'),
  weight: t('weight', { unit: unitHere('g') }),
  note: t('note'),
}))

/** Rows of a bay in sight at once. */
const PAGE = 60

function nameOf({ resident }: SheetRow): string {
  return site.residents.get(resident)?.name ?? ''
}

function labelOf(row: SheetRow, name: string): string {
  return t('cellOf', { name: nameOf(row), duty: name })
}

function shownIn(row: SheetRow, column: string): readonly Task[] {
  return row.tasks.get(column) ?? []
}

const DOWN: Readonly<Record<string, number>> = { Enter: 1, ArrowDown: 1, ArrowUp: -1 }

function keep(): void {
  if (!isToCome(when, today.civilMoment()) && round.keep(when)) void nextTick(() => cells()[0]?.focus())
}

function cells(column?: string): HTMLInputElement[] {
  const all: HTMLInputElement[] = [...(table.value?.$el.querySelectorAll('input[data-column]') ?? [])]
  return column === undefined ? all : all.filter((cell) => cell.dataset['column'] === column)
}

function onKey(event: KeyboardEvent): void {
  const at = event.target
  if (!(at instanceof HTMLInputElement) || at.dataset['column'] === undefined) return
  if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) {
    event.preventDefault()
    keep()
    return
  }
  const by = DOWN[event.key]
  if (by === undefined || event.isComposing) return
  event.preventDefault()
  const inColumn = cells(at.dataset['column'])
  const next = inColumn[inColumn.indexOf(at) + by]
  next?.focus()
  next?.select()
}
</script>

<template>
  <section class="typing no-print">
    <BegunBefore :draft="draft" />
    <DataTable
      ref="table"
      :value="[...sheet.rows]"
      data-key="resident"
      size="small"
      scrollable
      :paginator="sheet.rows.length > PAGE"
      :rows="PAGE"
      @keydown="onKey"
    >
      <Column :header="t('place')">
        <template #body="{ data: row }: { data: SheetRow }">
          {{ round.placeOf(row.resident) }}
        </template>
      </Column>
      <Column :header="t('whom')">
        <template #body="{ data: row }: { data: SheetRow }">
          <strong>{{ nameOf(row) }}</strong>
        </template>
      </Column>
      <Column v-for="column in sheet.columns" :key="column.key" :header="column.name">
        <template #body="{ data: row }: { data: SheetRow }">
          <template v-if="round.openIn(row, column.key).length > 0">
            <p class="quiet planned">{{ sayPlanned(round.openIn(row, column.key)) }}</p>
            <PaperCell
              :model-value="round.typedIn(row.resident, column.key)"
              :column="column.key"
              :label="labelOf(row, column.name)"
              :complaint="round.complaintAt(row.resident, column.key)"
              @update:model-value="round.type(row.resident, column.key, $event ?? '')"
            />
          </template>
          <p v-else class="quiet planned">{{ sayPlanned(shownIn(row, column.key)) }}</p>
        </template>
      </Column>
      <Column v-for="extra in EXTRAS" :key="extra" :header="extraNames[extra]">
        <template #body="{ data: row }: { data: SheetRow }">
          <PaperCell
            :model-value="round.typedIn(row.resident, extra)"
            :column="extra"
            :label="labelOf(row, extraNames[extra])"
            :complaint="round.complaintAt(row.resident, extra)"
            @update:model-value="round.type(row.resident, extra, $event ?? '')"
          />
        </template>
      </Column>
    </DataTable>
    <div class="row">
      <Button :disabled="drafts.length === 0 || wrong > 0" @click="keep">
        {{ t('keep', { count: drafts.length }) }}
      </Button>
      <p v-if="wrong > 0" class="fault" role="status">{{ t('wrongCells', { count: wrong }) }}</p>
    </div>
  </section>
</template>

<style scoped>
.typing {
  display: grid;
  gap: 10px;
  min-width: 0;
}

.planned {
  font-size: 0.8125rem;
}

.fault {
  max-width: 22em;
  color: var(--late);
}
</style>
