<script setup lang="ts">
import type { DutyKind } from '@kobrin/core'
import { useResizeObserver } from '@vueuse/core'
import { computed, shallowRef, useTemplateRef } from 'vue'
import BayHeader from './BayHeader.vue'
import EmptyBox from './EmptyBox.vue'
import EnclosureCell from './EnclosureCell.vue'
import ShelfPlank from './ShelfPlank.vue'
import type { Box, Face } from './stops.ts'
import { t } from './words.ts'

// What changes with every tap lives in the parts: this one draws the furniture.
const { face } = defineProps<{ face: Face }>()
const emit = defineEmits<{ all: [does: DutyKind | undefined]; shelf: [residents: string[]]; enter: [] }>()

/** The face is one stop of the Tab key, which lands on a cell. Giving every cell its turn as the stop
 * would make the browser lay the board out again at each tap. */
const isInside = shallowRef(false)

function left({ currentTarget, relatedTarget }: FocusEvent): void {
  isInside.value = (currentTarget as Element).contains(relatedTarget as Node | null)
}

/** A shelf longer than the screen goes on beyond its edge: that has to be seen. */
const scroller = useTemplateRef<HTMLElement>('scroller')
const ROUNDING_PX = 8
const goesOn = shallowRef(false)
function measure(): void {
  const { scrollWidth = 0, clientWidth = 0, scrollLeft = 0 } = scroller.value ?? {}
  goesOn.value = scrollWidth - clientWidth - scrollLeft > ROUNDING_PX
}
useResizeObserver(scroller, measure)

/** Narrower than this a box cannot carry a name. */
const NARROWEST_PX = 86
const GAP_PX = 7
/** A box with a smaller share of the longest shelf has its label written small. */
const ROOMY_SHARE = 0.16

const longest = computed(() =>
  Math.max(...face.shelves.map((shelf) => shelf.reduce((sum, { widthMm }) => sum + widthMm, 0))),
)
const geometry = computed(() => {
  const boxes = face.shelves.flat()
  const shares = boxes.map(({ widthMm, residents }) => widthMm / Math.max(1, residents.length))
  const most = Math.max(...face.shelves.map((shelf) => shelf.length))
  return {
    '--longest': longest.value,
    '--narrowest': Math.min(...shares),
    '--gaps': `${(most - 1) * GAP_PX}px`,
    '--least': `${NARROWEST_PX}px`,
  }
})

function styleOf({ widthMm, residents }: Box) {
  const share = widthMm / Math.max(1, residents.length) / longest.value
  return { '--w': widthMm, '--label': share < ROOMY_SHARE ? '0.8125rem' : '1rem' }
}
</script>

<template>
  <section class="bay" :aria-label="face.bay.name">
    <BayHeader :face="face" @all="emit('all', $event)" />
    <div ref="scroller" class="scroll" :class="{ goesOn }" @scroll.passive="measure">
      <div
        class="frame"
        role="grid"
        :aria-label="face.bay.name"
        :tabindex="isInside ? -1 : 0"
        :style="geometry"
        @focusin="isInside = true"
        @focusout="left"
        @focus.self="emit('enter')"
      >
        <template v-for="(shelf, row) in face.shelves" :key="row">
          <div class="shelf" role="row">
            <div v-for="box in shelf" :key="box.enclosureId" class="box" role="none" :style="styleOf(box)">
              <EnclosureCell v-for="id in box.residents" :key="id" :resident-id="id" />
              <EmptyBox v-if="box.residents.length === 0" :enclosure-id="box.enclosureId" />
            </div>
          </div>
          <ShelfPlank
            :shelf="shelf"
            :name="t('shelfOf', { row: row + 1, name: face.bay.name })"
            @planned="emit('shelf', $event)"
          />
        </template>
      </div>
    </div>
  </section>
</template>

<style scoped>
.bay {
  margin-bottom: 26px;
}

.scroll {
  container-type: inline-size;
  overflow-x: auto;
  border: 9px solid var(--board);
  border-bottom-width: 4px;
  outline: 1px solid var(--edge);
}

/* A torn edge where the shelf goes on. */
.goesOn {
  border-right: 9px dashed var(--focus);
}

.frame {
  /* Pixels per millimetre: the longest shelf fills the bay, unless the narrowest box would vanish. */
  --px: max((100cqi - 18px - var(--gaps)) / var(--longest), var(--least) / var(--narrowest));

  min-width: 100%;
  width: calc(var(--longest) * var(--px) + 18px + var(--gaps));
}

.shelf {
  display: flex;
  gap: 7px;
  padding: 8px 9px 0;
  /* Shelves out of sight cost nothing to paint. */
  content-visibility: auto;
  contain-intrinsic-size: auto 160px;
}

.box {
  display: grid;
  flex: none;
  grid-auto-columns: minmax(0, 1fr);
  grid-auto-flow: column;
  width: calc(var(--w) * var(--px));
}
</style>
