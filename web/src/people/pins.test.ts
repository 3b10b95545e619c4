import { describe, expect, it } from 'vitest'
import type { Me } from '@kobrin/contract'
import type { KeptPin } from '../kept/keptStore.ts'
import { pinOf, tryPin } from './pins.ts'

const DAY_MS = 86_400_000
const NOW = Date.UTC(2026, 5, 16)
const ROUNDS = 10
const me = { person: { id: 'sam' }, shift: { id: 'shift', key: 'key' } } as Me

async function tablet(pin = '1806') {
  let known: KeptPin | undefined = await pinOf(me, pin, NOW, ROUNDS)
  return {
    known: () => known,
    say: async (said: string, now = NOW) =>
      (await tryPin(known, { pin: said, now, rounds: ROUNDS, keep: async (next) => (known = next) })).is,
  }
}

describe('a PIN without a link', () => {
  it('lets in whoever gave it here while there was one, and nobody else', async () => {
    const { say } = await tablet()
    expect([await say('1806'), await say('1807'), await say('')]).toEqual(['right', 'wrong', 'wrong'])
  })

  it('does not lie on the device as it is typed', async () => {
    const { known } = await tablet()
    expect(JSON.stringify(known())).not.toContain('1806')
  })

  it('is locked after five wrong ones, also against the right one; a right one before forgets them', async () => {
    const { say } = await tablet()
    for (let tried = 0; tried < 4; tried += 1) expect(await say('0000')).toBe('wrong')
    expect(await say('1806')).toBe('right')
    for (let tried = 0; tried < 4; tried += 1) expect(await say('0000')).toBe('wrong')
    expect([await say('0000'), await say('1806')]).toEqual(['locked', 'locked'])
  })

  it('is good for a week, whichever way the clock was turned', async () => {
    const { say } = await tablet()
    expect(await say('1806', NOW + 6 * DAY_MS)).toBe('right')
    expect(await say('1806', NOW + 8 * DAY_MS)).toBe('stale')
    expect(await say('1806', NOW - 8 * DAY_MS)).toBe('stale')
  })

  it('is asked of the server where nobody gave it here', async () => {
    expect(await tryPin(undefined, { pin: '1', now: NOW, keep: async () => null })).toEqual({ is: 'unknown' })
  })
})
