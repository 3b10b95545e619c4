import { connect } from 'node:net'
import { createInterface } from 'node:readline'
import { readBalanceLine, stillWeight } from '@kobrin/core'
import { afterEach, describe, expect, it } from 'vitest'
import { createPan } from './pan.ts'
import type { StandInBalance } from './standInBalance.ts'
import { startBalance } from './standInBalance.ts'

/** The same numbers every time (Park and Miller, 1988). */
function seeded(seed = 7): () => number {
  let at = seed
  return () => (at = (at * 48_271) % 2_147_483_647) / 2_147_483_647
}

function readings(lively: number, seconds: number, seed?: number) {
  const pan = createPan({ random: seeded(seed), step: 0.1 })
  const load = { grams: 42, tub: 0, lively }
  return Array.from({ length: seconds * 10 }, (_, at) => ({ ms: at * 100, grams: pan.read(load) }))
}

describe('the pan', () => {
  it('gives the weight of one that lies still within two seconds', () => {
    expect(stillWeight(readings(0, 3), { graduation: 0.1 }).weight?.grams).toBeCloseTo(42, 1)
  })

  it('gives the weight of a lively one too, only later', () => {
    for (const seed of [3, 11, 19, 200]) {
      const told = stillWeight(readings(0.7, 40, seed), { graduation: 0.1 })
      expect(Math.abs((told.weight?.grams ?? NaN) - 42)).toBeLessThan(0.5)
    }
  })

  it('shows that one moves', () => {
    const shown = readings(0.9, 20).map(({ grams }) => grams)
    expect(Math.max(...shown) - Math.min(...shown.slice(10))).toBeGreaterThan(4)
  })
})

describe('the stand-in', () => {
  let balance: StandInBalance | null = null
  afterEach(() => balance?.close())

  async function heard(count: number): Promise<string[]> {
    const { host, port } = balance ?? {}
    const socket = connect({ host: host ?? '', port: port ?? 0 })
    const lines: string[] = []
    for await (const line of createInterface(socket)) {
      lines.push(line)
      if (lines.length === count) break
    }
    socket.destroy()
    return lines
  }

  it('speaks lines that are read as weights, of whatever its page puts on it', async () => {
    balance = await startBalance({ random: seeded() })
    const put = { method: 'PUT', headers: { 'content-type': 'application/json' } }
    const answer = await fetch(`${balance.url}/pan`, {
      ...put,
      body: JSON.stringify({ grams: 42, tub: 118, lively: 0 }),
    })
    expect(answer.status).toBe(200)
    const last = (await heard(15)).at(-1) ?? ''
    expect(readBalanceLine(last)?.grams).toBeCloseTo(160, 0)
  })

  it('says what it cannot weigh', async () => {
    balance = await startBalance()
    const answer = await fetch(`${balance.url}/pan`, {
      method: 'PUT',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ grams: -3, tub: 0, lively: 0 }),
    })
    expect(answer.status).toBe(400)
  })
})
