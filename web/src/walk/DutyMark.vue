<script setup lang="ts">
import type { DutyKind, TaskStatus } from '@kobrin/core'
import { computed } from 'vue'
import { words } from '../words/en.ts'

const {
  does,
  status,
  daysOver = 0,
  name,
} = defineProps<{
  does: DutyKind
  status: TaskStatus
  daysOver?: number
  name?: string
}>()

const SHAPES: Record<DutyKind, string> = {
  feed: 'M13 1a12 12 0 1 0 .01 0Z',
  water: 'M1 13A12 12 0 0 1 13 1H13A12 12 0 0 1 25 13A12 12 0 0 1 13 25H1Z',
  clean: 'M2 2H24V24H2Z',
  weigh: 'M1 25V11C1 5 6 1 13 1S25 5 25 11V25Z',
  measure: 'M13 1 25 13 13 25 1 13Z',
  look: 'M1 13C1 5 5 3 13 3S25 5 25 13 21 23 13 23 1 21 1 13Z',
  dampen: 'M2 2H24V13C24 20 20 25 13 25S2 20 2 13Z',
}
const says = computed(() => {
  const late = status === 'late' ? `, ${Math.floor(daysOver)} over` : ''
  return `${name || words.duty[does]}: ${words.status[status]}${late}`
})
</script>

<template>
  <span class="mark" :class="status" role="img" :aria-label="says" :title="says">
    <svg viewBox="0 0 26 26" aria-hidden="true">
      <path v-if="status !== 'done'" :d="SHAPES[does]" />
      <text x="13" y="18">{{ words.dutyLetter[does] }}</text>
      <path v-if="status === 'done'" class="under" d="M6 23.5H20" />
    </svg>
    <span v-if="status === 'late' && daysOver >= 1" class="count" aria-hidden="true">{{
      Math.floor(daysOver)
    }}</span>
  </span>
</template>

<style scoped>
.mark {
  position: relative;
  display: inline-block;
  width: 26px;
  height: 26px;
  flex: none;
}

svg {
  display: block;
  width: 100%;
  height: 100%;
  overflow: visible;
}

text {
  font: 700 13px var(--sans);
  text-anchor: middle;
  fill: var(--ink);
}

path {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
}

.due path {
  fill: var(--ink);
}

.due text {
  fill: var(--paper);
}

.late path {
  fill: var(--late);
  stroke: var(--late);
}

.late text {
  fill: var(--on-late);
}

.held path {
  stroke: var(--held);
  stroke-dasharray: 4 3;
}

.held text {
  fill: var(--held);
}

.done text,
.done .under {
  fill: var(--done);
  stroke: var(--done);
}

.done text {
  stroke: none;
}

.notYet path {
  stroke: var(--edge);
  stroke-width: 1;
}

.notYet text {
  fill: var(--soft);
}

.count {
  position: absolute;
  top: -7px;
  right: -7px;
  min-width: 15px;
  padding: 0 2px;
  border: 1.5px solid var(--late);
  border-radius: 2px;
  background: var(--glass);
  color: var(--late);
  font: 700 11px/12px var(--sans);
  text-align: center;
}
</style>
