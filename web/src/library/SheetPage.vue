<script setup lang="ts">
import { may, OFFICE_ROUTES } from '@kobrin/contract'
import type { Sheet } from '@kobrin/core'
import { own } from '@kobrin/core'
import Button from 'primevue/button'
import { computed, shallowRef } from 'vue'
import { useDrafts } from '../drafts/useDrafts.ts'
import { later } from '../app/later.ts'
import { saveFile } from '../app/saveFile.ts'
import '../app/page.css'
import { usePeople } from '../people/usePeople.ts'
import { useSite } from '../site/useSite.ts'
import { useAnswerOf } from '../api/queries.ts'
import { care, sayTarget, sayZone } from '../words/care.ts'
import CanWeKeepIt from './CanWeKeepIt.vue'
import LibraryTabs from './LibraryTabs.vue'
import SchoolChoice from './SchoolChoice.vue'
import SheetBody from './SheetBody.vue'
import SheetPast from './SheetPast.vue'
import { t } from './words.ts'

const SheetEditor = later(() => import('./SheetEditor.vue'))

const { id } = defineProps<{ id: string }>()
const people = usePeople()
const site = useSite()
const drafts = useDrafts()
const { answer, complaint } = useAnswerOf(OFFICE_ROUTES.sheet, () => ({ params: { sheetId: id } }))
const editing = shallowRef<string | null>(null)
/** The house's own plan book has every sheet: it can be read where the rest of the page cannot be had. */
const sheet = computed(() => answer.value?.sheet ?? (complaint.value ? site.species.get(id) : undefined))
/** Its group, and which version of it this is. */
const about = computed(() =>
  [
    sheet.value && care.group[sheet.value.group],
    answer.value && t('version', { version: answer.value.version }),
    answer.value && answer.value.differences.length > 0 && t('changedHere'),
  ]
    .filter(Boolean)
    .join(' · '),
)
/** Nobody has read it against a source. */
function sayUnread({ unread }: Pick<Sheet, 'unread'>): string {
  const like = unread?.like === undefined ? undefined : site.species.get(unread.like)?.common
  return like === undefined ? t('unreadPlain') : t('unreadLike', { name: like })
}
const example = computed(() => [...site.residents.values()].find((one) => one.sheet === id))
const mayEdit = computed(() => may(people.role, 'editSheets'))

function print(as: 'sheet' | 'label'): void {
  document.documentElement.dataset['print'] = as
  globalThis.print()
  delete document.documentElement.dataset['print']
}
</script>

<template>
  <main class="reading">
    <p v-if="complaint" class="wrong" role="alert">
      {{ sheet ? t('onlyTheSheet') : complaint }}
    </p>
    <p v-else-if="!sheet" class="quiet" role="status">{{ t('readingTheSheet') }}</p>
    <template v-if="sheet">
      <header class="full">
        <h1 class="tape">{{ sheet.common }}</h1>
        <p>
          <i>{{ sheet.latin }}</i> <span class="quiet">· {{ about }}</span>
        </p>
        <LibraryTabs />
        <p v-if="sheet.unread" class="ask">{{ sayUnread(sheet) }}</p>
        <div class="row no-print">
          <Button
            v-if="answer && mayEdit && editing === null"
            severity="secondary"
            @click="editing = answer.yaml"
            >{{ drafts.isBegun(`sheet ${sheet.id}`) ? t('goOnEditing') : t('edit') }}</Button
          >
          <Button
            v-if="answer"
            severity="secondary"
            @click="saveFile(`${sheet.id}.yaml`, answer.yaml, 'text/yaml')"
          >
            {{ t('saveAsYaml') }}
          </Button>
          <Button severity="secondary" @click="print('sheet')">{{ t('print') }}</Button>
          <Button severity="secondary" @click="print('label')">{{ t('printALabel') }}</Button>
        </div>
      </header>
      <SheetEditor
        v-if="answer && editing !== null"
        :key="answer.version"
        :sheet-id="sheet.id"
        :yaml="editing"
        :version="answer.version"
        @kept="editing = null"
        @close="editing = null"
      />
      <aside class="label" aria-hidden="true">
        <strong>{{ sheet.common }}</strong> <i>{{ sheet.latin }}</i>
        <p v-for="zone in sheet.targets" :key="zone.zone">{{ sayZone(zone) }}: {{ sayTarget(zone) }}</p>
        <p v-if="sheet.never.length > 0">{{ t('never2', { never: sheet.never.join(', ') }) }}</p>
        <p v-for="caution in sheet.cautions" :key="caution">{{ caution }}</p>
        <p v-if="sheet.competence">{{ t('onlyForSomebodyCleared', { competence: sheet.competence }) }}</p>
        <p v-if="sheet.people === 2">{{ t('neverAloneTwoPeople') }}</p>
        <p v-if="sheet.quarantineDays">
          {{ t('quarantineDaysAtLeast2', { count: sheet.quarantineDays }) }}
        </p>
      </aside>
      <SheetBody class="full" :sheet="sheet" />
      <div class="columns full">
        <CanWeKeepIt class="no-print" :sheet="sheet" />
        <SchoolChoice
          v-for="school in answer ? sheet.schools : []"
          :key="school.id"
          :sheet-id="sheet.id"
          :school="school"
          :chosen="own(answer?.schools ?? {}, school.id)"
          :example="example"
        />
        <SheetPast v-if="answer" :answer="answer" :may-edit="mayEdit" @edit="editing = $event" />
      </div>
    </template>
  </main>
</template>

<style scoped>
.label {
  display: none;
}
</style>

<style>
@media print {
  :root[data-print='label'] .full {
    display: none !important;
  }

  :root[data-print='label'] .label {
    display: block;
    width: 90mm;
    padding: 3mm;
    border: 0.4mm solid #000;
    color: #000;
    font-size: 9pt;
    line-height: 1.25;
  }
}
</style>
