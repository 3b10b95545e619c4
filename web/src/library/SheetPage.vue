<script setup lang="ts">
import { may, ROUTES } from '@kobrin/contract'
import { own } from '@kobrin/core'
import Button from 'primevue/button'
import { computed, shallowRef } from 'vue'
import { useDrafts } from '../drafts/useDrafts.ts'
import { later } from '../app/later.ts'
import '../app/page.css'
import { usePeople } from '../people/usePeople.ts'
import { useSite } from '../site/useSite.ts'
import { useToday } from '../time/useToday.ts'
import { call } from '../wire/call.ts'
import { useAnswerOf } from '../wire/queries.ts'
import { care, sayTarget, sayZone } from '../words/care.ts'
import { sayDate } from '../words/numbers.ts'
import CanWeKeepIt from './CanWeKeepIt.vue'
import LibraryTabs from './LibraryTabs.vue'
import SchoolChoice from './SchoolChoice.vue'
import SheetBody from './SheetBody.vue'
import { t } from './words.ts'

const SheetEditor = later(() => import('./SheetEditor.vue'))
const SheetText = later(() => import('./SheetText.vue'))

const { id } = defineProps<{ id: string }>()
const people = usePeople()
const site = useSite()
const today = useToday()
const drafts = useDrafts()
const { answer, complaint } = useAnswerOf(ROUTES.sheet, () => ({ params: { sheetId: id } }))
const editing = shallowRef<string | null>(null)
/** A version being read, and the one before it, of which it is a change. */
const older = shallowRef<{ version: number; yaml: string; before: string | undefined } | null>(null)
const sheet = computed(() => answer.value?.sheet)
const example = computed(() => [...site.residents.values()].find((one) => one.sheet === id))
const mayEdit = computed(() => may(people.role, 'editSheets'))

function save(name: string, text: string): void {
  const link = document.createElement('a')
  link.href = URL.createObjectURL(new Blob([text], { type: 'text/yaml' }))
  link.download = name
  link.click()
  URL.revokeObjectURL(link.href)
}

function print(as: 'sheet' | 'label'): void {
  document.documentElement.dataset['print'] = as
  globalThis.print()
  delete document.documentElement.dataset['print']
}

async function textOf(version: number): Promise<string> {
  return (await call(ROUTES.sheetVersion, { params: { sheetId: id, version } })).yaml
}

async function read(version: number): Promise<void> {
  const [yaml, before] = await Promise.all([textOf(version), version > 1 ? textOf(version - 1) : undefined])
  older.value = { version, yaml, before }
}

function told(value: unknown): string {
  return value === undefined ? 'nothing' : JSON.stringify(value)
}
</script>

<template>
  <main class="reading">
    <p v-if="complaint" class="wrong" role="alert">{{ complaint }}</p>
    <p v-else-if="!answer || !sheet" class="quiet" role="status">{{ t('readingTheSheet') }}</p>
    <template v-else>
      <header class="full">
        <h1 class="tape">{{ sheet.common }}</h1>
        <p>
          <i>{{ sheet.latin }}</i>
          <span class="quiet">
            {{ t('version', { group: care.group[sheet.group], version: answer.version }) }}
            <template v-if="answer.differences.length > 0"> {{ t('changedHere') }}</template>
          </span>
        </p>
        <LibraryTabs />
        <div class="row no-print">
          <Button v-if="mayEdit && editing === null" severity="secondary" @click="editing = answer.yaml">{{
            drafts.isBegun(`sheet ${sheet.id}`) ? t('goOnEditing') : t('edit')
          }}</Button>
          <Button severity="secondary" @click="save(`${sheet.id}.yaml`, answer.yaml)">
            {{ t('saveAsYaml') }}
          </Button>
          <Button severity="secondary" @click="print('sheet')">{{ t('print') }}</Button>
          <Button severity="secondary" @click="print('label')">{{ t('printALabel') }}</Button>
        </div>
      </header>
      <SheetEditor
        v-if="editing !== null"
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
          v-for="school in sheet.schools"
          :key="school.id"
          :sheet-id="sheet.id"
          :school="school"
          :chosen="own(answer.schools, school.id)"
          :example="example"
        />
        <section class="block no-print">
          <h2>{{ t('history') }}</h2>
          <ul>
            <li v-for="one in answer.history" :key="one.version" class="row">
              <strong>{{ one.version }}</strong>
              {{ sayDate(today.dayOf(one.at), today.day) }},
              {{ one.by === null ? t('shippedLibrary') : site.nameOf(one.by)
              }}{{ one.why ? `: ${one.why}` : '' }}
              <Button severity="secondary" @click="read(one.version)">
                {{ t('readVersion', { version: one.version }) }}
              </Button>
            </li>
          </ul>
          <SheetText
            v-if="older"
            :key="older.version"
            v-model="older.yaml"
            :label="t('version2', { version: older.version })"
            :against="older.before"
            reading
          />
        </section>
        <section v-if="answer.differences.length > 0" class="block no-print">
          <h2>{{ t('againstTheShippedSheet') }}</h2>
          <ul>
            <li v-for="one in answer.differences" :key="one.path">
              <strong>{{ one.path }}</strong>
              <p class="quiet">{{ t('shippedHere', { told: told(one.before), told2: told(one.after) }) }}</p>
            </li>
          </ul>
          <Button
            v-if="mayEdit && answer.shippedYaml !== null"
            severity="secondary"
            @click="editing = answer.shippedYaml"
          >
            {{ t('editFromTheShipped') }}
          </Button>
        </section>
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
