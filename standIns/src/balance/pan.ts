import * as z from 'zod'

/** What lies on the pan. */
export const Load = z.strictObject({
  /** The animal, grams; 0 for none. */
  grams: z.number().min(0).max(50_000),
  /** What it sits in, grams. */
  tub: z.number().min(0).max(50_000),
  /** From 0, asleep, to 1, never still. */
  lively: z.number().min(0).max(1),
})
export type Load = z.infer<typeof Load>

export const EMPTY: Load = { grams: 0, tub: 0, lively: 0 }

/** How much of the way to a new load the pan goes from one reading to the next. */
const SETTLES = 0.65
/** A movement pushes by so much of the animal's own weight at most. */
const PUSH = 0.25
/** How likely a quiet animal begins to move at the next reading, and one that moves comes to rest. */
const BEGINS = 0.12
const RESTS = 0.2
/** The liveliest has a quiet second now and then too. */
const NEVER = 0.06

interface PanOptions {
  /** Uniform on [0, 1). */
  random: () => number
  /** The smallest step it shows, grams. */
  step: number
}

/** The pan of a balance with an animal on it that lies still, walks about and kicks. */
export function createPan({ random, step }: PanOptions) {
  let shown = 0
  let moves = false
  const either = () => random() + random() - 1

  function pushOf({ grams, lively }: Load): number {
    if (grams === 0) return 0
    moves = moves ? random() > Math.max(NEVER, RESTS * (1 - lively)) : random() < BEGINS * lively
    return moves ? either() * PUSH * grams : 0
  }

  /** The next reading, grams. */
  function read(load: Load): number {
    const lies = load.grams + load.tub
    shown += (lies - shown) * SETTLES
    if (Math.abs(lies - shown) < step / 4) shown = lies
    const flicker = either() * step * 0.8
    return Math.round((shown + pushOf(load) + flicker) / step) * step
  }

  return { read }
}
