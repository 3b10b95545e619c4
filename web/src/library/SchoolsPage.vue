<script setup lang="ts">
import type { SheetSchools } from '@kobrin/contract'
import { OFFICE_ROUTES } from '@kobrin/contract'
import { own } from '@kobrin/core'
import { computed } from 'vue'
import { RouterLink } from 'vue-router'
import '../app/page.css'
import { useAnswerOf } from '../api/queries.ts'
import LibraryTabs from './LibraryTabs.vue'
import { t } from './words.ts'

const { answer, complaint } = useAnswerOf(OFFICE_ROUTES.schools)

interface Sided {
  sheet: SheetSchools
  name: string
  isOurs: boolean
}

/** Every question, with the sheets it is asked on and the side each is on. */
const questions = computed(() => {
  const asked = new Map<string, { reasons: Map<string, string>; sided: Sided[] }>()
  for (const sheet of answer.value?.sheets ?? []) {
    for (const { id, question, options, default: shipped } of sheet.schools) {
      const entry = asked.get(question) ?? { reasons: new Map<string, string>(), sided: [] }
      for (const { name, reason } of options) if (!entry.reasons.has(name)) entry.reasons.set(name, reason)
      const chosen = own(sheet.chosen, id) ?? shipped
      const name = options.find((option) => option.id === chosen)?.name ?? chosen
      entry.sided.push({ sheet, name, isOurs: chosen !== shipped })
      asked.set(question, entry)
    }
  }
  return [...asked].sort((one, other) => other[1].sided.length - one[1].sided.length)
})
</script>

<template>
  <main class="reading">
    <header>
      <h1>{{ t('schools') }}</h1>
      <LibraryTabs />
      <p class="quiet">{{ t('whereKeepersDisagreeEvery') }}</p>
    </header>
    <p v-if="complaint" class="wrong" role="alert">{{ complaint }}</p>
    <p v-else-if="!answer" class="quiet" role="status">{{ t('readingEverySheet') }}</p>
    <div class="columns">
      <section v-for="[question, { reasons, sided }] in questions" :key="question" class="block">
        <h2>{{ question }}</h2>
        <ul>
          <li v-for="[name, reason] in reasons" :key="name">
            <strong>{{ name }}</strong> {{ reason }}
            <p class="sheets">
              <RouterLink
                v-for="{ sheet, isOurs } in sided.filter((one) => one.name === name)"
                :key="sheet.id"
                :to="{ name: 'sheet', params: { id: sheet.id } }"
                >{{ isOurs ? t('chosenHere', { name: sheet.common }) : sheet.common }}</RouterLink
              >
              <span v-if="!sided.some((one) => one.name === name)" class="quiet">{{ t('nobodyHere') }}</span>
            </p>
          </li>
        </ul>
      </section>
    </div>
  </main>
</template>

<style scoped>
.sheets {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 12px;
  font-size: 0.875rem;
}

.sheets a {
  min-height: 24px;
}
</style>
