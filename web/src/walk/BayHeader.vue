<script setup lang="ts">
import type { DutyKind } from '@kobrin/core'
import { canBeForAll, isToDo } from '@kobrin/core'
import { useAfterPaint } from '../app/useAfterPaint.ts'
import { words } from '../words/en.ts'
import HoldButton from '../app/HoldButton.vue'
import DutyMark from './DutyMark.vue'
import type { Face } from './stops.ts'
import { useWalk } from './useWalk.ts'
import { useResidents } from '../residents/useResidents.ts'
import { usePeople } from '../people/usePeople.ts'
import { t } from './words.ts'

const { face } = defineProps<{ face: Face }>()
const emit = defineEmits<{ all: [does: DutyKind | undefined] }>()
const walk = useWalk()
const residents = useResidents()
const people = usePeople()

const sums = useAfterPaint(() => {
  const due = new Map<DutyKind, number>()
  for (const id of face.residents) {
    for (const task of residents.dayOf(id).tasks) {
      const { does } = task.duty
      if (isToDo(task) && canBeForAll(task)) due.set(does, (due.get(does) ?? 0) + 1)
    }
  }
  const { all, done } = walk.progress(face.residents)
  return { due: [...due], toDo: all - done }
})
</script>

<template>
  <header>
    <h2>{{ face.bay.name }}</h2>
    <p class="quiet">{{ t('residentsToSeeTo', { count: face.residents.length, toDo: sums.toDo }) }}</p>
    <p v-if="people.mayWrite && sums.due.length > 0" class="all">
      <span class="quiet">{{ t('allOf') }}</span>
      <button
        v-for="[does, count] in sums.due"
        :key="does"
        type="button"
        class="one-duty"
        :aria-label="t('forAllIn', { duty: words.duty[does], count, name: face.bay.name })"
        @click="emit('all', does)"
      >
        <DutyMark :does="does" status="due" />{{ count }}
      </button>
      <HoldButton class="one-duty" :label="t('everything')" @held="emit('all', undefined)" />
    </p>
  </header>
</template>

<style scoped>
header {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 12px;
  margin-bottom: 8px;
}

.all {
  display: flex;
  align-items: center;
  gap: 4px;
  margin-left: auto;
}

.one-duty {
  display: inline-flex;
  align-items: center;
  gap: 5px;
  min-height: 40px;
  padding: 2px 8px;
  border: 1px solid var(--control-line);
  border-radius: 4px;
  background: var(--glass);
  font-size: 0.875rem;
}

.one-duty .mark {
  zoom: 0.8;
}
</style>
