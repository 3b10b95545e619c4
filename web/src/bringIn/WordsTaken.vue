<script setup lang="ts">
import type { Understood } from '@kobrin/core'
import Column from 'primevue/column'
import DataTable from 'primevue/datatable'
import { computed } from 'vue'
import CellSelect from '../fields/CellSelect.vue'
import type { HouseWords } from './saying.ts'
import { sayLike } from './saying.ts'
import { t } from './words.ts'

/** The words of a list that were taken for a species, and why: each can be said otherwise. */
const { species, here } = defineProps<{ species: Understood['species']; here: HouseWords }>()
const emit = defineEmits<{ changed: [said: string, sheet: string] }>()

/** What is written as the sheet is called needs no word. */
const taken = computed(() =>
  species.filter(
    ({ said, sheet }) => said.toLowerCase() !== here.commonOf(sheet).toLowerCase() && said !== sheet,
  ),
)
</script>

<template>
  <section v-if="taken.length > 0" class="block">
    <h2>{{ t('wordsTaken') }}</h2>
    <DataTable :value="taken" data-key="said" size="small">
      <Column field="said" :header="t('inTheList')" />
      <Column :header="t('isTakenFor')">
        <template #body="{ data }">
          <strong>{{ here.commonOf(data.sheet) }}</strong>
          <span v-if="data.because" class="quiet"> {{ sayLike(data.because) }}</span>
        </template>
      </Column>
      <Column field="rows" :header="t('rowsHeader')" />
      <Column>
        <template #body="{ data }">
          <CellSelect
            :model-value="null"
            :options="here.species"
            :label="t('isAnother')"
            searched
            @update:model-value="emit('changed', data.said, $event)"
          />
        </template>
      </Column>
    </DataTable>
  </section>
</template>
