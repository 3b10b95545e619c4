import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { BalanceReading } from './balanceReading.ts'
import { stillWeight } from './stillWeight.ts'

const balance = { graduation: 0.1 }

/** Ten readings a second of something that lies on the balance, by what it does at each of them. */
function stream(seconds: number, grams: (at: number) => number, fromMs = 0): BalanceReading[] {
  return Array.from({ length: seconds * 10 }, (_, at) => ({ ms: fromMs + at * 100, grams: grams(at) }))
}

const empty = (seconds: number, fromMs = 0) => stream(seconds, () => 0, fromMs)
const wriggle = (at: number) => [0.1, -0.1, 0, 0.1, 0, -0.1, 0][at % 7] ?? 0
const kicks = (at: number) => (at % 9 === 4 ? 25 : wriggle(at))

describe('a balance with an animal on it', () => {
  it('gives one weight once the readings lie still for long enough, with its uncertainty', () => {
    const { weight, notYet, sureness } = stillWeight(
      [...empty(1), ...stream(4, (at) => 42 + wriggle(at), 1000)],
      balance,
    )
    expect(weight?.grams).toBeCloseTo(42, 1)
    expect(weight?.sd).toBeGreaterThan(0.02)
    expect(weight?.sd).toBeLessThan(0.15)
    expect([notYet, sureness]).toEqual([null, 1])
  })

  it('is not moved by a kick now and then', () => {
    const { weight } = stillWeight(
      stream(5, (at) => 42 + kicks(at)),
      balance,
    )
    expect(weight?.grams).toBeCloseTo(42, 1)
  })

  it('says not yet while it walks about, and how far the readings spread', () => {
    const { weight, notYet, sureness } = stillWeight(
      stream(5, (at) => 42 + 8 * Math.sin(at)),
      balance,
    )
    expect(weight).toBeNull()
    expect(notYet).toMatchObject({ code: 'moving', allowed: expect.closeTo(0.2, 1) as number })
    expect(sureness).toBeLessThan(0.2)
  })

  it('does not take one of two values that it shows for a weight, nor what goes steadily one way', () => {
    const two = stream(8, (at) => (at % 2 === 0 ? 97.2 : 100))
    const three = stream(8, (at) => (at % 3 === 0 ? 100 : 97.2))
    for (const readings of [
      two,
      three,
      stream(8, (at) => 98 + at * 0.02),
      stream(12, (at) => 98 + at * 0.006),
    ])
      expect(stillWeight(readings, { graduation: 0.01 })).toMatchObject({
        weight: null,
        notYet: { code: 'moving' },
      })
  })

  it('says not yet before it lay still for long enough', () => {
    expect(
      stillWeight(
        stream(1, () => 42),
        balance,
      ).notYet,
    ).toMatchObject({ code: 'settling' })
    expect(stillWeight(empty(5), balance)).toMatchObject({
      weight: null,
      notYet: { code: 'nothing' },
      now: 0,
    })
    expect(stillWeight([], balance)).toMatchObject({ weight: null, now: null })
  })

  it('keeps what it took when the animal is lifted off, and begins anew with the next', () => {
    const first = [...stream(4, (at) => 42 + wriggle(at)), ...empty(2, 4000)]
    expect(stillWeight(first, balance)).toMatchObject({
      notYet: null,
      weight: { grams: expect.closeTo(42, 0) as number },
    })
    const second = [...first, ...stream(4, (at) => 17 + wriggle(at), 6000)]
    expect(stillWeight(second, balance).weight?.grams).toBeCloseTo(17, 0)
  })

  it('takes the container off, and is not fooled by an empty one', () => {
    const tub = { ...balance, tare: 120 }
    const put = stream(3, (at) => 120 + wriggle(at))
    expect(stillWeight(put, tub)).toMatchObject({ weight: null, notYet: { code: 'nothing' } })
    const filled = [...put, ...stream(4, (at) => 155 + wriggle(at), 3000)]
    expect(stillWeight(filled, tub).weight?.grams).toBeCloseTo(35, 0)
  })

  it('lies within its spread of the truth, in whatever order the readings come', () => {
    const noise = fc.array(fc.double({ min: -0.15, max: 0.15, noNaN: true }), {
      minLength: 40,
      maxLength: 60,
    })
    fc.assert(
      fc.property(noise, fc.double({ min: 5, max: 5000, noNaN: true }), (noises, grams) => {
        const readings = noises.map((off, at) => ({ ms: at * 100, grams: grams + off }))
        const told = stillWeight(readings, balance)
        expect(Math.abs((told.weight?.grams ?? NaN) - grams)).toBeLessThanOrEqual(0.15)
        expect(stillWeight([...readings].reverse(), balance)).toEqual(told)
      }),
    )
  })
})
