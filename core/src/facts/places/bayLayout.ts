import type { Box } from '../enclosures/box.ts'

/** A box on a shelf, by its identity: it keeps its history wherever it stands. */
export interface StandingBox extends Box {
  id: string
}

/** How a bay is furnished: shelves from the top, on each its boxes from the left. */
export interface BayLayout {
  /** Inside width of its shelves, mm; null where nobody measured it. */
  widthMm: number | null
  shelves: readonly (readonly StandingBox[])[]
}

export type LayoutFault =
  /** The boxes on a shelf, counted from 0, are wider together than it is, by so many mm. */
  { code: 'widerThanShelf'; shelf: number; overMm: number } | { code: 'twice'; id: string }

/** What cannot be so. Empty for a bay that can stand.
 * Gaps between boxes are nobody's business: boxes that fit exactly are taken to fit. */
export function layoutFaults({ widthMm, shelves }: BayLayout): LayoutFault[] {
  const seen = new Set<string>()
  const faults: LayoutFault[] = []
  for (const [shelf, boxes] of shelves.entries()) {
    const overMm = boxes.reduce((sum, box) => sum + box.widthMm, 0) - (widthMm ?? Infinity)
    if (overMm > 0) faults.push({ code: 'widerThanShelf', shelf, overMm })
    for (const { id } of boxes) {
      if (seen.has(id)) faults.push({ code: 'twice', id })
      seen.add(id)
    }
  }
  return faults
}

/** A box taken from where it stands and put on a shelf before the one that is at `column` there; at its end
 * where nobody is. What is not in the bay changes nothing. */
export function boxMoved(layout: BayLayout, id: string, to: { shelf: number; column: number }): BayLayout {
  const box = layout.shelves.flat().find((one) => one.id === id)
  if (!box || to.shelf < 0 || to.shelf >= layout.shelves.length) return layout
  const shelves = layout.shelves.map((boxes, shelf) => {
    const others = boxes.filter((one) => one.id !== id)
    if (shelf !== to.shelf) return others
    const column = Math.min(Math.max(0, to.column), others.length)
    return [...others.slice(0, column), box, ...others.slice(column)]
  })
  return { ...layout, shelves }
}

const SIDE = String.raw`\s*(\d{1,5}(?:[.,]\d{1,2})?)\s*`
const ROW = new RegExp(
  String.raw`^\s*(\d{1,3})\s*(?:of|[x×*])${SIDE}[x×*]${SIDE}[x×*]${SIDE}(?:mm|in)?\s*$`,
  'i',
)
const MOST = 200
const LEAST_MM = 10

/** "12 of 300 × 200 × 200": how many boxes, and their width, depth and height, mm; `inMm` turns a side that was
 * typed in another unit into mm. Null where it is not said like that, or would be none, or more than a shelf of
 * anything, or a side would be under a centimetre. */
export function readRowOfBoxes(
  text: string,
  inMm: (side: number) => number = (side) => side,
): { count: number; box: Box } | null {
  const [, many, ...sides] = ROW.exec(text) ?? []
  const count = Number(many ?? 0)
  const [widthMm = 0, depthMm = 0, heightMm = 0] = sides.map((side) =>
    Math.round(inMm(Number(side.replace(',', '.')))),
  )
  if (count < 1 || count > MOST || Math.min(widthMm, depthMm, heightMm) < LEAST_MM) return null
  return { count, box: { widthMm, depthMm, heightMm } }
}
