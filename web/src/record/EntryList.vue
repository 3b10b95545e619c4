<script setup lang="ts">
import type { Entry, Fact } from '@kobrin/core'
import Button from 'primevue/button'
import SelectButton from 'primevue/selectbutton'
import { usePrinting } from '../app/usePrinting.ts'
import { choicesOf } from '../fields/choicesOf.ts'
import { computed, nextTick, shallowRef, watch } from 'vue'
import { may } from '@kobrin/contract'
import { usePeople } from '../people/usePeople.ts'
import { useRecord } from '../entries/useRecord.ts'
import { useSite } from '../site/useSite.ts'
import { useToday } from '../time/useToday.ts'
import { sayEntry } from '../words/entry.ts'
import { useTeller } from '../words/useTeller.ts'
import { sayDate } from '../words/numbers.ts'
import type { HistoryLine } from './history.ts'
import { historyLines } from './history.ts'
import { t } from './words.ts'

const { entries, opened } = defineProps<{ entries: readonly Entry[]; opened: string | null }>()
const emit = defineEmits<{ correct: [fact: Fact] }>()
const site = useSite()
const today = useToday()
const teller = useTeller()
const people = usePeople()
const record = useRecord()

const PAGE = 60

const shown = shallowRef(PAGE)
const printing = usePrinting()
/** On paper nothing can be asked for later. */
const inSight = computed(() => (printing.value ? lines.value : lines.value.slice(0, shown.value)))
type Filter = 'all' | 'meals' | 'weights' | 'skin' | 'words'
const only = shallowRef<Filter>('all')
const FILTERS = choicesOf({
  all: t('everything'),
  meals: t('meals'),
  weights: t('weightsAndSizes'),
  skin: t('shedsAndMolts'),
  words: t('notesAndHolds'),
})
const KINDS: Record<Filter, readonly string[] | null> = {
  all: null,
  meals: ['fed', 'bowl'],
  weights: ['weighed', 'measured'],
  skin: ['ecdysis'],
  words: ['noted', 'observed', 'held', 'released', 'moved', 'arrived'],
}

const lines = computed(() =>
  historyLines(entries).filter(({ entry }) => KINDS[only.value]?.includes(entry.kind) ?? true),
)

function mayAmend({ entry }: HistoryLine): boolean {
  return may(people.role, entry.author === people.person?.id ? 'amendOwn' : 'amendOthers')
}

/** What was said for another time than it was written down says so. */
function sayWritten(at: string): string {
  return t('writtenAt', { date: sayDate(today.dayOf(at), today.day), time: today.clock(at) })
}

watch(
  () => opened,
  async (uid) => {
    if (!uid) return
    only.value = 'all'
    const at = lines.value.findIndex(({ entry }) => entry.uid === uid)
    shown.value = Math.max(shown.value, at + 10)
    await nextTick()
    document.getElementById(`entry-${uid}`)?.scrollIntoView({ block: 'center' })
  },
)
</script>

<template>
  <section aria-labelledby="entries-title">
    <header>
      <h2 id="entries-title">{{ t('entries') }}</h2>
      <span class="quiet">{{ lines.length }}</span>
      <SelectButton
        v-model="only"
        class="filters no-print"
        :options="FILTERS"
        option-label="label"
        option-value="value"
        :allow-empty="false"
        :aria-label="t('show')"
      />
    </header>
    <ol>
      <li
        v-for="line in inSight"
        :id="`entry-${line.entry.uid}`"
        :key="line.entry.uid"
        :class="{ opened: opened === line.entry.uid }"
      >
        <span class="when"
          >{{ sayDate(line.entry.day, today.day) }} {{ today.clock(line.entry.occurredAt)
          }}<small v-if="line.entry.writtenAt" class="quiet">{{
            sayWritten(line.entry.writtenAt)
          }}</small></span
        >
        <span class="who" :title="site.nameOf(line.entry.author)">{{
          site.initialsOf(line.entry.author)
        }}</span>
        <div>
          <p :class="{ struck: line.counts !== line.entry && line.amendments.length > 0 }">
            {{ sayEntry(line.entry, teller) }}
            <em v-if="record.waiting.has(line.entry.uid)">{{ t('waitingToSend') }}</em>
          </p>
          <p v-for="amendment in line.amendments" :key="amendment.uid" class="amendment">
            {{ sayEntry(amendment, teller) }}
            <span class="quiet"
              >{{ site.nameOf(amendment.author) }}, {{ sayDate(amendment.day, today.day) }}
              {{ today.clock(amendment.occurredAt) }}</span
            >
          </p>
        </div>
        <Button
          v-if="line.counts && mayAmend(line)"
          severity="secondary"
          class="fix no-print"
          @click="emit('correct', line.counts)"
        >
          {{ t('correct') }}
        </Button>
      </li>
    </ol>
    <Button v-if="lines.length > shown" class="no-print" severity="secondary" @click="shown += 200">{{
      t('showMore')
    }}</Button>
  </section>
</template>

<style scoped>
header {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
  margin-bottom: 6px;
}

.filters {
  flex-wrap: wrap;
  margin-left: auto;
}

li {
  display: grid;
  grid-template-columns: 104px 32px 1fr auto;
  gap: 8px;
  align-items: start;
  padding: 5px 6px;
  border-top: 1px solid var(--line);
}

.opened {
  background: var(--wash);
  box-shadow: inset 5px 0 0 var(--focus);
}

.when,
.who {
  color: var(--soft);
  font: 0.8125rem/1.6 var(--sans);
}

.struck {
  color: var(--soft);
  text-decoration: line-through;
}

.amendment {
  padding-left: 8px;
  border-left: 3px dotted var(--held);
}

.fix {
  min-height: 32px;
  padding: 2px 8px;
  font-size: 0.8438rem;
}

@media print {
  li {
    grid-template-columns: 104px 32px 1fr !important;
    padding: 2px 0;
    break-inside: avoid;
  }

  li > div {
    grid-area: auto !important;
  }
}

@media (max-width: 899px) {
  li {
    grid-template-columns: auto auto 1fr;
  }

  li > div {
    grid-column: 1 / -1;
    grid-row: 2;
  }

  .fix {
    justify-self: end;
    min-height: 44px;
  }
}
</style>
