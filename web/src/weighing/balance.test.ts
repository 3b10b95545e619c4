import type { Heard } from '@kobrin/contract'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { effectScope, shallowRef } from 'vue'
import { lineCutter, linesOfHouse, openCable } from './balanceLines.ts'
import { useBalance } from './useBalance.ts'

beforeEach(() => void vi.useFakeTimers())
afterEach(() => void vi.useRealTimers())

/** A balance that says what a test lets it say. */
function standIn(tare = shallowRef(0)) {
  let hear: (heard: Heard) => void = () => undefined
  let stopped = 0
  const balance = effectScope().run(() => useBalance(tare))
  if (!balance) throw new Error('The scope had ended.')
  balance.follow((next) => {
    hear = next
    return () => (stopped += 1)
  })
  const say = (line: string, count = 1, from = 0) => {
    for (let at = 0; at < count; at += 1) hear({ ms: from + at * 100, line })
  }
  return { balance, say, away: () => hear(null), stopped: () => stopped, tare }
}

describe('a balance that is listened to', () => {
  it('gives a weight once its lines hold still, as fine as it shows them', () => {
    const { balance, say } = standIn()
    expect(balance.state.value).toBe('waiting')
    say('42.1 g', 5)
    expect(balance.answer.value?.weight).toBeNull()
    say('42.1 g', 30, 500)
    expect(balance.answer.value?.weight?.grams).toBeCloseTo(42.1)
    expect([balance.state.value, balance.step.value]).toEqual(['here', 0.1])
  })

  it('takes the tub off, also when it is chosen only afterwards', async () => {
    const { balance, say, tare } = standIn()
    say('160.1 g', 30)
    tare.value = 118
    await Promise.resolve()
    expect(balance.answer.value?.weight?.grams).toBeCloseTo(42.1)
  })

  it('says nothing of lines that are none', () => {
    const { balance, say } = standIn()
    say('overload', 30)
    expect([balance.state.value, balance.answer.value]).toEqual(['waiting', null])
  })

  it('is away when it says so, and when it falls silent; what it showed is forgotten', () => {
    const { balance, say, away } = standIn()
    say('42.1 g', 30)
    away()
    expect([balance.state.value, balance.answer.value]).toEqual(['away', null])
    say('42.1 g', 30, 5000)
    expect(balance.state.value).toBe('here')
    vi.advanceTimersByTime(3500)
    expect([balance.state.value, balance.answer.value]).toEqual(['away', null])
  })

  it('is let go when another is chosen', () => {
    const { balance, stopped } = standIn()
    balance.follow(null)
    expect([stopped(), balance.state.value]).toEqual([1, 'none'])
  })
})

describe('lines', () => {
  it('are cut wherever they end, whatever pieces they come in', () => {
    const lines: string[] = []
    const cut = lineCutter((line) => lines.push(line))
    for (const piece of ['42.', '1 g\r', '\n42.2 g\n42', '.3 g\r\n4']) cut(piece)
    expect(lines.filter(Boolean)).toEqual(['42.1 g', '42.2 g', '42.3 g'])
  })

  it('of the house come as events, and an event of its own says that the balance is away', () => {
    class Source extends EventTarget {
      static last: Source
      closed = false
      readonly url: string
      constructor(url: string) {
        super()
        this.url = url
        Source.last = this
      }
      close(): void {
        this.closed = true
      }
    }
    const heard: Heard[] = []
    const stop = linesOfHouse('/api/balances/x', Source as never)((one) => heard.push(one))
    Source.last.dispatchEvent(new MessageEvent('message', { data: '{"ms":5,"line":"42 g"}' }))
    Source.last.dispatchEvent(new Event('away'))
    stop()
    expect([Source.last.url, heard, Source.last.closed]).toEqual([
      '/api/balances/x',
      [{ ms: 5, line: '42 g' }, null],
      true,
    ])
  })

  it('of a cable come from its port, until it is pulled', async () => {
    const bytes = new TextEncoder().encode('42.1 g\r\n42.2 g\r\n')
    const readable = new ReadableStream<Uint8Array>({
      start(out) {
        out.enqueue(bytes)
        out.close()
      },
    })
    const open = vi.fn(async () => undefined)
    vi.stubGlobal('navigator', { serial: { requestPort: async () => ({ open, readable }) } })
    const heard: Heard[] = []
    const listen = await openCable(4800, () => 7)
    listen((one) => heard.push(one))
    await vi.waitFor(() => expect(heard.at(-1)).toBeNull())
    vi.unstubAllGlobals()
    expect(open).toHaveBeenCalledWith({ baudRate: 4800 })
    expect(heard.flatMap((one) => (one?.line ? [one.line] : []))).toEqual(['42.1 g', '42.2 g'])
  })
})
