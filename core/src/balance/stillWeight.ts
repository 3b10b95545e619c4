/** One reading of a balance: what it showed, and when. */
export interface BalanceReading {
  ms: number
  grams: number
}

export interface StillOptions {
  /** The smallest step the balance shows, grams. */
  graduation: number
  /** The weight of the container, grams, where it was not tared. */
  tare?: number
  /** How far back one look at the readings reaches. */
  windowMs?: number
  /** How long the readings have to lie close together. */
  holdMs?: number
}

/** A weight that held still. */
export interface StillWeight {
  /** Without the container. */
  grams: number
  /** Standard uncertainty, from the scatter and from the step of the balance. */
  sd: number
  from: number
  to: number
  readings: number
}

export type NotYet =
  /** Nothing was read, or nothing lies on it. */
  | { code: 'nothing' }
  /** It lies there, and moves: how far the readings spread, and how far they may. */
  | { code: 'moving'; spread: number; allowed: number }
  /** Close together, but not for long enough. */
  | { code: 'settling'; ms: number; needs: number }

export interface StillAnswer {
  /** The last weight that held still, also after it was lifted off. */
  weight: StillWeight | null
  /** Why there is none yet of what lies there now; null when it was taken, or nothing lies there any more. */
  notYet: NotYet | null
  /** Where the readings lie now, without the container; null without any. */
  now: number | null
  /** From 0, moving, to 1, taken. */
  sureness: number
}

const WINDOW_MS = 1500
const HOLD_MS = 1200
/** Readings within a window that can tell a spread. */
const LEAST_READINGS = 5
/** Spread that is still: the larger of so many graduations and this share of the weight. */
const GRADUATIONS = 2
const SHARE = 0.005
/** Under so many graduations nothing lies on it. */
const EMPTY = 3
/** A fall below this share of what lay there is a lift off, a rise beyond it another load. */
const LIFTED = 0.5
/** Median absolute deviation of a normal distribution to its standard deviation; and the error of a median. */
const MAD_TO_SD = 1.4826
const MEDIAN_ERROR = 1.2533
/** A wriggle lasts about so long: readings closer together say the same thing twice. */
const INDEPENDENT_MS = 250

function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b)
  const half = sorted.length / 2
  const high = sorted[Math.floor(half)] ?? NaN
  return sorted.length % 2 === 1 ? high : (high + (sorted[half - 1] ?? NaN)) / 2
}

/** Median and robust spread: P. J. Huber, Robust Statistics, 1981, ch. 5. */
function robust(values: readonly number[]): { location: number; spread: number } {
  const location = median(values)
  return { location, spread: MAD_TO_SD * median(values.map((value) => Math.abs(value - location))) }
}

/** Readings that lie close together without a break, while they do. */
interface Plateau {
  from: number
  readings: BalanceReading[]
}

function allowedAt(grams: number, graduation: number): number {
  return Math.max(GRADUATIONS * graduation, SHARE * Math.abs(grams))
}

function weightOn({ readings, from }: Plateau, graduation: number): StillWeight {
  const values = readings.map(({ grams }) => grams)
  const { location, spread } = robust(values)
  const to = readings.at(-1)?.ms ?? from
  const independent = Math.max(1, Math.min(values.length, (to - from) / INDEPENDENT_MS))
  const sd = Math.hypot((MEDIAN_ERROR * spread) / Math.sqrt(independent), graduation / Math.sqrt(12))
  return { grams: location, sd, from, to, readings: values.length }
}

/** One weight out of the readings of a balance on which an animal moves, or why there is none yet.
 *
 * The readings of a sliding window are taken by their median and their median deviation, so that a kick moves
 * neither. Once they lie close enough together for long enough the weight is taken; it stays taken when the animal
 * is lifted off, and the next load starts over. Readings may come in any order. */
export function stillWeight(
  readings: readonly BalanceReading[],
  { graduation, tare = 0, windowMs = WINDOW_MS, holdMs = HOLD_MS }: StillOptions,
): StillAnswer {
  const all = [...readings].sort((a, b) => a.ms - b.ms).map(({ ms, grams }) => ({ ms, grams: grams - tare }))
  const isEmpty = (grams: number) => grams < EMPTY * graduation
  let weight: StillWeight | null = null
  let plateau = null as Plateau | null
  let window: BalanceReading[] = []
  let notYet: NotYet | null = { code: 'nothing' }
  let now: number | null = null
  for (const reading of all) {
    window = [...window.filter(({ ms }) => ms > reading.ms - windowMs), reading]
    const { location, spread } = robust(window.map(({ grams }) => grams))
    now = location
    const allowed = allowedAt(location, graduation)
    const isAnother =
      plateau !== null && Math.abs(location - weightOn(plateau, graduation).grams) > allowed * 2
    if (isEmpty(location) || isEmpty(reading.grams / LIFTED)) {
      plateau = null
      notYet = weight ? null : { code: 'nothing' }
    } else if (window.length < LEAST_READINGS || spread > allowed || isAnother) {
      plateau = null
      notYet = { code: 'moving', spread, allowed }
    } else {
      plateau ??= { from: window[0]?.ms ?? reading.ms, readings: window.slice(0, -1) }
      plateau.readings.push(reading)
      const held = reading.ms - plateau.from
      if (held >= holdMs) {
        weight = weightOn(plateau, graduation)
        notYet = null
      } else notYet = { code: 'settling', ms: held, needs: holdMs }
    }
  }
  return { weight, notYet, now, sureness: surenessOf(notYet, weight) }
}

function surenessOf(notYet: NotYet | null, weight: StillWeight | null): number {
  if (notYet === null) return weight ? 1 : 0
  if (notYet.code === 'settling') return 0.5 + 0.5 * (notYet.ms / notYet.needs)
  return notYet.code === 'moving' ? 0.5 * Math.min(1, notYet.allowed / Math.max(notYet.spread, 1e-12)) : 0
}
