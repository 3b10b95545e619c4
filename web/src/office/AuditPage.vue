<script setup lang="ts">
import type { Route } from '@kobrin/contract'
import { may, ROUTES } from '@kobrin/contract'
import Button from 'primevue/button'
import Column from 'primevue/column'
import DataTable from 'primevue/datatable'
import InputText from 'primevue/inputtext'
import { computed, shallowRef, useTemplateRef } from 'vue'
import { RouterLink } from 'vue-router'
import { forSpreadsheet } from '../app/forSpreadsheet.ts'
import '../app/page.css'
import ChoiceField from '../fields/ChoiceField.vue'
import Wrong from '../fields/Wrong.vue'
import { lineOfChange } from '../handover/changeLine.ts'
import { usePeople } from '../people/usePeople.ts'
import { useSite } from '../site/useSite.ts'
import { useToday } from '../time/useToday.ts'
import { useAnswerOf } from '../api/queries.ts'
import { sayDate } from '../words/numbers.ts'
import OfficeTabs from './OfficeTabs.vue'
import { t } from './words.ts'

const ACCESS: Route['access'] = 'editPlaces'
const site = useSite()
const people = usePeople()
const today = useToday()
const query = shallowRef('')
/** How far back is looked, by days. */
const spans = [
  { value: '30', label: t('thirtyDays') },
  { value: '365', label: t('aYear') },
  { value: '36500', label: t('ever') },
] as const
const span = shallowRef<(typeof spans)[number]['value']>('30')

const { answer, complaint } = useAnswerOf(ROUTES.changes, () => ({
  querystring: { since: Math.max(0, today.day - Number(span.value)) },
}))
const lines = computed(() =>
  (answer.value?.changes ?? [])
    .map((change) => lineOfChange(change, site))
    .map((line) => ({
      ...line,
      when: t('when', { date: sayDate(line.day, today.day), time: today.clock(line.at) }),
      who: line.by === null ? t('shippedLibrary') : site.nameOf(line.by),
    }))
    .reverse(),
)
const found = computed(() => {
  const words = query.value.toLowerCase().split(/\s+/).filter(Boolean)
  return lines.value.filter(({ when, who, whom, says, reason }) => {
    const text = `${when} ${who} ${whom} ${says} ${reason}`.toLowerCase()
    return words.every((word) => text.includes(word))
  })
})
const table = useTemplateRef<{ exportCSV: () => void }>('table')
</script>

<template>
  <main class="reading">
    <header>
      <h1>{{ t('audit') }}</h1>
      <OfficeTabs />
      <p class="quiet">{{ t('whoChangedWhat') }}</p>
    </header>
    <p v-if="!may(people.role, ACCESS)" class="ask">{{ t('onlySeniors') }}</p>
    <template v-else>
      <Wrong :says="complaint" />
      <div class="row no-print">
        <InputText v-model="query" type="search" :aria-label="t('findInIt')" :placeholder="t('findInIt')" />
        <ChoiceField v-model="span" class="span" :label="t('since')" :options="spans" />
        <p class="quiet" role="status">{{ t('changes', { count: found.length }) }}</p>
        <Button severity="secondary" @click="table?.exportCSV()">{{ t('saveAsCsv') }}</Button>
      </div>
      <DataTable
        ref="table"
        :value="found"
        data-key="key"
        size="small"
        paginator
        :rows="50"
        :always-show-paginator="false"
        export-filename="audit"
        :export-function="forSpreadsheet"
      >
        <Column field="when" :header="t('whenHeader')" sortable sort-field="at" />
        <Column field="who" :header="t('who')" sortable />
        <Column field="whom" :header="t('about')" sortable>
          <template #body="{ data }">
            <RouterLink v-if="data.to" :to="data.to">{{ data.whom }}</RouterLink>
            <template v-else>{{ data.whom }}</template>
          </template>
        </Column>
        <Column field="says" :header="t('what')" />
        <Column field="reason" :header="t('why')" />
        <template #empty>{{ t('noChange') }}</template>
      </DataTable>
    </template>
  </main>
</template>

<style scoped>
.row {
  align-items: end;
}

.span {
  min-width: 200px;
}

:deep(td),
:deep(th) {
  text-align: left;
  vertical-align: top;
}

:deep(td a) {
  display: inline-block;
  min-height: 24px;
}
</style>
