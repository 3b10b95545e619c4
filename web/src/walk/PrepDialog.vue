<script setup lang="ts">
import Column from 'primevue/column'
import DataTable from 'primevue/datatable'
import { computed } from 'vue'
import AppDialog from '../app/AppDialog.vue'
import { useToday } from '../time/useToday.ts'
import { sayDay, sayMinutes, sayRange } from '../words/numbers.ts'
import { sayIn, sayRangeIn } from '../words/measures.ts'
import { usePrep } from './usePrep.ts'
import { t } from './partWords.ts'

const emit = defineEmits<{ close: [] }>()
const today = useToday()
const store = usePrep()
const prep = computed(() => store.rest)

function grams(range: readonly [number, number]): string {
  return sayRangeIn([Math.round(range[0]), Math.round(range[1])], 'g')
}
function dust({ supplements }: { supplements: Readonly<Record<string, number>> }): string {
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
      <DataTable :value="prep.carry" size="small" removable-sort scrollable scroll-height="380px">
        <Column field="item" :header="t('item')" sortable>
          <template #body="{ data: row }">{{ row.item }} {{ row.size }}</template>
        </Column>
        <Column :header="t('pieces')">
          <template #body="{ data: row }">{{ row.count[1] > 0 ? sayRange(row.count) : '' }}</template>
        </Column>
        <Column :header="t('weight')">
          <template #body="{ data: row }">{{ row.grams[1] > 0 ? grams(row.grams) : '' }}</template>
        </Column>
        <Column field="meals" :header="t('for')" sortable />
        <Column :header="t('dust')">
          <template #body="{ data: row }">{{ dust(row) }}</template>
        </Column>
      </DataTable>
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
