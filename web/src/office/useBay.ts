import type { Bay, Enclosure, KeepBay, PastBay } from '@kobrin/contract'
import type { Box, LayoutFault, StandingBox } from '@kobrin/core'
import { boxMoved, layoutFaults, readRowOfBoxes } from '@kobrin/core'
import { v7 as uuidv7 } from 'uuid'
import type { UnwrapNestedRefs } from 'vue'
import { computed, reactive, shallowRef } from 'vue'

/** As a bay stands on record. */
export function layoutOf(bay: Bay, enclosures: Iterable<Enclosure>): KeepBay {
  const shelves: StandingBox[][] = []
  const here = [...enclosures]
    .filter(({ bayId, retired }) => bayId === bay.id && !retired)
    .sort((a, b) => a.row - b.row || a.column - b.column)
  for (const { id, row, widthMm, depthMm, heightMm } of here)
    (shelves[row] ??= []).push({ id, widthMm, depthMm, heightMm })
  return {
    name: bay.name,
    barrier: bay.barrier,
    widthMm: bay.widthMm,
    shelves: Array.from({ length: shelves.length }, (_, row) => shelves[row] ?? []),
    version: bay.version,
  }
}

/** The boxes of a bay with other identities: the same furniture, once more. */
export function copied(shelves: KeepBay['shelves']): KeepBay['shelves'] {
  return shelves.map((boxes) => boxes.map((box) => ({ ...box, id: uuidv7() })))
}

/** A bay that is being furnished: what was done can be taken back step by step until it is kept. */
export function useBay(start: KeepBay) {
  const bay = reactive<KeepBay>(structuredClone(start))
  const past = shallowRef<readonly string[]>([])
  const chosen = shallowRef<string | null>(null)

  function step(shelves: KeepBay['shelves']): void {
    past.value = [...past.value, JSON.stringify(bay.shelves)]
    bay.shelves = shelves
  }

  const box = computed(() => bay.shelves.flat().find(({ id }) => id === chosen.value) ?? null)
  const at = computed(() => {
    const shelf = bay.shelves.findIndex((boxes) => boxes.some(({ id }) => id === chosen.value))
    const column = bay.shelves[shelf]?.findIndex(({ id }) => id === chosen.value) ?? -1
    return { shelf, column }
  })
  const faults = computed<LayoutFault[]>(() => layoutFaults(bay))
  const longestMm = computed(() =>
    Math.max(
      bay.widthMm ?? 0,
      1,
      ...bay.shelves.map((boxes) => boxes.reduce((sum, { widthMm }) => sum + widthMm, 0)),
    ),
  )

  function put(id: string, to: { shelf: number; column: number }): void {
    step(boxMoved(bay, id, to).shelves.map((boxes) => [...boxes]))
    chosen.value = id
  }

  /** The chosen one by so many places or shelves. */
  function nudge(by: { shelf?: number; column?: number }): void {
    const { shelf, column } = at.value
    const to = { shelf: shelf + (by.shelf ?? 0), column: column + (by.column ?? 0) }
    const isThere = to.shelf >= 0 && to.shelf < bay.shelves.length && to.column >= 0
    if (box.value && isThere) put(box.value.id, to)
  }

  function resize(size: Partial<Box>): void {
    const id = chosen.value
    step(bay.shelves.map((boxes) => boxes.map((one) => (one.id === id ? { ...one, ...size } : one))))
  }

  /** `inMm` turns a side as it was typed into millimetres. */
  function addRow(shelf: number, text: string, inMm: (side: number) => number = (side) => side): boolean {
    const row = readRowOfBoxes(text, inMm)
    if (!row) return false
    const boxes = Array.from({ length: row.count }, () => ({ id: uuidv7(), ...row.box }))
    step(bay.shelves.map((there, index) => (index === shelf ? [...there, ...boxes] : there)))
    chosen.value = boxes[0]?.id ?? null
    return true
  }

  function copy(): void {
    const { shelf, column } = at.value
    if (!box.value) return
    const again = { ...box.value, id: uuidv7() }
    step(
      bay.shelves.map((boxes, index) =>
        index === shelf ? [...boxes.slice(0, column + 1), again, ...boxes.slice(column + 1)] : boxes,
      ),
    )
    chosen.value = again.id
  }

  function takeAway(): void {
    const id = chosen.value
    step(bay.shelves.map((boxes) => boxes.filter((one) => one.id !== id)))
    chosen.value = null
  }

  const addShelf = () => step([...bay.shelves, []])
  const dropShelf = (shelf: number) => step(bay.shelves.filter((_, index) => index !== shelf))

  function undo(): void {
    const last = past.value.at(-1)
    if (last === undefined) return
    past.value = past.value.slice(0, -1)
    bay.shelves = JSON.parse(last) as KeepBay['shelves']
  }

  /** Draws it as it stood once; it is so when it is kept. */
  function redraw({ shelves, ...rest }: PastBay['layout']): void {
    Object.assign(bay, rest)
    step(shelves.map((boxes) => boxes.map((one) => ({ ...one }))))
    chosen.value = null
  }

  /** Begins again from what is on record. */
  function takeUp(theirs: KeepBay): void {
    Object.assign(bay, structuredClone(theirs))
    past.value = []
    chosen.value = null
  }

  return {
    bay,
    box,
    chosen,
    faults,
    longestMm,
    canUndo: computed(() => past.value.length > 0),
    put,
    choose: (id: string) => void (chosen.value = id),
    nudge,
    resize,
    addRow,
    copy,
    takeAway,
    addShelf,
    dropShelf,
    undo,
    redraw,
    takeUp,
  }
}

export type BayWork = UnwrapNestedRefs<ReturnType<typeof useBay>>
