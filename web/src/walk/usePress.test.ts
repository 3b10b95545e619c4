import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { usePress } from './usePress.ts'

let cell: HTMLElement
let label: HTMLElement
let said: string[]
let press: ReturnType<typeof usePress>

beforeEach(() => {
  vi.useFakeTimers()
  document.body.innerHTML =
    '<div data-resident="tamsin"><span data-part="label">Tamsin</span></div><p>Elsewhere</p>'
  cell = document.querySelector('[data-resident]') as HTMLElement
  label = document.querySelector('[data-part]') as HTMLElement
  said = []
  press = usePress({
    onTap: (id) => said.push(`tap ${id}`),
    onLabel: (id) => said.push(`label ${id}`),
    onHold: (id) => said.push(`hold ${id}`),
    onMenu: (id) => said.push(`menu ${id}`),
  })
})
afterEach(() => vi.useRealTimers())

function event(type: string, target: Element, more: object = {}): PointerEvent {
  const made = new MouseEvent(type, { bubbles: true, cancelable: true, clientX: 10, clientY: 10, ...more })
  Object.defineProperty(made, 'pointerType', { value: 'touch' })
  Object.defineProperty(made, 'target', { value: target })
  return made as PointerEvent
}

describe('a finger on the board', () => {
  it('taps', () => {
    press.down(event('pointerdown', cell))
    globalThis.dispatchEvent(new Event('pointerup'))
    press.click(event('click', cell))
    expect(said).toEqual(['tap tamsin'])
  })

  it('holds: the exceptions open, and letting go chooses nothing of what opened under it', () => {
    press.down(event('pointerdown', cell))
    vi.advanceTimersByTime(600)
    press.menu(event('contextmenu', cell))
    globalThis.dispatchEvent(new Event('pointerup'))
    const opened = document.querySelector('p') as HTMLElement
    const clicks: string[] = []
    opened.addEventListener('click', () => clicks.push('chosen'))
    opened.click()
    expect([said, clicks]).toEqual([['hold tamsin'], []])
    vi.advanceTimersByTime(400)
    opened.click()
    expect(clicks).toEqual(['chosen'])
  })

  it('scrolls: a finger that slips is not holding', () => {
    press.down(event('pointerdown', cell))
    press.move(event('pointermove', cell, { clientY: 60 }))
    vi.advanceTimersByTime(600)
    expect(said).toEqual([])
  })

  it('reads the label without logging', () => {
    press.down(event('pointerdown', label))
    press.click(event('click', label))
    expect(said).toEqual(['label tamsin'])
  })

  it('does nothing beside the cells', () => {
    const beside = document.querySelector('p') as HTMLElement
    press.down(event('pointerdown', beside))
    press.click(event('click', beside))
    press.menu(event('contextmenu', beside))
    expect(said).toEqual([])
  })
})

describe('a mouse on the board', () => {
  it('opens the exceptions with its right button', () => {
    const menu = event('contextmenu', cell)
    press.menu(menu)
    expect(said).toEqual(['menu tamsin'])
    expect(menu.defaultPrevented).toBe(true)
  })
})
