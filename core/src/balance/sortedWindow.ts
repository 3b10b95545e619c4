import type { BalanceReading } from './balanceReading.ts'

/** Quantiles of the middle eight of ten and of the middle half, as standard deviations of a normal distribution. */
const MIDDLE = [
  { share: 0.2, sds: 1.6832 },
  { share: 0.25, sds: 1.349 },
] as const

/** Place of a value among ascending ones. */
function placeOf(values: readonly number[], value: number): number {
  let [low, high] = [0, values.length]
  while (low < high) {
    const middle = (low + high) >> 1
    if ((values[middle] as number) < value) low = middle + 1
    else high = middle
  }
  return low
}

/** The readings of a stretch of time, in the order of time and, by their values, in the order of size: one more or one
 * less costs the time of a search, whatever was read before. */
export class SortedWindow {
  readonly #readings: BalanceReading[] = []
  readonly #values: number[] = []
  #dropped = 0

  get size(): number {
    return this.#values.length
  }

  get oldest(): BalanceReading | undefined {
    return this.#readings[this.#dropped]
  }

  get newest(): BalanceReading | undefined {
    return this.#readings.at(-1)
  }

  get all(): readonly BalanceReading[] {
    return this.#readings.slice(this.#dropped)
  }

  /** In the order of time. */
  add(reading: BalanceReading): void {
    this.#readings.push(reading)
    this.#values.splice(placeOf(this.#values, reading.grams), 0, reading.grams)
  }

  /** Lets go of what was read at a moment or before. */
  dropUntil(ms: number): void {
    for (let { oldest } = this; oldest && oldest.ms <= ms; { oldest } = this) {
      this.#values.splice(placeOf(this.#values, oldest.grams), 1)
      this.#dropped += 1
    }
    // What was let go of is swept out now and then, not each time.
    if (this.#dropped > this.size + 64) {
      this.#readings.splice(0, this.#dropped)
      this.#dropped = 0
    }
  }

  /** What was read after a moment. */
  since(ms: number): readonly BalanceReading[] {
    let from = this.#readings.length
    while (from > this.#dropped && (this.#readings[from - 1] as BalanceReading).ms > ms) from -= 1
    return this.#readings.slice(from)
  }

  #quantile(share: number): number {
    const at = share * (this.size - 1)
    const low = this.#values[Math.floor(at)] ?? NaN
    const high = this.#values[Math.ceil(at)] ?? low
    return low + (high - low) * (at - Math.floor(at))
  }

  /** Median, and the larger of two spreads between quantiles: each holds out against a kick in five readings, and
   * together they do not take a balance for still that shows one of two values (P. J. Huber, Robust Statistics, 1981,
   * ch. 5). */
  robust(): { location: number; spread: number } {
    const spreads = MIDDLE.map(({ share, sds }) => (this.#quantile(1 - share) - this.#quantile(share)) / sds)
    return { location: this.#quantile(0.5), spread: Math.max(...spreads) }
  }
}
