<script setup lang="ts">
import type { ListColumn, Guess, LengthUnit, MassUnit } from '@kobrin/core'
import { BodyPart, DATE_ORDERS, LENGTH_UNITS, MASS_UNITS, MEANINGS } from '@kobrin/core'
import Column from 'primevue/column'
import DataTable from 'primevue/datatable'
import CellSelect from '../fields/CellSelect.vue'
import { choicesFrom, choicesOf } from '../fields/choicesOf.ts'
import { words as vocabulary } from '../words/en.ts'
import { sayReason } from './saying.ts'
import { t, words } from './words.ts'

/** What each column of a list means, and how it is read: as guessed, until somebody says otherwise. */
defineProps<{ guesses: readonly (Guess & { samples: string[] })[] }>()
const columns = defineModel<ListColumn[]>({ required: true })

const MEANS = MEANINGS.map((value) => ({ value, label: words.meaning[value] }))
const MASS = choicesFrom(Object.keys(MASS_UNITS) as MassUnit[])
const LENGTH = choicesFrom(Object.keys(LENGTH_UNITS) as LengthUnit[])
const ORDERS = DATE_ORDERS.map((value) => ({ value, label: words.orders[value] }))
const PARTS = BodyPart.options.map((value) => ({ value, label: vocabulary.part[value] }))
const SIGNS = choicesOf({ '.': words.signs.point, ',': words.signs.comma })
const DATED: readonly ListColumn['meaning'][] = ['on', 'hatched', 'arrived']
const NUMBERED: readonly ListColumn['meaning'][] = ['weight', 'size', 'amount']

function say(at: number, part: Partial<ListColumn>): void {
  columns.value = columns.value.map((column, index) => (index === at ? { ...column, ...part } : column))
}

/** What is newly said of a column has to be readable at once. */
function mean(at: number, meaning: ListColumn['meaning']): void {
  say(at, {
    meaning,
    ...(DATED.includes(meaning) && { order: columns.value[at]?.order ?? 'ymd' }),
    ...(NUMBERED.includes(meaning) && { decimal: columns.value[at]?.decimal ?? '.' }),
  })
}
</script>

<template>
  <DataTable :value="[...guesses]" size="small">
    <Column :header="t('header')">
      <template #body="{ data, index }">
        <strong>{{ data.column.header || t('noHeader', { number: index + 1 }) }}</strong>
      </template>
    </Column>
    <Column :header="t('samples')">
      <template #body="{ data }"
        ><span class="quiet">{{ data.samples.join(' · ') }}</span></template
      >
    </Column>
    <Column :header="t('means')">
      <template #body="{ data, index }">
        <CellSelect
          :model-value="columns[index]?.meaning"
          :options="MEANS"
          :label="`${t('means')}: ${data.column.header}`"
          @update:model-value="mean(index, $event)"
        />
      </template>
    </Column>
    <Column :header="t('readAs')">
      <template #body="{ index }">
        <div class="row">
          <CellSelect
            v-if="columns[index]?.meaning === 'weight'"
            :model-value="columns[index]?.mass ?? 'g'"
            :options="MASS"
            :label="t('massUnit')"
            @update:model-value="say(index, { mass: $event })"
          />
          <template v-else-if="columns[index]?.meaning === 'size'">
            <CellSelect
              :model-value="columns[index]?.part ?? 'length'"
              :options="PARTS"
              :label="t('part')"
              @update:model-value="say(index, { part: $event })"
            />
            <CellSelect
              :model-value="columns[index]?.length ?? 'mm'"
              :options="LENGTH"
              :label="t('lengthUnit')"
              @update:model-value="say(index, { length: $event })"
            />
          </template>
          <CellSelect
            v-if="DATED.includes(columns[index]?.meaning ?? 'ignore')"
            :model-value="columns[index]?.order"
            :options="ORDERS"
            :label="t('order')"
            :asked="columns[index]?.order === null"
            @update:model-value="say(index, { order: $event })"
          />
          <CellSelect
            v-if="NUMBERED.includes(columns[index]?.meaning ?? 'ignore')"
            :model-value="columns[index]?.decimal ?? '.'"
            :options="SIGNS"
            :label="t('decimal')"
            @update:model-value="say(index, { decimal: $event })"
          />
        </div>
      </template>
    </Column>
    <Column :header="t('why')">
      <template #body="{ data }">
        <span v-for="(reason, at) in data.because" :key="at" class="why">{{ sayReason(reason) }}</span>
      </template>
    </Column>
  </DataTable>
</template>

<style scoped>
.why {
  margin-right: 4px;
}
</style>
