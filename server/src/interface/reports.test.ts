import { describe, expect, it } from 'vitest'
import { createReports } from './reports.ts'

/** Work that is done when it is told to be. */
function held() {
  let done: () => void = () => undefined
  const until = new Promise<void>((resolve) => (done = resolve))
  return { work: () => until, done: () => done() }
}

describe('reports', () => {
  it('are read a few at a time, in the order they were asked for', async () => {
    const reports = createReports({ atOnce: 2 })
    const [one, two] = [held(), held()]
    const order: string[] = []
    const asked = [
      reports.inTurn(() => one.work().then(() => order.push('one'))),
      reports.inTurn(() => two.work().then(() => order.push('two'))),
      reports.inTurn(async () => order.push('three')),
    ]
    await Promise.resolve()
    expect(order).toEqual([])
    two.done()
    await asked[1]
    await asked[2]
    expect(order).toEqual(['two', 'three'])
    one.done()
    await asked[0]
    expect(order).toEqual(['two', 'three', 'one'])
  })

  it('that would wait behind too many are told so at once', async () => {
    const reports = createReports({ atOnce: 1, waitingMost: 1 })
    const first = held()
    const running = reports.inTurn(first.work)
    await new Promise((resolve) => setImmediate(resolve))
    const waiting = reports.inTurn(async () => 'came to its turn')
    await expect(reports.inTurn(async () => 'never')).rejects.toMatchObject({ code: 'busy' })
    first.done()
    await running
    expect(await waiting).toBe('came to its turn')
  })

  it('that waited too long are not begun', async () => {
    const reports = createReports({ atOnce: 1, patienceMs: 5 })
    const first = held()
    const running = reports.inTurn(first.work)
    const waiting = reports.inTurn(async () => 'too late')
    setTimeout(first.done, 30)
    await running
    await expect(waiting).rejects.toMatchObject({ code: 'busy' })
  })

  it('wait while a keeper taps, but not for ever', async () => {
    const reports = createReports({ politeMs: 40 })
    const [one, two] = [held(), held()]
    const order: string[] = []
    const taps = [reports.first(one.work), reports.first(two.work)]
    const report = reports.inTurn(async () => order.push('report'))
    one.done()
    await taps[0]
    expect(order).toEqual([])
    two.done()
    order.push('taps')
    await report
    expect(order).toEqual(['taps', 'report'])
    const never = held()
    const tap = reports.first(never.work)
    await reports.inTurn(async () => order.push('was patient'))
    expect(order.at(-1)).toBe('was patient')
    never.done()
    await tap
  })
})
