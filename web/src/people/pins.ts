import type { Me } from '@kobrin/contract'
import type { KeptPin } from '../kept/keptStore.ts'

/** Guesses at a stolen tablet cost about a second each. */
const ROUNDS = 600_000
const HASH_BITS = 256
const DAY_MS = 86_400_000
/** How long a PIN is good for without the server. */
const GOOD_FOR_MS = 7 * DAY_MS
const TRIES = 5

async function hashOf(
  pin: string,
  salt: Uint8Array<ArrayBuffer>,
  rounds: number,
): Promise<Uint8Array<ArrayBuffer>> {
  const key = await crypto.subtle.importKey('raw', new TextEncoder().encode(pin), 'PBKDF2', false, [
    'deriveBits',
  ])
  const bits = await crypto.subtle.deriveBits(
    { name: 'PBKDF2', hash: 'SHA-256', salt, iterations: rounds },
    key,
    HASH_BITS,
  )
  return new Uint8Array(bits)
}

/** What this device keeps of a PIN that the server just took: PBKDF2-SHA256 over a salt of its own. */
export async function pinOf(me: Me, pin: string, now: number, rounds = ROUNDS): Promise<KeptPin> {
  const salt = crypto.getRandomValues(new Uint8Array(16))
  return { personId: me.person.id, salt, hash: await hashOf(pin, salt, rounds), me, provenAt: now, wrong: 0 }
}

export type PinAnswer = { is: 'right'; me: Me } | { is: 'wrong' | 'locked' | 'stale' | 'unknown' }

interface Trying {
  pin: string
  now: number
  /** Keeps how often it was wrong: before the answer is told, so that nobody can pull the plug on it. */
  keep: (pin: KeptPin) => Promise<unknown>
  rounds?: number
}

/** Whether a PIN is the one that was taken here within the last week. Locked after a few wrong ones, until the
 * server is asked again. */
export async function tryPin(
  known: KeptPin | undefined,
  { pin, now, keep, rounds = ROUNDS }: Trying,
): Promise<PinAnswer> {
  if (!known) return { is: 'unknown' }
  if (known.wrong >= TRIES) return { is: 'locked' }
  if (Math.abs(now - known.provenAt) > GOOD_FOR_MS) return { is: 'stale' }
  await keep({ ...known, wrong: known.wrong + 1 })
  const hash = await hashOf(pin, known.salt, rounds)
  const isRight = hash.every((byte, at) => byte === known.hash[at])
  if (!isRight) return { is: known.wrong + 1 >= TRIES ? 'locked' : 'wrong' }
  await keep({ ...known, wrong: 0 })
  return { is: 'right', me: known.me }
}
