<script setup lang="ts">
import type { DutyKind } from '@kobrin/core'
import { computed } from 'vue'
import { words } from '../words/en.ts'
import DutyMark from './DutyMark.vue'
import EnclosureCell from './EnclosureCell.vue'
import type { Face } from './useRound.ts'
import { useRound } from './useRound.ts'

const { face } = defineProps<{ face: Face }>()
const emit = defineEmits<{ all: [does: DutyKind | undefined]; shelf: [residents: string[]] }>()
const round = useRound()

/** Narrower than this a box cannot carry a name. */
const NARROWEST_PX = 86
const GAP_PX = 7

const tally = computed(() => round.progress(face.residents))
const due = computed(() => {
  const counts = new Map<DutyKind, number>()
  for (const id of face.residents) {
    for (const { duty, status } of round.dayOf(id).tasks) {
      if (duty.does === 'weigh' || duty.does === 'measure') continue
      if (status === 'due' || status === 'late') counts.set(duty.does, (counts.get(duty.does) ?? 0) + 1)
    }
  }
  return [...counts]
})
/** What stands on each board, and for how many of them one touch would do. */
const planks = computed(() =>
  face.shelves.map((shelf) => {
    const residents = shelf.flatMap((box) => box.residents)
    return { residents, count: round.mayWrite ? residents.filter(round.canTouch).length : 0 }
  }),
)
const geometry = computed(() => {
  const boxes = face.shelves.flat()
  return {
    '--longest': Math.max(
      ...face.shelves.map((shelf) => shelf.reduce((sum, { widthMm }) => sum + widthMm, 0)),
    ),
    '--narrowest': Math.min(
      ...boxes.map(({ widthMm, residents }) => widthMm / Math.max(1, residents.length)),
    ),
    '--gaps': `${(Math.max(...face.shelves.map((shelf) => shelf.length)) - 1) * GAP_PX}px`,
    '--least': `${NARROWEST_PX}px`,
  }
})
</script>

<template>
  <section class="bay" :aria-label="face.bay.name">
    <header>
      <h2>{{ face.bay.name }}</h2>
      <p class="quiet">{{ face.residents.length }} residents · {{ tally.all - tally.done }} to see to</p>
      <p v-if="round.mayWrite && due.length > 0" class="all">
        <span class="quiet">All of:</span>
        <button
          v-for="[does, count] in due"
          :key="does"
          type="button"
          class="one-duty"
          :aria-label="`${words.duty[does]} for all ${count} in ${face.bay.name}`"
          @click="emit('all', does)"
        >
          <DutyMark :does="does" status="due" />{{ count }}
        </button>
        <button type="button" class="one-duty everything" @click="emit('all', undefined)">Everything</button>
      </p>
    </header>
    <div class="scroll">
      <div class="frame" role="grid" :aria-label="face.bay.name" :style="geometry">
        <template v-for="(shelf, row) in face.shelves" :key="row">
          <div class="shelf" role="row">
            <div
              v-for="box in shelf"
              :key="box.enclosureId"
              class="box"
              role="none"
              :style="{ '--w': box.widthMm }"
            >
              <EnclosureCell
                v-for="id in box.residents"
                :key="id"
                :resident-id="id"
                :selected="round.focused === id"
              />
              <div v-if="box.residents.length === 0" class="empty" role="gridcell">Empty</div>
            </div>
          </div>
          <div v-if="planks[row] && planks[row].count > 1" class="plank" role="row">
            <span role="gridcell">
              <button
                type="button"
                :aria-label="`Whole shelf ${row + 1} of ${face.bay.name} as planned: ${planks[row].count}`"
                @click="emit('shelf', planks[row].residents)"
              >
                Whole shelf as planned · {{ planks[row].count }}
              </button>
            </span>
          </div>
          <div v-else class="plank" />
        </template>
      </div>
    </div>
  </section>
</template>

<style scoped>
.bay {
  margin-bottom: 26px;
  content-visibility: auto;
  contain-intrinsic-size: auto 520px;
}

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
  font-size: 14px;
}

.one-duty .mark {
  transform: scale(0.8);
}

.scroll {
  container-type: inline-size;
  overflow-x: auto;
  border: 9px solid var(--board);
  border-bottom-width: 4px;
  outline: 1px solid var(--edge);
}

.frame {
  /* Pixels per millimetre: the longest shelf fills the bay, unless the narrowest box would vanish. */
  --px: max((100cqi - 18px - var(--gaps)) / var(--longest), var(--least) / var(--narrowest));

  min-width: 100%;
  width: max-content;
}

.shelf {
  display: flex;
  gap: 7px;
  padding: 8px 9px 0;
}

.plank {
  display: flex;
  min-height: 8px;
  background: var(--board);
  box-shadow: 0 1px 0 var(--edge);
}

.plank span {
  position: sticky;
  left: 4px;
}

.plank button {
  min-height: 30px;
  padding: 0 10px;
  border: 0;
  background: none;
  color: var(--on-board);
  font-size: 13px;
  font-weight: 600;
  text-decoration: underline;
  text-decoration-color: var(--control-line);
  text-underline-offset: 3px;
}

@media (pointer: coarse) {
  .plank button {
    min-height: 44px;
    font-size: 14px;
  }
}

.box {
  display: grid;
  flex: none;
  grid-auto-columns: minmax(0, 1fr);
  grid-auto-flow: column;
  width: calc(var(--w) * var(--px));
}

.empty {
  min-height: 110px;
  padding: 8px;
  border: 1px dashed var(--edge);
  border-bottom: 0;
  color: var(--soft);
  font-size: 13px;
}
</style>
