<script setup lang="ts">
import type { StaffLine } from '@kobrin/contract'
import { may, OFFICE_ROUTES } from '@kobrin/contract'
import Button from 'primevue/button'
import Column from 'primevue/column'
import type { DataTableRowClickEvent } from 'primevue/datatable'
import DataTable from 'primevue/datatable'
import { computed, shallowRef, useTemplateRef } from 'vue'
import { forSpreadsheet } from '../app/forSpreadsheet.ts'
import '../app/page.css'
import Wrong from '../fields/Wrong.vue'
import { usePeople } from '../people/usePeople.ts'
import { useToday } from '../time/useToday.ts'
import { useAnswerOf } from '../api/queries.ts'
import { sayDate } from '../words/numbers.ts'
import { terms } from '../words/terms.ts'
import OfficeTabs from './OfficeTabs.vue'
import PersonDialog from './PersonDialog.vue'
import TabletList from './TabletList.vue'
import { t } from './words.ts'

const people = usePeople()
const today = useToday()
const { answer, complaint } = useAnswerOf(OFFICE_ROUTES.staff)
const staff = computed(() => answer.value?.people ?? [])
/** Whose dialog is open; `new` for nobody yet. */
const open = shallowRef<string | null>(null)
const opened = computed(() => staff.value.find(({ id }) => id === open.value) ?? null)

const table = useTemplateRef<{ exportCSV: () => void }>('table')
const dateOf = (iso: string) => sayDate(today.dayOf(iso), today.day)

function comesIn({ active, hasPassphrase, hasPin, codeUntil }: StaffLine): string {
  if (!active) return t('noLonger')
  if (codeUntil) return t('codeGivenUntil', { date: dateOf(codeUntil) })
  if (!hasPassphrase) return t('noCode')
  return hasPin ? t('withPin') : t('withPassphrase')
}

const rows = computed(() =>
  staff.value.map((line) => ({
    ...line,
    roleName: terms.role[line.role],
    cleared: line.competences.join(', '),
    state: comesIn(line),
    seen: line.lastSignIn ? dateOf(line.lastSignIn) : t('never'),
  })),
)
</script>

<template>
  <main class="reading">
    <header>
      <h1>{{ t('people') }}</h1>
      <OfficeTabs />
      <p class="quiet">{{ t('whoWorksHere') }}</p>
      <template v-if="answer">
        <Button severity="secondary" class="tools" @click="table?.exportCSV()">{{ t('saveAsCsv') }}</Button>
        <Button @click="open = 'new'">{{ t('somebodyNew') }}</Button>
      </template>
    </header>
    <p v-if="!may(people.role, 'editPeople')" class="ask">{{ t('notAllowed') }}</p>
    <Wrong v-else :says="complaint" />
    <p v-if="!answer && !complaint" class="quiet" role="status">{{ t('readingTheList') }}</p>
    <template v-if="answer">
      <DataTable
        ref="table"
        :value="rows"
        data-key="id"
        size="small"
        row-hover
        export-filename="people"
        :export-function="forSpreadsheet"
        :row-class="({ active }: StaffLine) => (active ? '' : 'gone')"
        @row-click="({ data }: DataTableRowClickEvent<StaffLine>) => (open = data.id)"
      >
        <Column field="name" :header="t('name')" sortable>
          <template #body="{ data }: { data: StaffLine }">
            <Button variant="link" class="name" @click="open = data.id">{{ data.name }}</Button>
          </template>
        </Column>
        <Column field="initials" :header="t('initials')" />
        <Column field="roleName" :header="t('role')" sortable />
        <Column field="cleared" :header="t('clearedFor')" />
        <Column field="login" :header="t('signInName')" sortable />
        <Column field="state" :header="t('state')" />
        <Column field="seen" :header="t('lastHere')" sortable sort-field="lastSignIn" />
      </DataTable>
      <TabletList />
    </template>
    <PersonDialog v-if="open !== null" :line="opened" @close="open = null" />
  </main>
</template>

<style scoped>
.tools {
  margin-left: auto;
}

.name {
  justify-content: start;
  padding-inline: 0;
  text-align: left;
  font-weight: 700;
}

:deep(tr) {
  cursor: pointer;
}

:deep(td),
:deep(th) {
  height: 46px;
  text-align: left;
}

:deep(.gone td) {
  color: var(--soft);
}
</style>
