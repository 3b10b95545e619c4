<script setup lang="ts">
import { OFFICE_ROUTES } from '@kobrin/contract'
import { computed } from 'vue'
import '../app/page.css'
import { useAnswerOf } from '../api/queries.ts'
import LibraryTabs from './LibraryTabs.vue'
import SheetBody from './SheetBody.vue'
import { t } from './words.ts'

const { a, b } = defineProps<{ a: string; b: string }>()
const one = useAnswerOf(OFFICE_ROUTES.sheet, () => ({ params: { sheetId: a } }))
const other = useAnswerOf(OFFICE_ROUTES.sheet, () => ({ params: { sheetId: b } }))
const complaint = computed(() => one.complaint.value || other.complaint.value)
const sheets = computed(() => [one, other].flatMap(({ answer }) => answer.value?.sheet ?? []))
</script>

<template>
  <main class="reading">
    <header>
      <h1>{{ t('sideBySide') }}</h1>
      <LibraryTabs />
    </header>
    <p v-if="complaint" class="wrong" role="alert">{{ complaint }}</p>
    <div class="two">
      <section v-for="sheet in sheets" :key="sheet.id">
        <h2 class="tape">{{ sheet.common }}</h2>
        <p class="quiet">
          <i>{{ sheet.latin }}</i>
        </p>
        <SheetBody :sheet="sheet" class="one" />
      </section>
    </div>
  </main>
</template>

<style scoped>
.two {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(420px, 100%), 1fr));
  gap: 28px;
}

.one {
  columns: 1;
  margin-top: 10px;
}
</style>
