<script setup lang="ts">
import { openNotes } from '@kobrin/core'
import { computed } from 'vue'
import { useRecord } from '../entries/useRecord.ts'
import { useSite } from '../site/useSite.ts'
import { useToday } from '../time/useToday.ts'
import { sayCell } from '../words/cell.ts'
import { useTeller } from '../words/useTeller.ts'
import DutyMark from './DutyMark.vue'
import { marksOf, sayMarks } from './marks.ts'
import { useWalk } from './useWalk.ts'
import { useResidents } from '../residents/useResidents.ts'
import { t } from './words.ts'

const { residentId } = defineProps<{ residentId: string }>()

const NOTE_DAYS = 14

const site = useSite()
const record = useRecord()
const walk = useWalk()
const residents = useResidents()
const today = useToday()
const teller = useTeller()

const selected = computed(() => walk.isFocused(residentId))
const resident = computed(() => site.residents.get(residentId))
const species = computed(() => site.species.get(resident.value?.sheet ?? ''))
const day = computed(() => residents.dayOf(residentId))
const sentence = computed(() => sayCell(day.value, teller))
const held = computed(() => day.value.holds.some(({ suppresses }) => suppresses.length > 0))
const marks = computed(() => marksOf(day.value.tasks))
const done = computed(() => marks.value.flatMap((mark) => mark.done))
const duties = computed(() => sayMarks(marks.value, site.nameOf))
const lastDone = computed(() => [...done.value].sort((a, b) => (a.at < b.at ? 1 : -1))[0])
const waits = computed(() => done.value.some(({ uid }) => record.waiting.has(uid)))
/** The last note that nobody answered; older ones are for the handover. */
const note = computed(() => {
  const [said] = openNotes(record.stateOf(residentId).notes).slice(-1)
  return said && today.day - said.day <= NOTE_DAYS ? said : null
})
</script>

<template>
  <div
    class="cell"
    :class="{ 'is-held': held, 'is-selected': selected }"
    role="gridcell"
    tabindex="-1"
    :data-resident="residentId"
    :aria-selected="selected"
    :aria-label="`${resident?.name}, ${species?.common}. ${sentence.text.replace(/\.$/, '')}. ${duties}`"
  >
    <span class="tape" data-part="label">{{ resident?.name }}</span>
    <span class="kind">{{ species?.common }} · {{ resident?.accession }}</span>
    <span class="says" :class="`tone-${sentence.tone}`">{{ sentence.text }}</span>
    <span v-if="note" class="note" :title="note.text">{{ t('note', { text: note.text }) }}</span>
    <span class="marks">
      <DutyMark
        v-for="mark in marks"
        :key="mark.key"
        :does="mark.does"
        :status="mark.status"
        :days-over="mark.daysOver"
        :name="mark.names.join(', ')"
        :sign="mark.sign"
        :count="mark.names.length"
      />
      <span v-if="lastDone" class="who" :class="{ waits }">
        {{ today.clock(lastDone.at) }} {{ site.initialsOf(lastDone.by) }}{{ waits ? ' …' : '' }}
      </span>
    </span>
  </div>
</template>

<style scoped>
.cell {
  position: relative;
  display: flex;
  flex-direction: column;
  gap: 3px;
  height: 100%;
  min-height: 124px;
  padding: 7px 8px 8px;
  border: 1px solid var(--line);
  border-bottom: 0;
  background-color: var(--glass);
  cursor: pointer;
  user-select: none;
  -webkit-touch-callout: none;
  touch-action: manipulation;
}

.is-held {
  background-image: repeating-linear-gradient(45deg, var(--hatch) 0 2px, transparent 2px 9px);
}

.is-selected {
  outline: 4px solid var(--focus);
  outline-offset: -4px;
}

.tape {
  align-self: flex-start;
  max-width: 100%;
  padding-inline: 5px;
  font-size: var(--label);
  overflow-wrap: anywhere;
}

/* The head of the box opens it and says nothing: as high as a thumb. */
.tape::after {
  position: absolute;
  inset: 0 0 auto;
  height: 44px;
  content: '';
}

.kind {
  color: var(--soft);
  font-size: 0.8125rem;
  line-height: 1.25;
}

.says {
  font-size: 0.875rem;
  line-height: 1.3;
}

.tone-held,
.tone-watch {
  color: var(--held);
  font-weight: 600;
}

.tone-late {
  color: var(--late);
  font-weight: 600;
}

.tone-done {
  color: var(--done);
}

.note {
  overflow: hidden;
  padding-left: 6px;
  border-left: 3px dotted var(--focus);
  font-size: 0.8125rem;
  line-height: 1.25;
  text-overflow: ellipsis;
  white-space: nowrap;
}

.marks {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 5px 6px;
  margin-top: auto;
  padding-top: 6px;
}

.who {
  margin-left: auto;
  color: var(--soft);
  font: 0.75rem var(--sans);
}

.who.waits {
  color: var(--focus);
}

/* On a phone three lines are enough; elsewhere 300 clips would cost more than they save. */
@media (max-width: 899px) {
  .says {
    display: -webkit-box;
    overflow: hidden;
    -webkit-box-orient: vertical;
    -webkit-line-clamp: 3;
  }
}
</style>
