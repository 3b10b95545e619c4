<script setup lang="ts">
import type { SheetSummary } from '@kobrin/contract'
import { may, OFFICE_ROUTES } from '@kobrin/contract'
import Button from 'primevue/button'
import Checkbox from 'primevue/checkbox'
import InputText from 'primevue/inputtext'
import { computed, shallowRef } from 'vue'
import { later } from '../app/later.ts'
import { RouterLink, useRouter } from 'vue-router'
import { useAnswerOf } from '../api/queries.ts'
import { care } from '../words/care.ts'
import { usePeople } from '../people/usePeople.ts'
import { grouped } from '../residents/grouped.ts'
import LibraryTabs from './LibraryTabs.vue'
import { findSheets } from './findSheets.ts'
import { t } from './words.ts'

const SheetEditor = later(() => import('./SheetEditor.vue'))

const { answer, complaint } = useAnswerOf(OFFICE_ROUTES.library)
const router = useRouter()
const people = usePeople()
const adding = shallowRef(false)
const mayEdit = computed(() => may(people.role, 'editSheets'))
const query = shallowRef('')

const TEMPLATE = `id: new-species
common: New species
latin: Genus species
group: lizard
lives: individual
targets:
  - { zone: warm spot, measures: surface, celsius: [30, 32], ceilingCelsius: 35 }
  - { zone: cool end, measures: air, celsius: [22, 25], ceilingCelsius: 30, neverBelowCelsius: 15 }
stages:
  - id: adult
    name: Adult
    duties:
      - { id: water, does: water, cadence: { type: every, days: 1 } }
      - { id: look, does: look, cadence: { type: every, days: 1 } }
sources: [common husbandry practice]
`

/** Two sheets to lay side by side. */
const picked = shallowRef<readonly string[]>([])

const groups = computed(() => {
  const found = findSheets(query.value, answer.value?.sheets ?? [])
  const byGroup = grouped(found, ({ group }) => group)
  // In the order of the groups, not of the alphabet: snakes stand beside lizards.
  const order = Object.keys(care.group)
  return [...byGroup].sort(([a], [b]) => order.indexOf(a) - order.indexOf(b))
})
const count = computed(() => groups.value.reduce((sum, [, { length }]) => sum + length, 0))

function aboutSheet({ residents, differs }: SheetSummary): string {
  return [...(residents > 0 ? [t('here', { residents })] : []), ...(differs > 0 ? [t('changedHere')] : [])]
    .map((one) => ` · ${one}`)
    .join('')
}

function pick(id: string): void {
  picked.value = picked.value.includes(id)
    ? picked.value.filter((one) => one !== id)
    : [...picked.value, id].slice(-2)
}
</script>

<template>
  <main class="reading">
    <header>
      <h1>{{ t('library') }}</h1>
      <LibraryTabs />
      <InputText
        v-model="query"
        class="find"
        type="search"
        :aria-label="t('nameLatinNameOr')"
        :placeholder="t('nameLatinNameOr')"
      />
      <p class="quiet" role="status">{{ t('species', { count }) }}</p>
      <Button v-if="mayEdit && !adding" severity="secondary" @click="adding = true">
        {{ t('addASheet') }}
      </Button>
      <Button
        v-if="picked.length === 2"
        as="router-link"
        :to="{ name: 'compare', params: { a: picked[0], b: picked[1] } }"
        >{{ t('sideBySide') }}</Button
      >
      <span v-else-if="picked.length === 1" class="quiet">{{ t('tickOneMoreTo') }}</span>
    </header>
    <SheetEditor
      v-if="adding"
      :yaml="TEMPLATE"
      :version="0"
      @kept="(id: string) => router.push({ name: 'sheet', params: { id } })"
      @close="adding = false"
    />
    <p v-if="complaint" class="wrong" role="alert">{{ complaint }}</p>
    <p v-else-if="!answer" class="quiet" role="status">{{ t('readingTheLibrary') }}</p>
    <p v-else-if="count === 0" class="quiet">{{ t('noSpeciesByThat') }}</p>
    <div class="groups">
      <section v-for="[group, sheets] in groups" :key="group" class="block">
        <h2>{{ care.group[group] }}</h2>
        <ul>
          <li v-for="sheet in sheets" :key="sheet.id" class="species">
            <Checkbox
              binary
              :model-value="picked.includes(sheet.id)"
              :aria-label="t('compare', { common: sheet.common })"
              @update:model-value="pick(sheet.id)"
            />
            <div>
              <RouterLink :to="{ name: 'sheet', params: { id: sheet.id } }">{{ sheet.common }}</RouterLink>
              <p class="quiet">
                <i>{{ sheet.latin }}</i> {{ aboutSheet(sheet) }}
              </p>
            </div>
          </li>
        </ul>
      </section>
    </div>
  </main>
</template>

<style scoped>
.find {
  width: min(320px, 100%);
}

.groups {
  columns: 300px;
  column-gap: 28px;
}

.block {
  break-inside: avoid;
  margin-bottom: 18px;
}

.species {
  display: flex;
  gap: 10px;
  align-items: center;
  min-height: 44px;
}

.species a {
  display: inline-block;
  min-height: 24px;
  font-weight: 700;
}

.species p {
  font-size: 0.8438rem;
}
</style>
