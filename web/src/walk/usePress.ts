export interface PressOptions {
  onTap: (residentId: string) => void
  /** The label was touched: show, do not log. */
  onLabel: (residentId: string) => void
  onHold: (residentId: string) => void
  /** A right click. */
  onMenu: (residentId: string, event: MouseEvent) => void
  holdMs?: number
  /** Where lifts are heard, and clicks caught that belong to a hold. */
  page?: EventTarget
}

const SLIP_PX = 12
/** How long after a finger lifts the browser may still make a click of it. */
const AFTER_LIFT_MS = 350

/** Whose cell something lies in. */
export function residentAt(target: EventTarget | null): string | null {
  if (!(target instanceof Element)) return null
  return target.closest<HTMLElement>('[data-resident]')?.dataset['resident'] ?? null
}

function swallow(event: Event): void {
  event.preventDefault()
  event.stopPropagation()
}

/** Tells a tap from a press-and-hold from the start of a scroll, for a whole board at once. */
export function usePress({ onTap, onLabel, onHold, onMenu, holdMs = 480, page = globalThis }: PressOptions) {
  let timer: ReturnType<typeof setTimeout> | undefined
  let start: { x: number; y: number } | null = null
  let isHeld = false

  function hold(residentId: string): void {
    isHeld = true
    // What the hold opened lies under the finger now: letting go must not choose anything there.
    page.addEventListener('click', swallow, { capture: true })
    onHold(residentId)
  }

  function cancel(): void {
    clearTimeout(timer)
    start = null
  }

  /** Heard wherever the finger lifts: what the hold opened may lie over the board by then. */
  const LIFTS = ['pointerup', 'pointercancel'] as const

  function release(): void {
    for (const lift of LIFTS) page.removeEventListener(lift, release, { capture: true })
    cancel()
    if (!isHeld) return
    isHeld = false
    setTimeout(() => page.removeEventListener('click', swallow, { capture: true }), AFTER_LIFT_MS)
  }

  return {
    down(event: PointerEvent): void {
      const residentId = residentAt(event.target)
      if (residentId === null || event.pointerType === 'mouse') return
      start = { x: event.clientX, y: event.clientY }
      timer = setTimeout(() => hold(residentId), holdMs)
      for (const lift of LIFTS) page.addEventListener(lift, release, { capture: true })
    },
    move(event: PointerEvent): void {
      if (start && Math.hypot(event.clientX - start.x, event.clientY - start.y) > SLIP_PX) cancel()
    },
    /** A right click; or what the browser makes of a long press, which was a hold already. */
    menu(event: MouseEvent): void {
      const residentId = residentAt(event.target)
      if (residentId === null) return
      event.preventDefault()
      if (isHeld) return
      if (start) {
        cancel()
        hold(residentId)
      } else onMenu(residentId, event)
    },
    click(event: MouseEvent): void {
      const residentId = residentAt(event.target)
      if (residentId === null || event.button !== 0) return
      const onLabelPart =
        event.target instanceof Element && event.target.closest('[data-part="label"]') !== null
      if (onLabelPart) onLabel(residentId)
      else onTap(residentId)
    },
  }
}
