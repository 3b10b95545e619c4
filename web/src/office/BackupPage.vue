<script setup lang="ts">
import { may, OFFICE_ROUTES } from '@kobrin/contract'
import Button from 'primevue/button'
import { computed } from 'vue'
import CommandLine from '../app/CommandLine.vue'
import '../app/page.css'
import Wrong from '../fields/Wrong.vue'
import { usePeople } from '../people/usePeople.ts'
import { useToday } from '../time/useToday.ts'
import { keyOf, queries, useAnswerOf } from '../api/queries.ts'
import { sayDay } from '../words/numbers.ts'
import OfficeTabs from './OfficeTabs.vue'
import { t } from './words.ts'

const COMMANDS = ['npx kobrin backup FILE', 'npx kobrin restore FILE'] as const

const people = usePeople()
const today = useToday()
const { answer, complaint } = useAnswerOf(OFFICE_ROUTES.backups)
// No feed tells of a night that has passed.
void queries.invalidateQueries({ queryKey: keyOf(OFFICE_ROUTES.backups) })
const last = computed(() => {
  const at = answer.value?.last
  return at
    ? t('lastBackup', { day: sayDay(today.dayOf(at), today.day), time: today.clock(at) })
    : t('noBackup')
})
const standing = computed(() => {
  if (answer.value?.isLate) return 'wrong late'
  return answer.value?.last ? 'good' : 'ask'
})
</script>

<template>
  <main class="reading">
    <header>
      <h1>{{ t('backup') }}</h1>
      <OfficeTabs />
    </header>
    <p v-if="!may(people.role, 'editPlaces')" class="ask">{{ t('onlySeniors') }}</p>
    <Wrong v-else :says="complaint" />
    <template v-if="answer">
      <p v-if="answer.folder === null" class="ask">{{ t('elsewhereBackup') }}</p>
      <template v-else>
        <p :class="standing" role="status">
          {{ last }} <template v-if="answer.isLate">{{ t('lateBackup') }}</template>
        </p>
        <p>{{ t('everyNight', { folder: answer.folder }) }}</p>
      </template>
      <section v-if="may(people.role, 'takeOut')" class="block narrow">
        <h2>{{ t('takenOut') }}</h2>
        <p>{{ t('takenOutHow') }}</p>
        <!-- Saved by the browser as it comes: it may be more than a page can hold. -->
        <div class="row">
          <Button as="a" severity="secondary" :href="OFFICE_ROUTES.takeOut.url" download>
            {{ t('takeOut') }}
          </Button>
        </div>
      </section>
      <section class="block narrow">
        <h2>{{ t('byHand') }}</h2>
        <p>{{ t('byHandHow') }}</p>
        <CommandLine v-for="command in COMMANDS" :key="command" :command="command" />
        <p>{{ t('restoreHow') }}</p>
      </section>
    </template>
  </main>
</template>

<style scoped>
a.p-button {
  text-decoration: none;
}
.late {
  color: var(--late);
  font-weight: 700;
}
</style>
