<script setup lang="ts">
import type { Guess, LengthUnit, ListColumn, MassUnit } from '@kobrin/core'
import { BodyPart, DATE_ORDERS, LENGTH_UNITS, MASS_UNITS, MEANINGS } from '@kobrin/core'
import Column from 'primevue/column'
import DataTable from 'primevue/datatable'
import CellSelect from '../fields/CellSelect.vue'
import { choicesFrom, choicesOf } from '../fields/choicesOf.ts'
import TickField from '../fields/TickField.vue'
import { words as vocabulary } from '../words/en.ts'
import { sayReason } from './saying.ts'
import { t, words } from './words.ts'

/** The first rows of somebody's own list, each column headed by what it will become and how it is read: as guessed, until
 * somebody says otherwise. */
defineProps<{
  guesses: readonly Guess[]
  shown: readonly { line: number; cells: string[] }[]
}>()
const columns = defineModel<ListColumn[]>({ required: true })

const MEANS = MEANINGS.map((value) => ({ value, label: words.meaning[value] }))
const MASS = choicesFrom(Object.keys(MASS_UNITS) as MassUnit[])
const LENGTH = choicesFrom(Object.keys(LENGTH_UNITS) as LengthUnit[])
const ORDERS = DATE_ORDERS.map((value) => ({ value, label: words.orders[value] }))
const PARTS = BodyPart.options.map((value) => ({ value, label: vocabulary.part[value] }))
const SIGNS = choicesOf({ '.': words.signs.point, ',': words.signs.comma })
const DATED: readonly ListColumn['meaning'][] = ['on', 'hatched', 'arrived']
const NUMBERED: readonly ListColumn['meaning'][] = ['weight', 'size', 'amount']

const isDated = ({ meaning, order }: ListColumn) => DATED.includes(meaning) || order === null

function say(at: number, part: Partial<ListColumn>): void {
  columns.value = columns.value.map((column, index) => (index === at ? { ...column, ...part } : column))
}

/** What is newly said of a column has to be readable at once. */
function mean(at: number, meaning: ListColumn['meaning']): void {
  const { order, decimal } = columns.value[at] ?? {}
  say(at, {
    meaning,
    ...(DATED.includes(meaning) && { order: order === undefined ? 'ymd' : order }),
    ...(NUMBERED.includes(meaning) && { decimal: decimal === undefined ? '.' : decimal }),
  })
}
</script>

<template>
  <div class="theirs">
    <DataTable :value="[...shown]" data-key="line" size="small" show-gridlines>
      <Column :header="t('row')" field="line" class="line" />
      <Column
        v-for="({ because }, at) in guesses"
        :key="at"
        :class="{ left: columns[at]?.meaning === 'ignore' }"
      >
        <template #header>
          <div class="head">
            <strong class="named">{{ columns[at]?.header || t('noHeader', { number: at + 1 }) }}</strong>
            <CellSelect
              :model-value="columns[at]?.meaning"
              :options="MEANS"
              :label="`${t('becomes')}: ${columns[at]?.header}`"
              @update:model-value="mean(at, $event)"
            />
            <CellSelect
              v-if="columns[at]?.meaning === 'weight'"
              :model-value="columns[at]?.mass ?? 'g'"
              :options="MASS"
              :label="t('massUnit')"
              @update:model-value="say(at, { mass: $event })"
            />
            <template v-else-if="columns[at]?.meaning === 'size'">
              <CellSelect
                :model-value="columns[at]?.part ?? 'length'"
                :options="PARTS"
                :label="t('part')"
                @update:model-value="say(at, { part: $event })"
              />
              <CellSelect
                :model-value="columns[at]?.length ?? 'mm'"
                :options="LENGTH"
                :label="t('lengthUnit')"
                @update:model-value="say(at, { length: $event })"
              />
            </template>
            <CellSelect
              v-if="columns[at] && isDated(columns[at])"
              :model-value="columns[at]?.order"
              :options="ORDERS"
              :label="t('order')"
              :asked="columns[at]?.order === null"
              @update:model-value="say(at, { order: $event })"
            />
            <CellSelect
              v-if="columns[at]?.decimal === null"
              :model-value="columns[at]?.decimal"
              :options="SIGNS"
              :label="t('decimal')"
              asked
              @update:model-value="say(at, { decimal: $event })"
            />
            <TickField
              v-if="columns[at]?.meaning !== 'ignore'"
              :model-value="columns[at]?.down ?? false"
              :label="t('emptyIsAbove')"
              @update:model-value="say(at, { down: $event ?? false })"
            />
            <span class="because">{{ because.map(sayReason).join(' ') }}</span>
          </div>
        </template>
        <template #body="{ data }">{{ data.cells[at] }}</template>
      </Column>
    </DataTable>
  </div>
</template>

<style scoped>
.theirs {
  overflow-x: auto;
}

.head {
  display: grid;
  gap: 4px;
  align-content: start;
  min-width: 168px;
}

.named {
  overflow-wrap: anywhere;
}

.because {
  max-width: 220px;
  color: var(--soft);
  font-weight: 400;
  font-size: 0.8125rem;
}

.theirs :deep(th) {
  vertical-align: top;
}

.theirs :deep(.left) {
  color: var(--soft);
}
</style>
