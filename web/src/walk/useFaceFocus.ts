import type { ShallowRef } from 'vue'

export type Direction = 'left' | 'right' | 'up' | 'down'

export const ARROWS: Readonly<Record<string, Direction>> = {
  ArrowLeft: 'left',
  ArrowRight: 'right',
  ArrowUp: 'up',
  ArrowDown: 'down',
}

interface Spot {
  id: string
  x: number
  top: number
  bottom: number
}

/** The cell to go to from one, as the eye would: the neighbour on the shelf, or the one above or
 * below whose middle is nearest. Spots are in reading order. */
export function neighbour(spots: readonly Spot[], from: string | null, direction: Direction): string | null {
  const at = spots.findIndex(({ id }) => id === from)
  const here = spots[at]
  if (!here) return spots[0]?.id ?? null
  if (direction === 'left') return spots[at - 1]?.id ?? here.id
  if (direction === 'right') return spots[at + 1]?.id ?? here.id
  const down = direction === 'down'
  const beyond = spots.filter(({ top, bottom }) => (down ? top >= here.bottom - 1 : bottom <= here.top + 1))
  const edge = down ? Math.min(...beyond.map(({ top }) => top)) : Math.max(...beyond.map(({ top }) => top))
  const row = beyond.filter(({ top }) => Math.abs(top - edge) < 2)
  const nearest = row.sort((a, b) => Math.abs(a.x - here.x) - Math.abs(b.x - here.x))[0]
  return nearest?.id ?? here.id
}

/** Where the cells of a board lie on the screen. */
export function useFaceFocus(board: Readonly<ShallowRef<HTMLElement | null>>) {
  function cells(): HTMLElement[] {
    return [...(board.value?.querySelectorAll<HTMLElement>('[data-resident]') ?? [])]
  }

  function spots(): Spot[] {
    return cells().map((cell) => {
      const { left, width, top, bottom } = cell.getBoundingClientRect()
      return { id: cell.dataset['resident'] ?? '', x: left + width / 2, top, bottom }
    })
  }

  function cellOf(residentId: string | null): HTMLElement | undefined {
    return board.value?.querySelector<HTMLElement>(`[data-resident="${residentId ?? ''}"]`) ?? undefined
  }

  /** Its shelf shrinks no more: what is done says less than what is due, and the next box must not
   * slip away from under the finger. */
  function steady(residentId: string): void {
    const shelf = cellOf(residentId)?.closest<HTMLElement>('.shelf')
    if (shelf) shelf.style.minHeight = `${shelf.offsetHeight}px`
  }

  /** Brings a cell into sight, whatever has the focus. */
  function show(residentId: string): void {
    cellOf(residentId)?.scrollIntoView({ block: 'nearest', inline: 'nearest' })
  }

  function focus(residentId: string | null): void {
    cellOf(residentId)?.focus({ preventScroll: true })
    if (residentId !== null) show(residentId)
  }

  return { spots, focus, show, steady }
}
