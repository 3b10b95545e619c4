<script setup lang="ts">
import type { PlannedDay } from '@kobrin/core'
import { useToday } from '../time/useToday.ts'
import { sayOffering } from '../words/cell.ts'
import { words } from '../words/en.ts'
import { sayDay } from '../words/numbers.ts'
import type { Preview } from './usePreview.ts'
import { t } from './words.ts'

/** The next days side by side; what is the same on both sides steps back. */
const { preview } = defineProps<{ preview: Preview }>()
const today = useToday()

function says(task: PlannedDay['tasks'][number]): string {
  const name = task.label ?? words.duty[task.does]
  return task.offering ? `${name}: ${sayOffering(task.offering)}` : name
}

const tasksOf = (days: readonly PlannedDay[], day: number) =>
  (days.find((one) => one.day === day)?.tasks ?? []).map(says)

function isSame(day: number): boolean {
  return tasksOf(preview.before, day).join() === tasksOf(preview.after, day).join()
}

function asBefore(count: number): string {
  return count > 0 ? t('asBefore', { count }) : t('nothingAsBefore')
}
</script>

<template>
  <div class="scroll">
    <table>
      <thead>
        <tr>
          <th scope="col">{{ t('day') }}</th>
          <th scope="col">{{ t('asItStands') }}</th>
          <th scope="col">{{ t('withTheChange') }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="{ day } in preview.before" :key="day">
          <th scope="row">{{ sayDay(day, today.day) }}</th>
          <td v-if="isSame(day)" colspan="2">
            {{ asBefore(tasksOf(preview.before, day).length) }}
          </td>
          <td v-for="(days, side) in isSame(day) ? [] : [preview.before, preview.after]" :key="side">
            <p
              v-for="task in tasksOf(days, day)"
              :key="task"
              :class="{
                only: !tasksOf(side === 0 ? preview.after : preview.before, day).includes(task),
                gone: side === 0,
              }"
            >
              {{ task }}
            </p>
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.scroll {
  overflow-x: auto;
}

table {
  width: 100%;
  table-layout: fixed;
  border-collapse: collapse;
}

th,
td {
  padding: 4px 10px 4px 0;
  border-bottom: 1px solid var(--line);
  color: var(--soft);
  font-size: 0.875rem;
  font-weight: 400;
  text-align: left;
  vertical-align: top;
}

.only {
  color: var(--ink);
  font-weight: 700;
}

.gone.only {
  text-decoration: line-through;
}
</style>
