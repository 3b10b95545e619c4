import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64'
import { uniformInt } from 'pure-rand/distribution/uniformInt'
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus'
import { v7 } from 'uuid'

/** Seeded chance: the same seed tells the same story. */
export interface Chance {
  /** Uniform in [0, 1). */
  share: () => number
  happens: (probability: number) => boolean
  between: (low: number, high: number) => number
  whole: (low: number, high: number) => number
  /** Normal, by the polar method's simpler cousin: sum of twelve uniforms. */
  normal: (mean: number, sd: number) => number
  pick: <T>(list: readonly T[]) => T
  /** A UUIDv7 of a moment. */
  uid: (ms: number) => string
}

export function createChance(seed: number): Chance {
  const generator = xoroshiro128plus(seed)
  const share = () => uniformFloat64(generator)
  const whole = (low: number, high: number) => uniformInt(generator, low, high)
  return {
    share,
    whole,
    happens: (probability) => share() < probability,
    between: (low, high) => low + (high - low) * share(),
    normal: (mean, sd) => {
      let sum = -6
      for (let i = 0; i < 12; i += 1) sum += share()
      return mean + sd * sum
    },
    pick: (list) => list[whole(0, list.length - 1)] as (typeof list)[number],
    uid: (ms) =>
      v7({
        msecs: ms,
        random: Uint8Array.from({ length: 16 }, () => whole(0, 255)),
        seq: whole(0, 0xffffff),
      }),
  }
}
