<script setup lang="ts">
import type { Column as ListColumn, Guess } from '@kobrin/core'
import { BodyPart, DATE_ORDERS, LENGTH_UNITS, MASS_UNITS, MEANINGS } from '@kobrin/core'
import Column from 'primevue/column'
import DataTable from 'primevue/datatable'
import Select from 'primevue/select'
import { choicesFrom, choicesOf } from '../fields/choicesOf.ts'
import { terms } from '../words/terms.ts'
import { sayReason } from './saying.ts'
import { t, words } from './words.ts'

/** What each column of a list means, and how it is read: as guessed, until somebody says otherwise. */
defineProps<{ guesses: readonly (Guess & { samples: string[] })[] }>()
const columns = defineModel<ListColumn[]>({ required: true })

const MEANS = MEANINGS.map((value) => ({ value, label: words.meaning[value] }))
const MASS = choicesFrom(Object.keys(MASS_UNITS))
const LENGTH = choicesFrom(Object.keys(LENGTH_UNITS))
const ORDERS = DATE_ORDERS.map((value) => ({ value, label: words.orders[value] }))
const PARTS = BodyPart.options.map((value) => ({ value, label: terms.part[value] }))
const SIGNS = choicesOf({ '.': words.signs.point, ',': words.signs.comma })
const DATED: readonly ListColumn['meaning'][] = ['on', 'hatched', 'arrived']
const NUMBERED: readonly ListColumn['meaning'][] = ['weight', 'size', 'amount']

function say(at: number, part: Partial<ListColumn>): void {
  const column = columns.value[at]
  if (column) columns.value[at] = { ...column, ...part }
}

/** What is said anew of a column has to be readable at once. */
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
        <Select
          :model-value="columns[index]?.meaning"
          :options="MEANS"
          option-label="label"
          option-value="value"
          :aria-label="`${t('means')}: ${data.column.header}`"
          scroll-height="320px"
          @update:model-value="mean(index, $event)"
        />
      </template>
    </Column>
    <Column :header="t('readAs')">
      <template #body="{ index }">
        <div class="row">
          <Select
            v-if="columns[index]?.meaning === 'weight'"
            :model-value="columns[index]?.mass ?? 'g'"
            :options="MASS"
            option-label="label"
            option-value="value"
            :aria-label="t('massUnit')"
            @update:model-value="say(index, { mass: $event })"
          />
          <template v-else-if="columns[index]?.meaning === 'size'">
            <Select
              :model-value="columns[index]?.part ?? 'length'"
              :options="PARTS"
              option-label="label"
              option-value="value"
              :aria-label="t('part')"
              @update:model-value="say(index, { part: $event })"
            />
            <Select
              :model-value="columns[index]?.length ?? 'mm'"
              :options="LENGTH"
              option-label="label"
              option-value="value"
              :aria-label="t('lengthUnit')"
              @update:model-value="say(index, { length: $event })"
            />
          </template>
          <Select
            v-if="DATED.includes(columns[index]?.meaning ?? 'ignore')"
            :model-value="columns[index]?.order"
            :options="ORDERS"
            option-label="label"
            option-value="value"
            :placeholder="t('order')"
            :invalid="columns[index]?.order === null"
            :aria-label="t('order')"
            @update:model-value="say(index, { order: $event })"
          />
          <Select
            v-if="NUMBERED.includes(columns[index]?.meaning ?? 'ignore')"
            :model-value="columns[index]?.decimal ?? '.'"
            :options="SIGNS"
            option-label="label"
            option-value="value"
            :aria-label="t('decimal')"
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
