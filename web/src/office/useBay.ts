import type { KeepBay, PastBay } from '@kobrin/contract'
import type { Box } from '@kobrin/core'
import { layoutFaults, readRowOfBoxes } from '@kobrin/core'
import { v7 as uuidv7 } from 'uuid'
import type { UnwrapNestedRefs } from 'vue'
import { computed } from 'vue'
import { typedInto, useMachine } from '../machines/useMachine.ts'
import { begun, boxOf, furnish, longestMm } from './furnishing.ts'

/** The boxes of a bay with other identities: the same furniture, once more. */
export function copied(shelves: KeepBay['shelves']): KeepBay['shelves'] {
  return shelves.map((boxes) => boxes.map((box) => ({ ...box, id: uuidv7() })))
}

/** A bay that is being furnished, for the page that draws it. */
export function useBay(start: KeepBay) {
  const { now, tell } = useMachine(begun(start), furnish)
  const bay = typedInto(
    () => now.value.bay,
    (part) => tell({ type: 'typed', part }),
  )

  /** `inMm` turns a side as it was typed into millimetres. False where the text says no row of boxes. */
  function addRow(shelf: number, text: string, inMm: (side: number) => number = (side) => side): boolean {
    const row = readRowOfBoxes(text, inMm)
    if (!row) return false
    const boxes = Array.from({ length: row.count }, () => ({ id: uuidv7(), ...row.box }))
    tell({ type: 'added', shelf, boxes })
    return true
  }

  return {
    bay,
    box: computed(() => boxOf(now.value)),
    chosen: computed(() => now.value.chosen),
    faults: computed(() => layoutFaults(now.value.bay)),
    longestMm: computed(() => longestMm(now.value)),
    canUndo: computed(() => now.value.past.length > 0),
    choose: (id: string) => tell({ type: 'chosen', id }),
    put: (id: string, to: { shelf: number; column: number }) => tell({ type: 'put', id, to }),
    nudge: (by: { shelf?: number; column?: number }) => tell({ type: 'nudged', by }),
    resize: (size: Partial<Box>) => tell({ type: 'resized', size }),
    addRow,
    copy: () => tell({ type: 'copied', as: uuidv7() }),
    takeAway: () => tell({ type: 'takenAway' }),
    addShelf: () => tell({ type: 'shelfAdded' }),
    dropShelf: (shelf: number) => tell({ type: 'shelfDropped', shelf }),
    undo: () => tell({ type: 'undone' }),
    redraw: (layout: PastBay['layout']) => tell({ type: 'redrawn', layout }),
    takeUp: (theirs: KeepBay) => tell({ type: 'takenUp', bay: theirs }),
  }
}

export type BayWork = UnwrapNestedRefs<ReturnType<typeof useBay>>
