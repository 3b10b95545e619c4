<script setup lang="ts">
import { mayRecord } from '@kobrin/core'
import Column from 'primevue/column'
import type { DataTableRowClickEvent } from 'primevue/datatable'
import DataTable from 'primevue/datatable'
import InputText from 'primevue/inputtext'
import { computed, shallowRef } from 'vue'
import { RouterLink, useRouter } from 'vue-router'
import { usePeople } from '../people/usePeople.ts'
import { useResidents } from './useResidents.ts'
import { sayCell } from '../words/cell.ts'
import { words } from '../words/en.ts'
import { terms } from '../words/terms.ts'
import { useTeller } from '../words/useTeller.ts'
import { findResidents } from './search.ts'
import { useFindable } from './useFindable.ts'

const router = useRouter()
const residents = useResidents()
const teller = useTeller()
const everyone = useFindable()
const people = usePeople()
const query = shallowRef('')

const ROW_PX = 46

const rows = computed(() =>
  findResidents(query.value, everyone.value).map(({ resident, species, place }) => ({
    id: resident.id,
    accession: resident.accession,
    name: resident.name,
    species,
    place,
  })),
)

function says(id: string): string {
  return sayCell(residents.dayOf(id), teller).text
}

function open({ data }: DataTableRowClickEvent<{ id: string }>): void {
  void router.push({ name: 'record', params: { id: data.id } })
}
</script>

<template>
  <main class="residents">
    <header>
      <h1>{{ words.places.residents }}</h1>
      <InputText
        v-model="query"
        class="find"
        type="search"
        :aria-label="terms.findPlaceholder"
        :placeholder="terms.findPlaceholder"
      />
      <p class="quiet" role="status">{{ rows.length }} of {{ everyone.length }}</p>
      <RouterLink v-if="mayRecord(people.role, 'registered')" :to="{ name: 'newResident' }"
        >Somebody new …</RouterLink
      >
    </header>
    <DataTable
      :value="rows"
      data-key="id"
      size="small"
      scrollable
      scroll-height="flex"
      removable-sort
      row-hover
      :virtual-scroller-options="{ itemSize: ROW_PX }"
      @row-click="open"
    >
      <Column field="accession" header="Number" sortable />
      <Column field="name" header="Name" sortable>
        <template #body="{ data }">
          <RouterLink :to="{ name: 'record', params: { id: data.id } }">{{ data.name }}</RouterLink>
        </template>
      </Column>
      <Column field="species" header="Species" sortable />
      <Column field="place" header="Place" sortable />
      <Column header="Today">
        <template #body="{ data }">{{ says(data.id) }}</template>
      </Column>
      <template #empty>{{ terms.foundNobody }}</template>
    </DataTable>
  </main>
</template>

<style scoped>
.residents {
  display: grid;
  grid-template-rows: auto minmax(0, 1fr);
  gap: 12px;
  height: 100%;
  padding: 14px 18px;
}

header {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 16px;
}

.find {
  width: min(360px, 100%);
}

:deep(td),
:deep(th) {
  height: 46px;
  text-align: left;
  white-space: nowrap;
}

:deep(td) {
  max-width: 360px;
  overflow: hidden;
  text-overflow: ellipsis;
}

:deep(tr) {
  cursor: pointer;
}

:deep(td a) {
  display: inline-block;
  min-height: 24px;
  font-weight: 700;
}
</style>
