export interface PressOptions {
  onTap: (residentId: string) => void
  /** The label was touched: show, do not log. */
  onLabel: (residentId: string) => void
  onHold: (residentId: string) => void
  holdMs?: number
}

const SLIP_PX = 12

function residentAt(target: EventTarget | null): string | null {
  if (!(target instanceof Element)) return null
  return target.closest<HTMLElement>('[data-resident]')?.dataset['resident'] ?? null
}

/** Tells a tap from a press-and-hold from the start of a scroll, for a whole board at once. */
export function usePress({ onTap, onLabel, onHold, holdMs = 480 }: PressOptions) {
  let timer: ReturnType<typeof setTimeout> | undefined
  let start: { x: number; y: number } | null = null
  let wasHeld = false

  function cancel(): void {
    clearTimeout(timer)
    start = null
  }

  return {
    cancel,
    down(event: PointerEvent): void {
      wasHeld = false
      const residentId = residentAt(event.target)
      if (residentId === null || event.pointerType === 'mouse') return
      start = { x: event.clientX, y: event.clientY }
      timer = setTimeout(() => {
        wasHeld = true
        onHold(residentId)
      }, holdMs)
    },
    move(event: PointerEvent): void {
      if (start && Math.hypot(event.clientX - start.x, event.clientY - start.y) > SLIP_PX) cancel()
    },
    up: cancel,
    menu(event: MouseEvent): void {
      const residentId = residentAt(event.target)
      if (residentId === null) return
      event.preventDefault()
      cancel()
      if (!wasHeld) onHold(residentId)
      wasHeld = true
    },
    click(event: MouseEvent): void {
      const residentId = residentAt(event.target)
      const held = wasHeld
      wasHeld = false
      if (residentId === null || held || event.button !== 0) return
      const onLabelPart =
        event.target instanceof Element && event.target.closest('[data-part="label"]') !== null
      if (onLabelPart) onLabel(residentId)
      else onTap(residentId)
    },
  }
}
