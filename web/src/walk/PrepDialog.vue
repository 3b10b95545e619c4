<script setup lang="ts">
import Button from 'primevue/button'
import Column from 'primevue/column'
import DataTable from 'primevue/datatable'
import { computed, useTemplateRef } from 'vue'
import AppDialog from '../app/AppDialog.vue'
import { forSpreadsheet } from '../app/forSpreadsheet.ts'
import { useToday } from '../time/useToday.ts'
import { sayDay, sayMinutes, sayRange } from '../words/numbers.ts'
import { sayIn, sayRangeIn } from '../words/measures.ts'
import { usePrep } from './usePrep.ts'
import { t } from './partWords.ts'

const emit = defineEmits<{ close: [] }>()
const today = useToday()
const store = usePrep()
const prep = computed(() => store.rest)

const table = useTemplateRef<{ exportCSV: () => void }>('table')
const carried = computed(() =>
  prep.value.carry.map(({ item, size, count, grams, meals, supplements }) => ({
    food: [item, size].filter(Boolean).join(' '),
    pieces: count[1] > 0 ? sayRange(count) : '',
    weight: grams[1] > 0 ? sayWeight(grams) : '',
    meals,
    dust: sayDust(supplements),
  })),
)

function sayWeight(range: readonly [number, number]): string {
  return sayRangeIn([Math.round(range[0]), Math.round(range[1])], 'g')
}
function sayDust(supplements: Readonly<Record<string, number>>): string {
  return Object.entries(supplements)
    .map(([name, meals]) => `${name} ×${meals}`)
    .join(', ')
}
</script>

<template>
  <AppDialog :title="t('stillToCarry2')" @close="emit('close')">
    <div class="prep">
      <p class="quiet">
        {{
          t('forTheRestOf', {
            minutes: sayMinutes(prep.minutes),
            litres: sayIn(Math.round(prep.litres * 10) / 10, 'l'),
          })
        }}
      </p>
      <h3>{{ t('toCarry') }}</h3>
      <DataTable
        ref="table"
        :value="carried"
        size="small"
        removable-sort
        scrollable
        scroll-height="380px"
        export-filename="to carry"
        :export-function="forSpreadsheet"
      >
        <Column field="food" :header="t('item')" sortable />
        <Column field="pieces" :header="t('pieces')" />
        <Column field="weight" :header="t('weight')" />
        <Column field="meals" :header="t('for')" sortable />
        <Column field="dust" :header="t('dust')" />
      </DataTable>
      <div class="row">
        <Button severity="secondary" @click="table?.exportCSV()">{{ t('saveAsCsv') }}</Button>
      </div>
      <template v-if="prep.ahead.length > 0">
        <h3>{{ t('toBeginTodayFor') }}</h3>
        <ul>
          <li v-for="row in prep.ahead" :key="`${row.do} ${row.item} ${row.size} ${row.forDay}`">
            {{ row.do === 'thaw' ? t('thaw') : t('gutLoad') }} <strong>{{ row.count }}</strong>
            {{ t('for2', { item: row.item, size: row.size, day: sayDay(row.forDay, today.day) }) }}
          </li>
        </ul>
      </template>
    </div>
  </AppDialog>
</template>

<style scoped>
.prep {
  display: grid;
  gap: 8px;
}
</style>
