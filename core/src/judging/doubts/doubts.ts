import { cameOn } from '../../facts/residents/stayState.ts'
import { weightOf } from '../weightTrend/weightOf.ts'
import type { Draft } from '../../facts/entries/entry.ts'
import { holdsOn } from '../holds/holdsOn.ts'
import type { Day } from '../../basics/time/day.ts'
import type { Bound } from '../../plans/plausible/plausible.ts'
import type { Quantity } from '../../facts/readings/quantity.ts'
import { SCALES } from '../../facts/readings/quantity.ts'
import type { RestObstacle } from '../winterRest/obstacles.ts'
import { obstaclesToRest } from '../winterRest/obstacles.ts'
import type { Evidence } from '../verdicts/evidence.ts'
import { lastOffered } from '../../facts/feeding/feedLine.ts'
import { own } from '../../facts/subjects/own.ts'

/** Something in a value that should be asked about, kindly, before it is kept. */
export type Doubt =
  | { code: 'slippedDecimal'; value: number; instead: number; usual: number; unit: 'g' | 'mm' }
  | { code: 'farFromUsual'; value: number; usual: number; ratio: number; unit: 'g' | 'mm' }
  | { code: 'hugeAmount'; value: number; usual: number; unit: 'pieces' | 'g' | 'l' }
  | { code: 'shrunk'; value: number; usual: number; unit: 'mm' }
  | {
      code: 'implausible'
      value: number
      unit: 'g' | 'mm'
      low: number
      high: number
      of: Bound['of']
    }
  | { code: 'offScale'; what: Quantity; value: number; low: number; high: number }
  | { code: 'restUnfit'; obstacles: RestObstacle[] }
  | { code: 'beforeArrival'; day: Day }

/** A weighing this many times above or below the last level is not growth. */
const FAR = 1.5
/** How near to the usual a value must come, once its decimal is shifted, to call it a slip. */
const NEAR_AFTER_SHIFT = 1.35
const HUGE = 5

function slip(value: number, usual: number): number | null {
  for (const shift of [10, 0.1, 100, 0.01, 1000, 0.001]) {
    const instead = value * shift
    const ratio = instead > usual ? instead / usual : usual / instead
    if (ratio < NEAR_AFTER_SHIFT) return Number(instead.toPrecision(6))
  }
  return null
}

function against(value: number, usual: number, unit: 'g' | 'mm'): Doubt | null {
  const ratio = value > usual ? value / usual : usual / value
  if (ratio < FAR) return null
  const instead = slip(value, usual)
  if (instead !== null) return { code: 'slippedDecimal', value, instead, usual, unit }
  return { code: 'farFromUsual', value, usual, ratio: value / usual, unit }
}

/** What no animal of this stage, or of its whole group, can be. A slipped decimal where there is nothing before
 * it to hold it against. */
function beyond(value: number, bound: Bound | undefined, unit: 'g' | 'mm'): Doubt | null {
  if (!bound) return null
  const [low, high] = bound.range
  return value < low || value > high ? { code: 'implausible', value, unit, low, high, of: bound.of } : null
}

type DoubtEvidence = Pick<Evidence, 'day' | 'state' | 'plan'>

function restDoubt({ day, state, plan }: DoubtEvidence): Doubt | null {
  const weight = weightOf(state, plan).level
  const holds = holdsOn(day, state, plan, weight?.grams ?? null)
  const obstacles = obstaclesToRest({ day, state, plan, holds, weight })
  return obstacles.length > 0 ? { code: 'restUnfit', obstacles } : null
}

/** What founds a stay is said of a day before it, and what others tell of it may be older. */
const MAY_PRECEDE: ReadonlySet<Draft['kind']> = new Set([
  'registered',
  'expected',
  'arrived',
  'described',
  'permitted',
])

/** What to ask before keeping something that is said for a day, or null when it looks like what came before.
 * Never a refusal: a keeper who looks again and insists is believed, and the entry says so. */
export function doubtAbout(draft: Draft, { day, state, plan }: DoubtEvidence): Doubt | null {
  const came = cameOn(state.stay)
  if (came !== null && day < came && !MAY_PRECEDE.has(draft.kind)) return { code: 'beforeArrival', day: came }
  switch (draft.kind) {
    case 'weighed': {
      const level = weightOf(state, plan).level
      const { grams } = draft.payload
      const far = level && against(grams, level.grams, 'g')
      return far ?? beyond(grams, plan.bounds?.grams, 'g')
    }
    case 'measured': {
      const { part, mm } = draft.payload
      const before = state.growth.sizes[part]
      const outside = beyond(mm, plan.bounds?.mm[part], 'mm')
      if (!before) return outside
      const far = against(mm, before.mm, 'mm')
      const grows = part !== 'girth' && part !== 'abdomenLength' && part !== 'abdomenWidth'
      if (!far && grows && mm < before.mm * 0.9) {
        return { code: 'shrunk', value: mm, usual: before.mm, unit: 'mm' }
      }
      return far ?? outside
    }
    case 'reading': {
      const { what, value } = draft.payload
      const [low, high] = SCALES[what]
      return value < low || value > high ? { code: 'offScale', what, value, low, high } : null
    }
    case 'held':
      return draft.payload.hold === 'winterRest' ? restDoubt({ day, state, plan }) : null
    case 'fed': {
      const { count, duty } = draft.payload
      const last = lastOffered(own(state.feeding.lines, duty ?? 'feed'))?.count
      if (count === undefined || last === undefined || count <= last * HUGE || count < 10) return null
      return { code: 'hugeAmount', value: count, usual: last, unit: 'pieces' }
    }
    case 'watered':
    case 'dampened':
    case 'tended': {
      const { litres, duty = draft.kind === 'watered' ? 'water' : 'dampen' } = draft.payload
      const usual = plan.duties.find(({ id }) => id === duty)?.litres
      if (litres === undefined || usual === undefined || litres <= usual * HUGE) return null
      return { code: 'hugeAmount', value: litres, usual, unit: 'l' }
    }
    default:
      return null
  }
}
