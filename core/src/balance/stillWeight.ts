import type { BalanceReading } from './balanceReading.ts'
import { driftOf } from './drift.ts'
import { SortedWindow } from './sortedWindow.ts'

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
/** The error of a median over that of a mean. */
const MEDIAN_ERROR = 1.2533
/** A wriggle lasts about so long: readings closer together say the same thing twice. */
const INDEPENDENT_MS = 250
/** So many times as long, where the balance says that it is not at rest. */
const UNSTABLE = 2
/** What lay still is held against so much of it at most: a long rest is known well enough. */
const REMEMBERED_MS = 10_000

/** Readings that lie close together without a break, while they do. */
interface Plateau {
  from: number
  last: SortedWindow
  /** What was taken before it. */
  before: StillWeight | null
  /** How far it was found to drift, and when that was looked at. */
  drift: number
  lookedAt: number
}

interface Watched {
  graduation: number
  windowMs: number
  holdMs: number
}

function allowedAt(grams: number, graduation: number): number {
  return Math.max(GRADUATIONS * graduation, SHARE * Math.abs(grams))
}

function weightOn({ from, last }: Plateau, graduation: number): StillWeight {
  const { location, spread } = last.robust()
  const to = last.newest?.ms ?? from
  const independent = Math.max(1, Math.min(last.size, (to - (last.oldest?.ms ?? from)) / INDEPENDENT_MS))
  const sd = Math.hypot((MEDIAN_ERROR * spread) / Math.sqrt(independent), graduation / Math.sqrt(12))
  return { grams: location, sd, from, to, readings: last.size }
}

/** Takes in the readings of a balance one after the other, each in the time of a window, and says after each of them
 * whether something lies still. */
class Watching {
  weight: StillWeight | null = null
  notYet: NotYet | null = { code: 'nothing' }
  now: number | null = null
  readonly #balance: Watched
  readonly #window = new SortedWindow()
  #plateau: Plateau | null = null

  constructor(balance: Watched) {
    this.#balance = balance
  }

  take(reading: BalanceReading): void {
    const { graduation, windowMs } = this.#balance
    this.#window.dropUntil(reading.ms - windowMs)
    this.#window.add(reading)
    const { location, spread } = this.#window.robust()
    this.now = location
    const isEmpty = (grams: number) => grams < EMPTY * graduation
    const allowed = allowedAt(location, graduation)
    const before = this.#plateau
    const isAnother = before && Math.abs(location - before.last.robust().location) > allowed * 2
    if (isEmpty(location) || isEmpty(reading.grams / LIFTED)) {
      this.#plateau = null
      this.notYet = this.weight ? null : { code: 'nothing' }
    } else if (this.#window.size < LEAST_READINGS || spread > allowed || isAnother) {
      this.#plateau = null
      this.notYet = { code: 'moving', spread, allowed }
    } else this.#rest(reading, allowed)
  }

  #rest(reading: BalanceReading, allowed: number): void {
    const { graduation, windowMs, holdMs } = this.#balance
    const plateau = this.#plateau ?? this.#begun()
    this.#plateau = plateau
    if (plateau.last.newest !== reading) plateau.last.add(reading)
    plateau.last.dropUntil(reading.ms - Math.max(REMEMBERED_MS, windowMs + holdMs))
    const held = reading.ms - plateau.from
    // Many call themselves unstable as long as anything breathes: such a rest has to last.
    const needs = this.#window.all.some(({ unstable }) => unstable) ? UNSTABLE * holdMs : holdMs
    if (held < needs) {
      this.notYet = { code: 'settling', ms: held, needs }
      return
    }
    if (reading.ms - plateau.lookedAt >= INDEPENDENT_MS) {
      const limits = { graduation, allowed }
      const short = plateau.last.since(reading.ms - windowMs - holdMs)
      plateau.drift = driftOf(short, limits) || driftOf(plateau.last.all, limits)
      plateau.lookedAt = reading.ms
    }
    const { drift, before } = plateau
    // What goes steadily one way was taken too early.
    this.weight = drift === 0 ? weightOn(plateau, graduation) : before
    this.notYet = drift === 0 ? null : { code: 'moving', spread: Math.abs(drift), allowed }
  }

  #begun(): Plateau {
    const last = new SortedWindow()
    for (const one of this.#window.all) last.add(one)
    return { from: last.oldest?.ms ?? 0, last, before: this.weight, drift: 0, lookedAt: -Infinity }
  }
}

/** One weight out of the readings of a balance on which an animal moves, or why there is none yet.
 *
 * The readings of a sliding window are taken by their median and a spread that neither a kick moves nor a balance that
 * shows two values hides. Once they lie close enough together for long enough, and do not drift, the weight is taken; it
 * stays taken when the animal is lifted off, and the next load starts over. Readings may come in any order; the time it
 * takes goes as their number. */
export function stillWeight(
  readings: readonly BalanceReading[],
  { graduation, tare = 0, windowMs = WINDOW_MS, holdMs = HOLD_MS }: StillOptions,
): StillAnswer {
  const watching = new Watching({ graduation, windowMs, holdMs })
  const inOrder = [...readings].sort((a, b) => a.ms - b.ms || a.grams - b.grams)
  for (const { grams, ...reading } of inOrder) watching.take({ ...reading, grams: grams - tare })
  const { weight, notYet, now } = watching
  return { weight, notYet, now, sureness: surenessOf(notYet, weight) }
}

function surenessOf(notYet: NotYet | null, weight: StillWeight | null): number {
  if (notYet === null) return weight ? 1 : 0
  if (notYet.code === 'settling') return 0.5 + 0.5 * (notYet.ms / notYet.needs)
  return notYet.code === 'moving' ? 0.5 * Math.min(1, notYet.allowed / Math.max(notYet.spread, 1e-12)) : 0
}
